import { tubeBoreMm } from '../../../trade/stock/index.ts';
import { isInline } from '../../../plan/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { lengthWords, onPart } from '../../rule-kit/places.ts';
import { NARROW_MM, RISE_MM } from './high-point.ts';

/** How far a line goes down from its first place before it rises again, mm. */
function fallMm(heights: readonly number[]): number {
  let low = heights[0]!;
  for (const height of heights) {
    if (height > low + 1e-9) break;
    low = height;
  }
  return heights[0]! - low;
}

/** A tee, union or valve from which every line goes down, and that has no bleeder: a bubble stays at the top of what joins them. Common practice. */
export const highJoint = defineRule({
  id: 'high-joint',
  station: 'route',
  about: 'plan',
  reads: ['lines', 'plan.parts'],
  judge: (view) => {
    const { full } = lengthWords(view);
    // Heights of each line as it leaves a port.
    const leaving = new Map(
      view.lines.flatMap(({ line, nodesMm, tube }) => {
        const heights = nodesMm.map(([, , z]) => z);
        const ends = [
          [line.ends.a.portId, heights],
          [line.ends.b.portId, heights.toReversed()],
        ] as const;
        return heights.length < 2
          ? []
          : ends.map(([portId, from]) => [portId, { heights: from, tube }] as const);
      }),
    );
    return view.plan.parts.flatMap((part): Finding[] => {
      if (!isInline(part) || part.ports.some(({ role }) => role === 'bleeder')) return [];
      const away = part.ports.flatMap(({ id }) => leaving.get(id) ?? []);
      const least = Math.min(...away.map(({ heights }) => fallMm(heights)));
      if (away.length < 2 || least < RISE_MM) return [];
      const wide = away.some(({ tube }) => tubeBoreMm(tube) > NARROW_MM);
      return [
        {
          level: wide ? 'caution' : 'note',
          place: onPart(part),
          where: part.name,
          text: `Every line falls away from it, by ${full(least)} and more, and it has no bleeder, so air collects in it${wide ? ', and climbs back after each stroke. Mount it lower, or use one with a bleeder' : '. A brisk flow carries it through these bores'}.`,
        },
      ];
    });
  },
});
