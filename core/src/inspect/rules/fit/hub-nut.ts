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
          'Never back off a unit hub or one with a spacer, and do not set it by play. Tighten to the maker’s figure.',
        loose: `The hub has ${hub.endPlayMm} mm of play, more than allowed.`,
        tight: `The hub has ${hub.endPlayMm} mm of play, less than required. Its bearings will run hot.`,
        lock: 'The old split pin or tab was used again. Fit a new one.',
      }[fault];
      return [
        {
          level:
            fault === 'backed-off' || fault === 'loose' ? ('stop' as const) : ('caution' as const),
          place: { kind: 'hub' as const, id: hub.id },
          where: hub.name,
          text: said,
        },
      ];
    });
  },
});
