import { defineRule } from '../../define-rule.ts';

const ROAD: readonly string[] = ['light', 'heavy', 'motorcycle', 'trailer'];
/** A pressure hose made up with reusable ends: US road brakes want theirs crimped or swaged. Source: 49 CFR 571.106 S5.1 (from memory). */
export const hoseMadeUp = defineRule({
  id: 'hose-made-up',
  station: 'route',
  about: 'hose',
  reads: ['plan.sizing', 'plan.trailer'],
  judge: ({ hose }, { plan: { sizing, trailer } }) => {
    if (!hose.madeUp || hose.service !== 'pressure') return null;
    const proof = 'ask the hose shop for a proof test certificate.';
    // A vehicle whose use nobody has set down may be one for the road.
    return ROAD.includes(sizing?.category ?? (trailer ? 'trailer' : 'light'))
      ? {
          level: 'caution',
          text: `The hose has reusable ends. For the road, US rules require crimped or swaged ends and a marked hose (49 CFR 571.106, from memory); others require a type approval. Check your rules, and ${proof}`,
        }
      : { level: 'note', text: `The hose has reusable ends: ${proof}` };
  },
});
