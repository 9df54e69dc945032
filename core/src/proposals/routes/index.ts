export { clipped, waysFor, type FoundWay } from './ways.ts';
