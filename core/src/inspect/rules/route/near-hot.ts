import { nearness } from './_nearness.ts';

/** Heat boils fluid and bakes hose: common practice keeps 150 mm from an exhaust, less under a sleeve. */
export const nearHot = nearness('near-hot', 'hot', { slight: 2, grave: 10 }, ({ thing }) =>
  thing.surfaceC === null ? '' : `: its surface reaches ${thing.surfaceC} °C`,
);
