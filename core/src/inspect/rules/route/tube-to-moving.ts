import { distance } from '../../../lib/vec/index.ts';
import type { PortView } from '../../../plan/index.ts';
import { BODY_MM } from '../../../plan/network/index.ts';
import { mountedOnBoth } from './_nearness.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { onLine } from '../../rule-kit/places.ts';

/** Whether a tube ends on the caliper itself: the bracket where its hose begins stands off its bleeder. */
const isOnBody = ({ part, fixed }: PortView, ports: ReadonlyMap<string, PortView>): boolean =>
  part.ports.some(
    ({ id, role }) =>
      role === 'bleeder' && distance(ports.get(id)!.fixed.atMm, fixed.atMm) < BODY_MM,
  );
/** A rigid tube never feeds anything that moves against its other end: a hose does. Common practice. */
export const tubeToMoving = defineRule({
  id: 'tube-to-moving',
  station: 'route',
  about: 'space',
  reads: ['obstacles', 'plan.clipSettings', 'plan.things', 'ports'],
  judge: (line, _space, view) => {
    const [a, b] = mountedOnBoth(view, line);
    const sliding = (['a', 'b'] as const).flatMap((end): Finding[] => {
      const at = line.ports[end];
      return at?.part.kind === 'caliper' && at.part.slides && isOnBody(at, view.ports)
        ? [
            {
              level: 'stop',
              place: onLine(line),
              where: `${line.line.name}, end ${end.toUpperCase()}`,
              text: `${at.part.name} slides on its pins as the pads wear, so a rigid tube on it cracks. Fit a hose, with a bracket where tube meets hose.`,
            },
          ]
        : [];
    });
    const moving = view.plan.things.flatMap((thing): Finding[] => {
      if (!thing.travel || a.has(thing.id) === b.has(thing.id)) return [];
      const end = a.has(thing.id) ? 'A' : 'B';
      return [
        {
          level: 'stop',
          place: onLine(line),
          where: `${line.line.name}, end ${end}`,
          text: `End ${end} is on ${thing.name}, which moves relative to the other end, so the tube cracks. Fit a hose between, with a bracket where tube meets hose.`,
        },
      ];
    });
    // What stands on a thing that moves has been said.
    return moving.length ? moving : sliding;
  },
});
