import { clearanceTo } from '../../../shape/obstacles/index.ts';
import { envelopeOfHose } from '../../../stations/route/index.ts';
import { lineSpace, type LineView } from '../../../plan/index.ts';
import { distance } from '../../../lib/vec/index.ts';
import { MEETS_MM } from './_shared.ts';
import { defineRule } from '../../define-rule.ts';
import { lengthWords } from '../../rule-kit/places.ts';

/** A hose that comes too near to a tube, in some state of its travel: it rubs itself or the tube through. */
export const nearHose = defineRule({
  id: 'near-hose',
  station: 'route',
  about: 'hose',
  reads: ['lines', 'obstacles', 'plan.clipSettings', 'plan.things'],
  judge: (hose, view) => {
    const envelope = envelopeOfHose(hose);
    if (!envelope) return null;
    const seats = [hose.ends.a.seatMm, hose.ends.b.seatMm];
    const meets = (line: LineView, end: 0 | -1): boolean =>
      seats.some((seat) => distance(line.nodesMm.at(end)!, seat) < MEETS_MM);
    for (const line of view.lines) {
      const space = lineSpace(view.plan, line);
      if (!space) continue;
      const [from, to] = [
        meets(line, 0) ? MEETS_MM : 0,
        space.lengthMm - (meets(line, -1) ? MEETS_MM : 0),
      ];
      const gap = clearanceTo(
        envelope,
        space.points,
        line.tube.odMm,
        envelope.thing.keepMm,
        from,
        to,
      );
      if (!gap || gap.distanceMm >= envelope.thing.keepMm) continue;
      const { full, bare } = lengthWords(view);
      const text = `Somewhere in its travel it comes to ${full(gap.distanceMm)} of ${line.line.name}, ${bare(envelope.thing.keepMm)} wanted: one rubs the other through.`;
      return { level: 'mind', text };
    }
    return null;
  },
});
