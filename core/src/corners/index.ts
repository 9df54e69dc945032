export { boltThrough, shims, type BoltFault, type Shims, type ShimsInput, type ShimsResult, type StackBolt } from './shims.ts';
