import { isProven } from '../../../stations/make/making/index.ts';
import { FLARES, tubeLabel } from '../../../trade/stock/index.ts';
import { defineRule } from '../../define-rule.ts';

/** A flare that nobody has seen to be good from this tool in this tube is tried on scrap first. */
export const testPiece = defineRule({
  id: 'test-piece',
  station: 'make',
  about: 'plan',
  reads: ['lines', 'plan.bench'],
  judge: ({ lines, plan }) => {
    const wanted = new Map<string, string>();
    for (const { line, tube } of lines)
      if (line.origin === 'made')
        for (const { flare } of [line.ends.a, line.ends.b])
          if (!isProven(plan.bench, flare, tube))
            wanted.set(
              `${flare} ${tube.id}`,
              `${FLARES[flare].name.toLowerCase()} in ${tubeLabel(tube)}`,
            );
    if (!wanted.size) return [];
    const list = [...wanted.values()];
    return {
      level: 'note',
      text: `Make a test piece first: ${list.length > 3 ? `${list.slice(0, 3).join('; ')} and ${list.length - 3} more` : list.join('; ')}. The card says what to check.`,
    };
  },
});
