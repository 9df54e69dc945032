/** Asked of a reading that is hardly ever taken: it is kept as it was entered. Each figure with its unit. */
export const doubtWords = (reading: string, least: string, most: string): string =>
  `Is ${reading} right? ${least} to ${most} is usual. Check the unit, or keep the reading as it is.`;
