import { defineRule, type Finding } from '../../define-rule.ts';
import { onPart } from '../../rule-kit/places.ts';
import { endsByPart, ENDS_READ } from './_ends-by-part.ts';

/** A part in a line that nobody knows the purpose of: it may hold pressure back, or hold it in. */
export const purposeUnknown = defineRule({
  id: 'purpose-unknown',
  station: 'plumb',
  about: 'plan',
  reads: [...ENDS_READ, 'plan.parts'],
  judge: (view) =>
    view.plan.parts.flatMap((part): Finding[] => {
      if (
        part.kind !== 'other' ||
        part.facts?.copied ||
        (endsByPart(view).get(part.id) ?? []).length < 2
      )
        return [];
      return [
        {
          level: 'mind',
          place: onPart(part),
          where: part.name,
          text: 'It stands in the line and nothing says what it does: it may hold pressure back or hold it in. Look its number up and choose its kind, or set down that it is kept as it was.',
          fix: () => ({
            label: 'Kept as it was',
            call: {
              edit: 'changePart',
              with: { id: part.id, patch: { facts: { ...part.facts, copied: true } } },
            },
          }),
        },
      ];
    }),
});
