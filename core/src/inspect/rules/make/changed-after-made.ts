import { defineRule } from '../../define-rule.ts';
import { onLine } from '../../rule-kit/places.ts';

/** An edit un-proves the work that was ticked to an older card. */
export const changedAfterMade = defineRule({
  id: 'changed-after-made',
  station: 'make',
  about: 'line',
  reads: [],
  judge: (line) => {
    const count = line.line.ticks.filter((tick) => tick.digest !== line.digest).length;
    if (!count) return [];
    const text = `${count === 1 ? '1 step was' : `${count} steps were`} ticked on an older card. Check the tube against the new card, and tick again what still matches.`;
    return [{ level: 'caution', place: onLine(line), where: line.line.name, text }];
  },
});
