import { feedsOf, galleriesOf } from '../../../plan/network/index.ts';
import { endsByPart } from './_ends-by-part.ts';
import { defineRule, type Finding } from '../../define-rule.ts';

/** Parts that work one way only. */
const ONE_WAY = new Set([
  'proportioning-valve',
  'residual-valve',
  'combination-valve',
  'modulator',
  'handbrake-cylinder',
  'parking-valve',
  'metering-valve',
  'load-valve',
  'delay-valve',
]);

/** A valve to which pressure comes by its outlet faces the wrong way: of each gallery the port that is reached first is where it comes in. */
export const valveBackwards = defineRule({
  id: 'valve-backwards',
  station: 'plumb',
  about: 'plan',
  reads: ['circuits', 'lines', 'network', 'plan.hoses', 'plan.parts', 'ports'],
  judge: (view) => {
    const feeds = feedsOf(view.network, view.plan.parts);
    return view.plan.parts
      .filter(({ kind }) => ONE_WAY.has(kind))
      .flatMap((part) =>
        galleriesOf(part).flatMap((gallery): Finding[] => {
          const reached = feeds.find((feed) =>
            gallery.some(({ id }) => feed.reached.has(id)),
          )?.reached;
          const first = [...(reached?.values() ?? [])].find(({ port }) =>
            gallery.some(({ id }) => id === port),
          );
          const port = gallery.find(({ id }) => id === first?.port);
          if (port?.role !== 'outlet') return [];
          const by = endsByPart(view)
            .get(part.id)
            ?.find(({ at }) => at.port.id === port.id);
          const text = `${by?.name ?? 'The line'} brings pressure to the valve’s outlet (${port.name}): the valve faces the wrong way. Turn it round.`;
          return [{ level: 'stop', place: { kind: 'port', id: port.id }, where: part.name, text }];
        }),
      );
  },
});
