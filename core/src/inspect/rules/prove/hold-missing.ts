import { wholeView } from '../../rule-kit/whole-view.ts';
import { provingTests } from '../../../stations/prove/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { begunProving, PROVE_READS } from './_shared.ts';

/** Driven or signed on a circuit that nobody held under pressure, or that fell. Common practice. */
export const holdMissing = defineRule({
  id: 'hold-missing',
  station: 'prove',
  about: 'plan',
  reads: PROVE_READS,
  judge: (view) => {
    if (!begunProving(view)) return [];
    const { stops, signed } = view.plan.proving;
    const driven =
      stops.length > 0 ||
      signed.length > 0 ||
      view.plan.proving.rounds.some(({ key }) => key === 'walking' || key === 'site');
    return provingTests(wholeView(view)).flatMap(({ hold, key, name, state, note }): Finding[] => {
      if (!hold) return [];
      const repeats = `test:${key}`;
      const place = { kind: 'circuit', id: hold.circuitId } as const;
      if (state === 'bad') return [{ level: 'stop', place, where: name, text: note, repeats }];
      return (state === 'open' || state === 'locked') && driven
        ? [
            {
              level: 'stop',
              place,
              where: name,
              repeats,
              text: 'Driven or signed without a pressure hold test. Do the test before driving again.',
            },
          ]
        : [];
    });
  },
});
