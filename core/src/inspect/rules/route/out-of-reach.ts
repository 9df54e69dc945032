import { boxOf, gapTo, solidsOf, type Thing } from '../../../shape/obstacles/index.ts';
import { makesPressure, type Part } from '../../../plan/index.ts';
import { addScaled, unit, type Vec3 } from '../../../lib/vec/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { lengthWords } from '../../rule-kit/places.ts';
import { swings, WRENCH_MM } from './wrench-room.ts';

/** A bleed hose and the thumb that holds it on: how far out of the nipple, and how thick. Common practice. */
const NIPPLE_MM = 15;
const HOSE_MM = 60;
const THUMB_MM = 12;
/** A hand with a bottle over a cap, or a pot's adapter on it: how high over it and how wide. Common practice. */
const OVER_MM = 120;
const HAND_MM = 40;
const UP: Vec3 = [0, 0, 1];
/** A bottle, or what has one on it because nothing feeds it. */
const hasCap = (part: Part): boolean =>
  part.kind === 'reservoir' ||
  (makesPressure(part) && !part.ports.some(({ role }) => role === 'feed'));

/** The middle of the top of a part's body; null where it has none. */
function topOf(things: readonly Thing[], partId: string): Vec3 | null {
  const body = things.find((one) => one.partId === partId);
  const boxes = body ? solidsOf(body.shape).map(boxOf) : [];
  const [box] = boxes.sort((a, b) => b.max[2] - a.max[2]);
  return box ? [(box.min[0] + box.max[0]) / 2, (box.min[1] + box.max[1]) / 2, box.max[2]] : null;
}

/** What is opened again for years: every bleeder and every filler cap is reached with all gates shut. */
export const outOfReach = defineRule({
  id: 'out-of-reach',
  station: 'route',
  about: 'plan',
  reads: ['obstacles', 'plan.gates', 'plan.parts', 'plan.things', 'ports'],
  judge: (view) => {
    const { full } = lengthWords(view);
    const still = view.obstacles.filter(({ thing }) => !thing.travel);
    const gateOver = (at: Vec3) =>
      view.plan.gates.find(({ minMm, maxMm }) =>
        at.every((v, i) => v >= minMm[i]! && v <= maxMm[i]!),
      );
    const blocked = (from: Vec3, to: Vec3, radiusMm: number, but?: string) =>
      still.find(
        (one) =>
          !(but && one.thing.partId === but) &&
          (gapTo(one, from, to, radiusMm)?.distanceMm ?? Infinity) < radiusMm,
      );
    const placeOf = (part: Part, id: string) => ({
      place: { kind: 'port', id } as const,
      where: `${part.name}, ${part.ports.find((port) => port.id === id)!.name}`,
    });
    const bleeder = (part: Part, id: string, at: Vec3, direction: Vec3): Finding[] => {
      const out = unit(direction)!;
      const near = still.filter((one) => gapTo(one, at, at, WRENCH_MM));
      const nipple = blocked(
        addScaled(at, out, NIPPLE_MM),
        addScaled(at, out, NIPPLE_MM + HOSE_MM),
        THUMB_MM,
      );
      const text = gateOver(at)
        ? `${gateOver(at)!.name} covers the bleeder. It has to be opened before bleeding.`
        : !swings(at, out, near)
          ? `No room to swing a wrench: no two positions 30° apart are clear for ${full(WRENCH_MM)}.`
          : nipple &&
            `${nipple.thing.name} stands ${full(HOSE_MM)} or less in front of it, so no bleed hose goes on.`;
      return text ? [{ level: 'caution', ...placeOf(part, id), text }] : [];
    };
    const cap = (part: Part): Finding[] => {
      const [highest] = part.ports
        .map(({ id }) => ({ id, at: view.ports.get(id)!.fixed.atMm }))
        .sort((a, b) => b.at[2] - a.at[2]);
      if (!highest) return [];
      // Its cap is in the middle of its body's top; a part without a body has it over its highest port.
      const top = { id: highest.id, at: topOf(view.plan.things, part.id) ?? highest.at };
      const over = blocked(
        addScaled(top.at, UP, HAND_MM),
        addScaled(top.at, UP, HAND_MM + OVER_MM),
        HAND_MM,
        part.id,
      );
      const gate = gateOver(top.at);
      if (!gate && !over) return [];
      return [
        {
          level: 'caution',
          ...placeOf(part, top.id),
          text: gate
            ? `${gate.name} covers the filler cap, so the level cannot be seen or topped up. Mount a remote reservoir, or fit an access lid.`
            : `${over!.thing.name} is above the filler cap: ${full(OVER_MM)} are needed for a bottle or a pressure bleeder’s cap.`,
        },
      ];
    };
    return view.plan.parts.flatMap((part): Finding[] => [
      ...part.ports
        .filter(({ role }) => role === 'bleeder')
        .flatMap(({ id, direction }) =>
          bleeder(part, id, view.ports.get(id)!.fixed.atMm, direction),
        ),
      ...(hasCap(part) ? cap(part) : []),
    ]);
  },
});
