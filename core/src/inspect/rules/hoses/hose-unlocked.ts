import { defineRule } from '../../define-rule.ts';

/** A hose end through a bracket turns loose without its lock nut or clip. Common practice. */
export const hoseUnlocked = defineRule({
  id: 'hose-unlocked',
  station: 'route',
  about: 'hose',
  reads: [],
  judge: ({ hose, fittings }) => {
    const through =
      fittings.a.kind === 'bulkhead' || (hose.fixing === 'bracket' && hose.ends.a.through);
    if (!through || hose.locked) return null;
    return {
      level: 'caution',
      text: 'No lock nut or clip holds the hose end in its bracket. It turns with the tube nut and works loose.',
      fix: () => ({
        label: 'It is locked',
        call: { edit: 'changeHose', with: { id: hose.id, patch: { locked: true } } },
      }),
    };
  },
});
