export { InputError, figure, pathOf } from './input-error.ts';
export { faultOf, type Fault } from './schema-fault.ts';
