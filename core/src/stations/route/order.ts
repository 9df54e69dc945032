import type { HoseView } from './hose-view.ts';

/** In what order a hose goes on so that no twist stays in it, and how it comes off. Common practice. */
export function hoseOrder({ fittings, hose, stock }: HoseView): string[] {
  if (hose.service === 'feed')
    return [
      'Push the hose past the bead, dry or wet with its own fluid.',
      'Fit one new clamp behind each bead. The hose must rise all the way to the reservoir.',
      'To remove: close the reservoir outlet first, and catch the fluid.',
    ];
  const [first, last] =
    fittings.a.swivels && !fittings.b.swivels ? (['B', 'A'] as const) : (['A', 'B'] as const);
  const firstFitting = first === 'A' ? fittings.a : fittings.b;
  const lastFitting = last === 'A' ? fittings.a : fittings.b;
  const steps = [
    `End ${first} first (${firstFitting.name}): tighten while the hose hangs free.`,
    ...(hose.fixing === 'bracket' && !hose.locked
      ? ['Fit the lock nut or clip at the bracket before tightening anything else.']
      : []),
    lastFitting.swivels
      ? `End ${last} last (${lastFitting.name}): let the hose settle, hold it there, then tighten.`
      : `End ${last} last (${lastFitting.name}): this end cannot turn, so where its thread stops decides the twist. Watch the printed stripe.`,
    ...(lastFitting.kind === 'banjo' ? ['Fit a new washer on each face of the banjo.'] : []),
    `Wheel on, lock to lock, full droop and full bump: nothing closer than a finger. ${stock.kind === 'braided-ptfe' ? 'Braid saws through anything it rubs on.' : ''}`.trim(),
  ];
  return [
    ...steps,
    `To remove, reverse the order: end ${last} first, then end ${first}. Cap both.`,
  ];
}
