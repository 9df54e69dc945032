export { DIRECTIONS, makeLattice, nodeAt, nodeOf, placeOf, type Lattice } from './lattice.ts';
export { cheapest, type Costs, type Found, type Leg } from './search.ts';
export { findWays, problemOf, shareNear, type Hooks, type Problem } from './ways.ts';
export { type Way, type WayEnd, type WayInput } from './way-costs.ts';
