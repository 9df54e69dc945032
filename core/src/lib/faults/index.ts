export { InputError, figure, pathOf } from './input-error.ts';
export { faultOf, faultSentence, type Fault } from './schema-fault.ts';
