import { mapVec, addScaled, rotate, squareTo, unit, type Vec3 } from '../../../lib/vec/index.ts';
import { gapTo, type Obstacle } from '../../../shape/obstacles/index.ts';
import { drawnBackMm, toolingOf } from '../../../plan/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { ENDS, cornerAt, endName, lengthWords, onLine } from '../../rule-kit/places.ts';

/** A flare wrench: how long, how thick its handle; and how far it must swing to take the next two flats. Common practice. */
export const WRENCH_MM = 120;
const HANDLE_MM = 6;
const STEP_DEG = 30;
/** Whether a wrench on a nut has two neighboring places round it. */
export function swings(nut: Vec3, along: Vec3, obstacles: readonly Obstacle[]): boolean {
  const arm = squareTo(along);
  const free = Array.from({ length: 360 / STEP_DEG }, (_, i) => {
    const way = rotate(arm, along, i * STEP_DEG);
    const [from, to] = [addScaled(nut, way, HANDLE_MM * 2), addScaled(nut, way, WRENCH_MM)];
    return !obstacles.some(
      (o) => (gapTo(o, from, to, HANDLE_MM)?.distanceMm ?? Infinity) < HANDLE_MM,
    );
  });
  return free.some((one, i) => one && free[(i + 1) % free.length]);
}

/** A joint must be reached: room to swing a wrench, and to draw the nut back along its tube. */
export const wrenchRoom = defineRule({
  id: 'wrench-room',
  station: 'route',
  about: 'space',
  reads: ['obstacles', 'plan.bench'],
  judge: (line, space, view) => {
    const { obstacles } = view;
    return ENDS.flatMap((end): Finding[] => {
      if (!line.ports[end]) return [];
      const points = end === 'a' ? space.points : [...space.points].reverse();
      const along = unit(mapVec(points[1]!, (v, i) => v - points[0]![i]!));
      if (!along) return [];
      const nutMm = toolingOf(line.line.ends[end], view.plan.bench).nutLengthMm;
      const near = obstacles.filter(
        (o) => !o.thing.travel && gapTo(o, points[0]!, points[0]!, WRENCH_MM + nutMm),
      );
      const snag = (text: string): Finding => ({
        level: 'caution',
        place: onLine(line, cornerAt(line, end)),
        where: `${line.line.name}, ${endName(end)}`,
        text,
      });
      if (!swings(addScaled(points[0]!, along, nutMm / 2), along, near))
        return [
          snag(
            `No room to swing a wrench: no two positions ${STEP_DEG}° apart are clear for ${lengthWords(view).full(WRENCH_MM)} around the nut.`,
          ),
        ];
      const back = [
        addScaled(points[0]!, along, nutMm),
        addScaled(points[0]!, along, drawnBackMm(nutMm)),
      ] as const;
      const blocked = near.find(
        (o) => (gapTo(o, ...back, HANDLE_MM)?.distanceMm ?? Infinity) < HANDLE_MM,
      );
      return blocked
        ? [snag(`No room to slide the nut back: ${blocked.thing.name} is in the way.`)]
        : [];
    });
  },
});
