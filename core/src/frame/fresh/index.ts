// Apart from the rest, since the first screen needs none of it.
export { newThing } from '../fresh.ts';
