// Apart from the rest, since the first screen needs none of it.
export { snapPlace, snapsFor, type Snap, type Snapped, type Snaps } from '../derived/snap.ts';
