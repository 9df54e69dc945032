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
        ? 'A zip tie holds the joint of tube and hose. That is not for the road: fit a bracket.'
        : 'Nothing holds the joint of tube and hose. The tube flexes with the hose and cracks: fit a bracket.',
      fix: () => ({
        label: 'A bracket holds it',
        call: { edit: 'changeHose', with: { id: hose.id, patch: { fixing: 'bracket' } } },
      }),
    };
  },
});
