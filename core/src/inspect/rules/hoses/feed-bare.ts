import { defineRule } from '../../define-rule.ts';

/** A reservoir that stands away from its master wants a gauze before the hose. Common practice. */
export const feedBare = defineRule({
  id: 'feed-bare',
  station: 'route',
  about: 'hose',
  reads: [],
  judge: ({ hose }) =>
    hose.service === 'feed' && !hose.gauze
      ? {
          level: 'note',
          text: 'No strainer entered in front of it. Dirt from the reservoir reaches the seals.',
          fix: () => ({
            label: 'There is a strainer',
            call: { edit: 'changeHose', with: { id: hose.id, patch: { gauze: true } } },
          }),
        }
      : null,
});
