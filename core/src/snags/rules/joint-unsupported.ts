import { gapTo } from '../../frame/index.ts';
import { isJoint, obstaclesOf } from '../../plan/index.ts';
import { lengthWords, type Rule, type Snag } from '../snag.ts';

/** A tee, block or union that hangs on its tubes works them loose. Common practice. */
export const jointUnsupported: Rule = (view) => {
  const holders = obstaclesOf(view.plan).filter(({ thing }) => thing.holds);
  if (!holders.length) return [];
  const { reachMm } = view.plan.holding;
  return view.plan.parts.flatMap((part): Snag[] => {
    const places = part.ports.flatMap((port) => [view.ports.get(port.id)!.fixed.atMm]);
    if (!isJoint(part) || !places.length || places.some((at) => holders.some((holder) => gapTo(holder, at, at, reachMm))))
      return [];
    return [
      {
        rule: 'joint-unsupported',
        level: 'mind',
        station: 'route',
        place: { kind: 'port', id: part.ports[0]!.id },
        where: part.name,
        text: `Nothing to fix it to lies within ${lengthWords(view).full(reachMm)}: it would hang on its tubes.`,
      },
    ];
  });
};
