import { boreStressMPa } from '../../../physics/hydraulics/index.ts';
import { TUBE_MATTER } from '../../../plan/index.ts';
import { defineRule } from '../../define-rule.ts';
import { onLine, quantityWords } from '../../rule-kit/places.ts';
import { severity } from '../../rule-kit/severity.ts';
import { pressureIn, PRESSURE_READ } from './pressure-in.ts';

/** How far below its yield a tube stays with the most force on the pedal: twice, by our judgement; at once it yields. */
const FACTOR = 2;

/** A tube whose bore comes near to yielding under the most force that the rule allows the foot. Source: Lamé and von Mises (textbook); the factor is ours. */
export const tubeStrength = defineRule({
  id: 'tube-strength',
  station: 'size',
  about: 'line',
  reads: [...PRESSURE_READ, 'circuits'],
  judge: (line, view) => {
    const mpa = pressureIn(view, view.circuits.get(line.line.circuitId)!);
    if (mpa <= 0) return [];
    const { yieldMPa } = TUBE_MATTER[line.tube.material];
    const factor = yieldMPa / boreStressMPa(mpa, line.tube);
    const is = severity(factor, FACTOR, 0, { slight: 0.05, grave: 1 });
    if (!is) return [];
    const { pressure } = quantityWords(view);
    const most = pressure((factor * mpa) / FACTOR, 1);
    return {
      level: is.level,
      place: onLine(line),
      where: line.line.name,
      text:
        is.level === 'stop'
          ? `At ${pressure(mpa, 1)} this tube yields: it begins at ${pressure(factor * mpa, 1)}. Use a smaller tube, a thicker wall, or steel.`
          : `It will see ${pressure(mpa, 1)} at the most pedal force, and half of what makes it yield is ${most}. Use a smaller tube, a thicker wall, or steel, or enter why it holds.`,
    };
  },
});
