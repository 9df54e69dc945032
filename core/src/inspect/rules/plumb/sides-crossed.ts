import { brakesBehind, isAt, servedBy } from '../../../plan/network/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { onPart } from '../../rule-kit/places.ts';
import { placeOf, PURPOSE_READS, feedsIn } from './_purpose.ts';

const words = (corner: string): string => corner.replace('-', ' ');

/**
 * A modulator's outlet to another wheel than the one it serves, or a toe pedal or hand lever of one side to the other:
 * anti-lock lets go of the wrong wheel, and the vehicle turns the wrong way. Common practice.
 */
export const sidesCrossed = defineRule({
  id: 'sides-crossed',
  station: 'plumb',
  about: 'plan',
  reads: PURPOSE_READS,
  judge: (view) => {
    const { network, plan } = view;
    const modulators = plan.parts.filter(({ kind }) => kind === 'modulator');
    const byOutlet = modulators.flatMap((part) =>
      part.ports.flatMap((port): Finding[] => {
        const corner = port.role === 'outlet' ? servedBy(port) : null;
        if (!corner) return [];
        const wrong = brakesBehind(network, plan.parts, part, [port]).find(
          (brake) => !isAt(corner, placeOf(view, brake)),
        );
        return wrong
          ? [
              {
                level: 'stop',
                place: { kind: 'port', id: port.id },
                where: part.name,
                text: `The outlet “${port.name}” serves the ${words(corner)} and leads to ${wrong.name}: anti-lock would release the wrong wheel. Swap the lines at the modulator.`,
              },
            ]
          : [];
      }),
    );
    const byPedal = feedsIn(view).flatMap(({ master, pedal, brakes }): Finding[] => {
      const [, side] = pedal.split('-') as [string, ('left' | 'right')?];
      if (!side) return [];
      const wrong = brakes.find((brake) => {
        const on = placeOf(view, brake).side;
        return on !== null && on !== side;
      });
      return wrong
        ? [
            {
              level: 'stop',
              place: onPart(master),
              where: master.name,
              text: `It is worked on the ${side} and presses ${wrong.name} on the other side: the vehicle turns the wrong way. Swap the lines.`,
            },
          ]
        : [];
    });
    return [...byOutlet, ...byPedal];
  },
});
