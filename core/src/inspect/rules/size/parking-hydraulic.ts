import { defineRule } from '../../define-rule.ts';

/** What holds by pressure leaks down and shrinks as it cools, so it does not count. Common practice. */
export const parkingHydraulic = defineRule({
  id: 'parking-hydraulic',
  station: 'size',
  about: 'plan',
  reads: ['plan.parking'],
  judge: ({ plan }) =>
    plan.parking?.by === 'hydraulic'
      ? [
          {
            level: 'stop',
            place: { kind: 'plan', id: plan.id },
            where: 'Parking brake',
            text: 'A hydraulic handbrake or parking valve is counted as the parking brake: it leaks down and shrinks as it cools. Fit a mechanical one.',
          },
        ]
      : [],
});
