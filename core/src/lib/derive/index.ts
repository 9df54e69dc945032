export { derive, measureDerived, type Derived, type Spent } from './derive.ts';
