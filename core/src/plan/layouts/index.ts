export { LAYOUTS, type Layout } from './layouts.ts';
