export { LAYOUTS, type Layout } from './layouts.ts';
export { Sketch } from './sketch.ts';
export { withPurpose } from './with-purpose.ts';
