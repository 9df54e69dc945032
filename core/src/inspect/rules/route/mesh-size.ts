import { defineRule, type Finding } from '../../define-rule.ts';
import { lengthWords } from '../../rule-kit/places.ts';

/** Nothing on a vehicle is longer or shorter than this, mm. */
const [LEAST_MM, MOST_MM] = [10, 20_000];
/** Units a mesh may have been drawn in, mm. */
const UNITS = [
  ['inches', 25.4],
  ['meters', 1000],
  ['millimeters', 1],
] as const;

/** A mesh whose size tells of a slip of units, or that could not be read here. */
export const meshSize = defineRule({
  id: 'mesh-size',
  station: 'route',
  about: 'plan',
  reads: ['obstacles'],
  judge: (view) =>
    view.obstacles.flatMap(({ thing, mesh }): Finding[] => {
      const { shape } = thing;
      if (shape.kind !== 'mesh') return [];
      const snag = { place: { kind: 'thing', id: thing.id }, where: thing.name } as const;
      if (!mesh)
        return [
          {
            ...snag,
            level: 'note',
            text: 'The mesh file is not in this browser, so no clearance is checked against it. Import it again.',
          },
        ];
      const longest = Math.max(...mesh.box.max.map((v, i) => v - mesh.box.min[i]!));
      const sized = longest * shape.scale;
      if (sized >= LEAST_MM && sized <= MOST_MM) return [];
      const better = UNITS.find(
        ([, scale]) => scale !== shape.scale && longest * scale >= 100 && longest * scale <= 8000,
      );
      return [
        {
          ...snag,
          level: 'caution',
          text: `It is ${lengthWords(view).full(sized)} across. Was it drawn in other units?`,
          fix: () =>
            better && {
              isFact: true,
              label: `Take it as ${better[0]}`,
              call: {
                edit: 'changeThing',
                with: { id: thing.id, patch: { shape: { ...shape, scale: better[1] } } },
              },
            },
        },
      ];
    }),
});
