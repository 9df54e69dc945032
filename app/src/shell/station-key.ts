/**
 * The key of a station by its place in the order of the work: the digits, 0 for the tenth, then the digits with Alt.
 * `press` is how the key is listened for, `name` how it is written.
 */
export function stationKey(index: number): { readonly press: string; readonly name: string } {
  const digit = String((index + 1) % 10);
  return index < 10
    ? { press: digit, name: digit }
    : { press: `Alt+Digit${digit}`, name: `Alt ${digit}` };
}
