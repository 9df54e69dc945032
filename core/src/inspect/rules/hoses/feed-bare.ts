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
          text: 'No gauze is set down before it: what falls into the reservoir goes on to the seals.',
          fix: () => ({
            label: 'It has one',
            call: { edit: 'changeHose', with: { id: hose.id, patch: { gauze: true } } },
          }),
        }
      : null,
});
