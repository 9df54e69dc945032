import { defineRule } from '../../define-rule.ts';

/** Neither end turns under its nut: tightening the second one twists the hose. */
export const hoseTwisted = defineRule({
  id: 'hose-twisted',
  station: 'route',
  about: 'hose',
  reads: [],
  judge: ({ fittings, states, hose }) => {
    if (fittings.a.swivels || fittings.b.swivels || !states.length) return null;
    const patch = { ends: { ...hose.ends, b: { ...hose.ends.b, fittingId: 'straight-swivel' } } };
    return {
      level: 'caution',
      text: 'Neither end can turn, so tightening the second one twists the hose. Use a swivel or a banjo at one end.',
      fix: () => ({
        label: 'Swivel at end B',
        call: { edit: 'changeHose', with: { id: hose.id, patch } },
      }),
    };
  },
});
