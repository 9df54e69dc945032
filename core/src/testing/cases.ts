/** How many cases a property is tried with: few by default, many under `npm run test:long`. */
export const cases = (few: number, many: number): number =>
  process.env['LONG_TESTS'] ? many : few;
