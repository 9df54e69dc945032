import { reservoirsOf } from '../../../plan/network/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';

/** A master with a feed port draws from a reservoir: one that no line joins to a reservoir runs dry at the first stroke. */
export const masterDry = defineRule({
  id: 'master-dry',
  station: 'plumb',
  about: 'plan',
  reads: ['network', 'plan.parts'],
  judge: (view) =>
    view.plan.parts.flatMap((part) =>
      part.kind !== 'master'
        ? []
        : part.ports.flatMap((port): Finding[] => {
            const fed = reservoirsOf(view.network, view.plan.parts, part, port).length > 0;
            return port.role !== 'feed' || fed
              ? []
              : [
                  {
                    level: 'stop',
                    place: { kind: 'port', id: port.id },
                    where: `${part.name}, ${port.name}`,
                    text: 'No reservoir is joined to this feed: the master has nothing to draw from.',
                  },
                ];
          }),
    ),
});
