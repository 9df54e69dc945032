import { brakesBehind } from '../../../plan/network/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { onPart } from '../../rule-kit/places.ts';

/** Anti-lock is tuned for the pistons, tires and masses that it was made with. Common practice; the maker decides. */
export const modulatorTuning = defineRule({
  id: 'modulator-tuning',
  station: 'plumb',
  about: 'plan',
  reads: ['network', 'plan.log', 'plan.parts'],
  judge: ({ network, plan }) =>
    plan.parts
      .filter(({ kind, facts }) => kind === 'modulator' && !facts?.tuned)
      .flatMap((modulator): Finding[] => {
        const brakes = brakesBehind(network, plan.parts, modulator);
        if (!brakes.length) return [];
        const changed = modulator.kept ? brakes.filter(({ kept }) => !kept) : [modulator];
        if (!changed.length && !plan.log.earlier.length) return [];
        const what = changed.length
          ? `${changed.map(({ name }) => name).join(', ')} ${changed.length === 1 ? 'is' : 'are'} not the original fitment`
          : 'The vehicle was changed earlier';
        return [
          {
            level: 'caution',
            place: onPart(modulator),
            where: modulator.name,
            text: `${what}, and anti-lock is tuned for given pistons, tires and masses. Ask its maker whether the tuning still holds.`,
          },
        ];
      }),
});
