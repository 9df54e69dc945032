import { hubFault } from '../../../physics/wheel-ends/index.ts';
import { defineRule } from '../../define-rule.ts';

/** A hub that is backed off where it is to be clamped, loose, tight, or on its old lock loses its wheel or burns its bearings. */
export const hubNut = defineRule({
  id: 'hub-nut',
  station: 'fit',
  about: 'plan',
  reads: ['plan.wheelEnds'],
  judge: ({ plan }) => {
    return plan.wheelEnds.hubs.flatMap((hub) => {
      const fault = hubFault(hub);
      if (!fault) return [];
      const said = {
        'backed-off':
          'A unit hub or one with a spacer is never backed off nor set by play: to its maker’s figure.',
        loose: `It has ${hub.endPlayMm} mm of play: more than it may.`,
        tight: `It has ${hub.endPlayMm} mm of play: less than it must, and its bearings run hot.`,
        lock: 'Its old split pin or tab is in again: a new one.',
      }[fault];
      return [
        {
          level:
            fault === 'backed-off' || fault === 'loose' ? ('stop' as const) : ('mind' as const),
          where: hub.name,
          text: said,
        },
      ];
    });
  },
});
