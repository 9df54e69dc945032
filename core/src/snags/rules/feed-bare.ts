import { eachHose } from './each-hose.ts';

/** A reservoir that stands away from its master wants a gauze before the hose. Common practice. */
export const feedBare = eachHose('feed-bare', ({ hose }) =>
  hose.service === 'feed' && !hose.gauze
    ? {
        level: 'note',
        text: 'No gauze is set down before it: what falls into the reservoir goes on to the seals.',
        mend: { label: 'It has one', call: { edit: 'changeHose', with: { id: hose.id, patch: { gauze: true } } } },
      }
    : null,
);
