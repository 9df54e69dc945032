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
    const proof = 'ask whoever makes it up for a certificate of its proof test.';
    // A vehicle whose use nobody has set down may be one for the road.
    return ROAD.includes(sizing?.category ?? (trailer ? 'trailer' : 'light'))
      ? {
          level: 'mind',
          text: `It is made up with reusable ends: on the road US rules want them crimped or swaged and the hose marked (49 CFR 571.106, from memory), others a type approval. Look at yours, and ${proof}`,
        }
      : { level: 'note', text: `It is made up with reusable ends: ${proof}` };
  },
});
