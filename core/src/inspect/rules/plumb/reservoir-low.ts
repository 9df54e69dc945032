import { reservoirsOf } from '../../../plan/network/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { lengthWords, onPart } from '../../rule-kit/places.ts';

/** Fluid runs down to a master: a reservoir below it feeds nothing. Common practice. */
export const reservoirLow = defineRule({
  id: 'reservoir-low',
  station: 'plumb',
  about: 'plan',
  reads: ['network', 'plan.parts', 'ports'],
  judge: (view) => {
    const { network, plan, ports } = view;
    const { full } = lengthWords(view);
    const heightMm = (portId: string): number => ports.get(portId)!.fixed.atMm[2];
    return plan.parts
      .filter(({ kind }) => kind === 'master')
      .flatMap((master) =>
        master.ports
          .filter(({ role }) => role === 'feed')
          .flatMap((feed): Finding[] => {
            const low = reservoirsOf(network, plan.parts, master, feed).find((reservoir) => {
              const levelMm =
                reservoir.figures.levelMm ??
                Math.max(...reservoir.ports.map(({ id }) => heightMm(id)));
              return levelMm < heightMm(feed.id);
            });
            return low
              ? [
                  {
                    level: 'stop',
                    place: onPart(low),
                    where: low.name,
                    text: `Its fluid stands below the feed of ${master.name}, at ${full(heightMm(feed.id))}: nothing runs to the master, and it draws air. Mount the reservoir higher.`,
                  },
                ]
              : [];
          }),
      );
  },
});
