import type { Rule, Snag } from '../snag.ts';
import { endsByPart } from './joints.ts';

/** A master with a feed port draws from a reservoir: one that no line joins to a reservoir runs dry at the first stroke. */
export const masterDry: Rule = (view) =>
  view.plan.parts.flatMap((part) =>
    part.kind !== 'master'
      ? []
      : part.ports.flatMap((port): Snag[] => {
          const fed = (endsByPart(view).get(part.id) ?? []).some(
            ({ line, end, at }) => at.port.id === port.id && line.ports[end === 'a' ? 'b' : 'a']?.part.kind === 'reservoir',
          );
          return port.role !== 'feed' || fed
            ? []
            : [
                {
                  rule: 'master-dry',
                  level: 'stop',
                  station: 'plumb',
                  place: { kind: 'port', id: port.id },
                  where: `${part.name}, ${port.name}`,
                  text: 'No reservoir is joined to this feed: the master has nothing to draw from.',
                },
              ];
        }),
  );
