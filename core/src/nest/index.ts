export { nest, type Nest, type NestInput, type NestPiece } from './nest.ts';
