// Apart from the rest, since the first screen needs none of it.
export { parseQuantity, unitIn, type QuantityRead } from '../quantity.ts';
