export { derive, derivePair, measureDerived, type Derived, type Spent } from './derive.ts';
