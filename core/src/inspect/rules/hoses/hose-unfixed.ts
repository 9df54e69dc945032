import { defineRule } from '../../define-rule.ts';

/** Where tube meets hose there is a fixed bracket; a zip tie is a thing for a day. Common practice. */
export const hoseUnfixed = defineRule({
  id: 'hose-unfixed',
  station: 'route',
  about: 'hose',
  reads: [],
  judge: ({ hose }) => {
    if (hose.service === 'feed' || hose.fixing === 'bracket' || hose.fixing === 'part') return null;
    const tied = hose.fixing === 'zip-tie';
    return {
      level: 'stop',
      text: tied
        ? 'A zip tie holds it where tube meets hose: that is for a day, not for the road. Fix a bracket.'
        : 'Nothing holds it where tube meets hose: the tube bends each time the hose does, and cracks. Fix a bracket.',
      fix: () => ({
        label: 'A bracket holds it',
        call: { edit: 'changeHose', with: { id: hose.id, patch: { fixing: 'bracket' } } },
      }),
    };
  },
});
