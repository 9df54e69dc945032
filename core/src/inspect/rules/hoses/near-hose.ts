import { derivePair } from '../../../lib/derive/index.ts';
import { boxGap, clearanceTo } from '../../../shape/obstacles/index.ts';
import { envelopeOfHose, type HoseView } from '../../../stations/route/index.ts';
import { boxOfLine, pointsOf, type LineView } from '../../../plan/index.ts';
import { distance } from '../../../lib/vec/index.ts';
import { MEETS_MM } from './_shared.ts';
import { defineRule } from '../../define-rule.ts';
import { lengthWords } from '../../rule-kit/places.ts';

/** Where a hose comes too near to a tube in some state of its travel; null where it does not. */
const tooNear = derivePair('hose near a line', (hose: HoseView, line: LineView) => {
  const envelope = envelopeOfHose(hose);
  if (!envelope || !line.card) return null;
  const { keepMm } = envelope.thing;
  const box = boxOfLine(line);
  if (envelope.box && boxGap(envelope.box, box.min, box.max) > keepMm + line.tube.odMm) return null;
  const seats = [hose.ends.a.seatMm, hose.ends.b.seatMm];
  const meets = (end: 0 | -1): boolean =>
    seats.some((seat) => distance(line.nodesMm.at(end)!, seat) < MEETS_MM);
  const [from, to] = [
    meets(0) ? MEETS_MM : 0,
    line.pieces.at(-1)!.endMm - (meets(-1) ? MEETS_MM : 0),
  ];
  const gap = clearanceTo(envelope, pointsOf(line.pieces), line.tube.odMm, keepMm, from, to);
  return gap && gap.distanceMm < keepMm ? { keepMm, distanceMm: gap.distanceMm } : null;
});

/** A hose that comes too near to a tube, in some state of its travel: it rubs itself or the tube through. */
export const nearHose = defineRule({
  id: 'near-hose',
  station: 'route',
  about: 'hose',
  reads: ['lines'],
  judge: (hose, view) => {
    for (const line of view.lines) {
      const near = tooNear(hose, line);
      if (!near) continue;
      const { full, bare } = lengthWords(view);
      const text = `During its travel the hose comes within ${full(near.distanceMm)} of ${line.line.name}, ${bare(near.keepMm)} required. One rubs the other through.`;
      return { level: 'caution', text };
    }
    return null;
  },
});
