import { isMade, orderOf } from '../../../stations/make/making/index.ts';
import { defineRule } from '../../define-rule.ts';
import { onLine } from '../../rule-kit/places.ts';

/** A bend that no order leaves room for in this bender wants another way. */
export const noOrder = defineRule({
  id: 'no-order',
  station: 'make',
  about: 'line',
  reads: [],
  together: {
    where: 'Bending',
    text: (count, names) =>
      `No bending order works for ${count} bends: ${names}. Make those bends by hand or where there is more room, or split the lines there with a union.`,
  },
  judge: (line) => {
    if (line.line.origin !== 'made' || isMade(line)) return [];
    return (orderOf(line)?.hits ?? []).map(({ bend, what }) => ({
      level: 'caution',
      place: onLine(line, line.card!.bends[bend]!.node),
      where: line.line.name,
      text: `No bending order works in ${line.bender.name}: at bend ${bend + 1} the tube meets ${what}. Make that bend by hand or where there is more room, or split the line there with a union.`,
    }));
  },
});
