// What is worth measuring first.
export { asTaped, byWorth, TAPED_MM, worthOf, type Worth } from './what-to-measure.ts';
