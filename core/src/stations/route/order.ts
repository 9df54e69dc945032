import type { HoseView } from './hose-view.ts';

/** In what order a hose goes on so that no twist stays in it, and how it comes off. Common practice. */
export function hoseOrder({ fittings, hose, stock }: HoseView): string[] {
  if (hose.service === 'feed')
    return [
      'Push the hose on dry or wetted with its own fluid, past the bead.',
      'One new clamp behind each bead; it rises all the way to the reservoir.',
      'Off again: close the reservoir’s outlet first, and catch the fluid.',
    ];
  const [first, last] =
    fittings.a.swivels && !fittings.b.swivels ? (['B', 'A'] as const) : (['A', 'B'] as const);
  const firstFitting = first === 'A' ? fittings.a : fittings.b;
  const lastFitting = last === 'A' ? fittings.a : fittings.b;
  const steps = [
    `End ${first} first (${firstFitting.name}): tighten it while the hose hangs free.`,
    ...(hose.fixing === 'bracket' && !hose.locked
      ? ['Lock nut or clip at the bracket before anything else is tightened.']
      : []),
    lastFitting.swivels
      ? `End ${last} last (${lastFitting.name}): let the hose lie as it likes, hold it there, then tighten.`
      : `End ${last} last (${lastFitting.name}): it cannot turn, so its thread’s end decides the twist. Watch the printed line.`,
    ...(lastFitting.kind === 'banjo' ? ['A new washer on each face of the banjo.'] : []),
    `Wheel on: lock to lock, full droop and full bump, nothing nearer than a finger. ${stock.kind === 'braided-ptfe' ? 'Braid saws through what it rubs on.' : ''}`.trim(),
  ];
  return [
    ...steps,
    `Off again the other way round: end ${last} first, then end ${first}; cap both.`,
  ];
}
