import { reservoirsOf } from '../../../plan/network/index.ts';
import { defineRule } from '../../define-rule.ts';

/** A master with a feed port draws from a reservoir: one that no line joins to a reservoir runs dry at the first stroke. */
export const masterDry = defineRule({
  id: 'master-dry',
  station: 'plumb',
  about: 'port',
  reads: ['network', 'plan.parts'],
  judge: ({ part, port }, { network, plan: { parts } }) =>
    part.kind === 'master' &&
    port.role === 'feed' &&
    !reservoirsOf(network, parts, part, port).length && {
      level: 'stop',
      text: 'No reservoir feeds this port, so the master cylinder has nothing to draw from. Connect one.',
    },
});
