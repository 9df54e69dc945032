export { leastStock, type Least, type NestInput } from './least.ts';
export { nest, type Nest, type NestPiece } from './nest.ts';
