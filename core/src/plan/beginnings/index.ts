// Apart from the rest, since the first screen needs none of it.
export { newLine } from '../edits/join.ts';
