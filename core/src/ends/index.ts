export { adapt, AdapterGraph, halfKey, joinOf, STOCK, type Adapted, type AdaptInput, type Chain, type Join } from './adapt.ts';
export { touch, type Contact, type Touch } from './contact.ts';
