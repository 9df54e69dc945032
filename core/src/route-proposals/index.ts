export { waysFor, type FoundWay } from './ways.ts';
