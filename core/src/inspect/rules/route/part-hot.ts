import { byAxis, mapVec, type Vec3 } from '../../../lib/vec/index.ts';
import { boxOf, gapTo, keptFrom, solidsOf, type Thing } from '../../../shape/obstacles/index.ts';
import type { Port } from '../../../plan/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { lengthWords } from '../../rule-kit/places.ts';
import { gradeOf, LEADS } from '../../rule-kit/severity.ts';

/** How wide what drips spreads, mm. Common practice. */
const DRIP_MM = 25;

/** Corners and middle of a body. */
const cornersOf = (thing: Thing): Vec3[] =>
  solidsOf(thing.shape)
    .map(boxOf)
    .flatMap(({ min, max }) => [
      ...[0, 1, 2, 3, 4, 5, 6, 7].map((i) =>
        byAxis((axis) => ((i >> axis) & 1 ? max : min)[axis]!),
      ),
      mapVec(min, (v, i) => (v + max[i]!) / 2),
    ]);

/** Heat boils the fluid in a part as in a line; and fluid that drips on a hot surface burns, however far below it lies. Ours, said to be a judgement. */
export const partHot = defineRule({
  id: 'part-hot',
  station: 'route',
  about: 'part',
  reads: ['obstacles', 'plan.things', 'ports'],
  judge: (part, view) => {
    const hot = view.obstacles.filter(({ thing }) => thing.nature === 'hot');
    if (!hot.length) return [];
    const { full, bare } = lengthWords(view);
    const ports = part.ports.map((port) => ({ port, at: view.ports.get(port.id)!.fixed.atMm }));
    // Heat reaches its body too, told at its first port.
    const body = view.plan.things
      .filter((one) => one.partId === part.id)
      .flatMap((one) =>
        part.ports[0] ? cornersOf(one).map((at) => ({ port: part.ports[0]!, at })) : [],
      );
    // One sentence a part: of what is nearest to something hot, else of what drips on it.
    const near = [...ports, ...body]
      .flatMap(({ port, at }) =>
        hot.flatMap((obstacle) => {
          const wanted = keptFrom(obstacle.thing);
          const gap = gapTo(obstacle, at, at, wanted);
          return gap ? [{ port, thing: obstacle.thing, wanted, mm: gap.distanceMm }] : [];
        }),
      )
      .sort((a, b) => a.mm - b.mm)[0];
    const finding = (level: Finding['level'], port: Port, text: string): Finding[] => [
      { level, place: { kind: 'port', id: port.id }, where: `${part.name}, ${port.name}`, text },
    ];
    if (near) {
      const sigmaMm = Math.max(...view.ports.get(near.port.id)!.fixed.sigmaMm);
      const graded = gradeOf(near.mm, near.wanted, sigmaMm, { slight: 2, grave: 10 });
      return finding(
        graded.level,
        near.port,
        `${near.mm > 0 ? LEADS[graded.grade] : ''}${full(near.mm)} from ${near.thing.name}, ${bare(near.wanted)} required. Its fluid can boil and its seals harden. A heat shield halves the distance needed.`,
      );
    }
    const over = ports.flatMap(({ port, at }) =>
      hot
        .filter((obstacle) => gapTo(obstacle, at, [at[0], at[1], 0], DRIP_MM))
        .map(({ thing }) => ({ port, thing })),
    )[0];
    return over
      ? finding(
          'caution',
          over.port,
          `${over.thing.name} is below it, and fluid that drips from this joint burns. Move it aside, or fit a drip tray.`,
        )
      : [];
  },
});
