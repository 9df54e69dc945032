import { angleDeg, distance, sub } from '../../../lib/vec/index.ts';
import { defineRule } from '../../define-rule.ts';
import { lengthWords, onLine } from '../../rule-kit/places.ts';

/** How deep an end sits in its seat, mm. Common practice. */
const SEATED_MM = 10;
/** What a tube's skin may be stretched before it stays bent: about yield over Young's modulus of soft steel tube. Common practice. */
const ELASTIC = 0.0015;
/** Straight, as a tube that was bent is straight, degrees. */
const STRAIGHT_DEG = 3;

/**
 * A tube that runs straight from seat to seat is drawn out only by bowing it: an arc over a chord L is longer
 * by 8s²/3L, and its skin is stretched by 4·od·s/L² (plane geometry). Short ones stay bent.
 */
export const cannotWithdraw = defineRule({
  id: 'cannot-withdraw',
  station: 'route',
  about: 'line',
  reads: [],
  judge: (line, view) => {
    const { a, b } = line.ports;
    if (!line.card || line.card.bends.length || !a || !b) return [];
    const [from, to] = [line.nodesMm[0]!, line.nodesMm.at(-1)!];
    const along = sub(to, from);
    if (
      angleDeg(a.port.direction, along) > STRAIGHT_DEG ||
      angleDeg(b.port.direction, sub(from, to)) > STRAIGHT_DEG
    )
      return [];
    const longMm = distance(from, to);
    const bowMm = Math.sqrt((3 * longMm * SEATED_MM) / 8);
    if ((4 * line.tube.odMm * bowMm) / longMm ** 2 <= ELASTIC) return [];
    const { full } = lengthWords(view);
    return [
      {
        level: 'caution',
        place: onLine(line),
        where: line.line.name,
        text: `The line is straight from seat to seat. To get an end out it must bow by ${full(bowMm)}, and ${full(longMm)} of that stay bent. Add two bends.`,
      },
    ];
  },
});
