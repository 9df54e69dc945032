import type { LineView } from '../../../plan/index.ts';
import { defineRule } from '../../define-rule.ts';
import { lengthWords, onLine } from '../../rule-kit/places.ts';
import { severity } from '../../rule-kit/severity.ts';

/**
 * Least radius of a die's center line, in diameters of the tube: 2 for soft steel and copper-nickel, 2.5 for stainless,
 * half a diameter more for a wall thinner than a tenth of it. Common practice for brake tube bent without a mandrel,
 * from memory; the bender's sheet comes first.
 */
const leastOf = ({ tube }: LineView): number =>
  (tube.material === 'stainless' ? 2.5 : 2) + (tube.wallMm / tube.odMm < 0.1 ? 0.5 : 0);
/** At this or less it flattens or kinks. Common practice. */
const KINKS = 1.2;

/** A die too tight for tube, wall and material flattens the bend. Common practice, from memory; the bender's sheet comes first. */
export const dieTight = defineRule({
  id: 'die-tight',
  station: 'make',
  about: 'line',
  reads: [],
  judge: (line, view) => {
    if (!line.card?.bends.length) return [];
    const { bender, tube } = line;
    const least = leastOf(line);
    const is = severity(bender.dieRadiusMm / tube.odMm, least, 0, { slight: 0.1, grave: KINKS });
    if (!is) return [];
    const { full, bare } = lengthWords(view);
    return {
      level: is.level,
      place: onLine(line),
      where: line.line.name,
      text: `${bender.name} bends to a radius of ${full(bender.dieRadiusMm, 1)}, ${bare(least * tube.odMm, 1)} is usual for this tube and wall: ${is.level === 'stop' ? 'it kinks' : 'it can flatten on the outside'}. Use a larger die, or test it on scrap.`,
    };
  },
});
