export { LAYOUTS, type Layout } from './layouts.ts';
export { Sketch } from './sketch.ts';
