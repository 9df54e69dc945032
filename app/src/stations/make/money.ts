/** An amount in the smaller unit of a currency, with two places; a dash where there is none. */
export const moneyWords = (minor: number | null): string =>
  minor === null ? '–' : (minor / 100).toFixed(2);
