/** Numbers in [0, 1) that come again with the seed. Source: mulberry32. */
export const seeded = (seed: number) => (): number => {
  let t = (seed += 0x6d2b79f5);
  t = Math.imul(t ^ (t >>> 15), t | 1);
  t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
  return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
};
/** Normally distributed numbers of mean 0 and deviation 1. Source: Box and Muller. */
export const normal = (draw: () => number) => (): number =>
  Math.sqrt(-2 * Math.log(1 - draw())) * Math.cos(2 * Math.PI * draw());
