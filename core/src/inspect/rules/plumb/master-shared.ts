import { endsByPart, ENDS_READ } from './_ends-by-part.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { onPart } from '../../rule-kit/places.ts';

/** A clutch on the brakes' master takes its fluid with it when it leaks. */
export const masterShared = defineRule({
  id: 'master-shared',
  station: 'plumb',
  about: 'plan',
  reads: ['plan.parts', ...ENDS_READ],
  judge: (view) =>
    view.plan.parts.flatMap((part): Finding[] => {
      if (part.kind !== 'master') return [];
      const works = new Set(
        (endsByPart(view).get(part.id) ?? [])
          .filter(({ at }) => at.port.role === 'outlet')
          .map(({ circuit }) => circuit.work),
      );
      return works.size > 1
        ? [
            {
              level: 'stop',
              place: onPart(part),
              where: part.name,
              text: 'Brakes and clutch hang on one master: give each its own.',
            },
          ]
        : [];
    }),
});
