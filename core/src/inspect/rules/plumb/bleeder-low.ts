import { distance, unit } from '../../../lib/vec/index.ts';
import { BODY_MM } from '../../../plan/network/index.ts';
import { isSpareBleeder } from '../../../plan/results/index.ts';
import { defineRule } from '../../define-rule.ts';
import { lengthWords } from '../../rule-kit/places.ts';

/** One that points down by more than this hangs under its part: level and slanting ones are common. Common practice. */
const LEAST_RISE = -0.2;
/** How far a bleeder may lie under another port of the same body before air stays behind. */
const SLACK_MM = 5;

/** Air leaves at the top: no other port of a bleeder's body lies over it, and it does not hang down. */
export const bleederLow = defineRule({
  id: 'bleeder-low',
  station: 'plumb',
  about: 'port',
  reads: ['ports'],
  judge: ({ part, port, fixed }, view) => {
    if (port.role !== 'bleeder') return [];
    if (isSpareBleeder(part, port, view.ports))
      return {
        level: 'note',
        text: 'A second bleeder, below the other: keep it shut and bleed at the upper one.',
      };
    if ((unit(port.direction)?.[2] ?? 0) < LEAST_RISE)
      return {
        level: 'stop',
        text: 'The bleeder points down, so air stays trapped above it. Check that the part is on the right side of the vehicle.',
      };
    const others = part.ports
      .filter((p) => p.id !== port.id && p.role !== 'bleeder')
      .map((p) => view.ports.get(p.id)!.fixed.atMm);
    const onBody = others.filter((at) => distance(at, fixed.atMm) < BODY_MM);
    const above = Math.max(...onBody.map((at) => at[2]), -Infinity) - fixed.atMm[2];
    return (
      above > SLACK_MM && {
        level: 'stop',
        text: `The bleeder is ${lengthWords(view).full(above)} below another port of the same part, so air stays trapped.`,
      }
    );
  },
});
