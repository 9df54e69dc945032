// Apart from the rest, since the first screen needs none of it.
export { placeClips, oneWay } from '../derived/place-clips.ts';
