// Apart from the rest, since the first screen needs none of it.
export { formatDirection, formatMove, parseDirection, parseMove } from '../move.ts';
