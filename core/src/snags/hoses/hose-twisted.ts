import { figure } from '../../fault/index.ts';
import { defineRule } from '../define-rule.ts';

/** A twist this small is taken up. Common practice. */
const TAKEN_DEG = 5;

/** Neither end turns under its nut, so mounting or the travel itself twists the hose. */
export const hoseTwisted = defineRule({
  id: 'hose-twisted',
  station: 'route',
  about: 'hose',
  reads: [],
  judge: ({ fittings, twistDeg, states, hose }) => {
    if (fittings.a.swivels || fittings.b.swivels || !states.length) return null;
    const patch = { ends: { ...hose.ends, b: { ...hose.ends.b, fittingId: 'straight-swivel' } } };
    return {
      level: twistDeg > TAKEN_DEG ? 'stop' : 'mind',
      text: `Neither end can turn: tightening the second one twists it${twistDeg > TAKEN_DEG ? `, and the travel adds ${figure(twistDeg)}°` : ''}. One end should be a swivel or a banjo.`,
      fix: () => ({ label: 'Swivel at end B', call: { edit: 'changeHose', with: { id: hose.id, patch } } }),
    };
  },
});
