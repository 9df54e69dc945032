import { benderFor } from '../../../plan/index.ts';
import { defineRule, type Fix } from '../../define-rule.ts';
import { lengthWords, onLine } from '../../rule-kit/places.ts';

/** A die that is not made for the tube flattens or scores it. */
export const benderSize = defineRule({
  id: 'bender-size',
  station: 'make',
  about: 'line',
  reads: ['plan.bench'],
  judge: (line, view) => {
    const { bare, full } = lengthWords(view);
    const { bender, tube } = line;
    if (Math.abs(bender.tubeOdMm - tube.odMm) <= 0.1) return [];
    const right = benderFor(view.plan.bench, tube.odMm);
    const fix = (): Fix | undefined =>
      right && {
        label: `Use ${right.name}`,
        call: { edit: 'changeLine', with: { id: line.line.id, patch: { benderId: right.id } } },
      };
    const text = `${bender.name} is cut for ${full(bender.tubeOdMm, 2)} tube and this line is ${bare(tube.odMm, 2)}.`;
    return [
      {
        level: 'stop',
        place: onLine(line),
        where: line.line.name,
        text,
        fix,
      },
    ];
  },
});
