import { figure } from '../../../lib/faults/index.ts';
import { threadLeft } from '../../../physics/wheel-ends/index.ts';
import type { Plan } from '../../../plan/index.ts';
import { boltThreadName } from '../../../trade/stock/index.ts';
import type { Gathered, Use } from './gathered.ts';

/** Nuts, studs and spacers of the wheels that were measured. */
export function wheelParts(
  { things, wheelEnds }: Pick<Plan, 'things' | 'wheelEnds'>,
  to: Gathered,
): void {
  const known = new Map(things.map((thing) => [thing.id, thing]));
  for (const { key, studs, spacerMm, hand } of wheelEnds.wheels) {
    const wheel = known.get(key);
    if (!wheel) continue;
    const use: Use = { text: wheel.name, place: { kind: 'thing', id: key } };
    const group = 'Wheels';
    if (spacerMm > 0)
      to.add(
        { key: `spacer:${spacerMm}`, group, name: `Wheel spacer, ${figure(spacerMm, 1)} mm` },
        1,
        use,
      );
    if (!studs) continue;
    const thread = `${boltThreadName(studs)}${hand === 'left' ? ', left-hand' : ''}`;
    const seat = studs.seat ? `, ${studs.seat} seat` : '';
    to.add(
      { key: `wheel-nut:${thread}${seat}`, group, name: `Wheel nut ${thread}${seat}` },
      studs.count,
      use,
    );
    const { holds, leftMm, needMm } = threadLeft(studs, spacerMm);
    const longerMm = Math.ceil(studs.lengthMm + needMm - leftMm);
    if (!holds)
      to.add(
        {
          key: `wheel-stud:${thread}:${longerMm}`,
          group,
          name: `Wheel stud ${thread}, ${longerMm} mm or more out of the hub`,
        },
        studs.count,
        use,
      );
  }
}
