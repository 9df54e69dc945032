import { components, underPressure } from '../../../physics/flow-graph/index.ts';
import { makesPressure } from '../../../plan/index.ts';
import { galleriesOf } from '../../../plan/network/index.ts';
import { endsByPart, ENDS_READ } from './_ends-by-part.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { onPart } from '../../rule-kit/places.ts';

/** Two circuits that draw from one undivided bottle are both lost by one leak. Source: FMVSS 135 S5.4.2 asks a compartment for each (from memory). */
export const reservoirShared = defineRule({
  id: 'reservoir-shared',
  station: 'plumb',
  about: 'plan',
  reads: ['network', 'plan.parts', ...ENDS_READ],
  judge: (view) => {
    const { network } = view;
    const group = components(network, underPressure);
    const groupOf = (port: string): number | undefined => group[network.index.get(port) ?? -1];
    const chambers = view.plan.parts.filter(makesPressure).flatMap((master) => {
      const brakes = (endsByPart(view).get(master.id) ?? []).filter(
        ({ at, circuit }) => at.port.role === 'outlet' && circuit.work === 'brake',
      );
      const feeds = master.ports.filter(({ role }) => role === 'feed');
      const outlets = master.ports.filter(({ role }) => role === 'outlet');
      return brakes.flatMap(({ at, circuit }) => {
        const own = feeds.length === outlets.length ? [feeds[outlets.indexOf(at.port)]!] : feeds;
        return own.map((feed) => ({ circuit, group: groupOf(feed.id) }));
      });
    });
    return view.plan.parts
      .filter(({ kind }) => kind === 'reservoir')
      .flatMap((part): Finding[] => {
        const shared = galleriesOf(part).map((gallery) => {
          const own = new Set(gallery.map(({ id }) => groupOf(id)));
          return [
            ...new Set(
              chambers.filter((one) => own.has(one.group)).map(({ circuit }) => circuit.name),
            ),
          ];
        });
        const circuits = shared.find((names) => names.length > 1);
        return circuits
          ? [
              {
                level: 'caution',
                place: onPart(part),
                where: part.name,
                text: `${circuits.join(' and ')} draw from one reservoir. Without a wall inside, one leak empties both. If it has a wall, set that under Passages.`,
              },
            ]
          : [];
      });
  },
});
