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
            text: 'The parking brake is hydraulic: pressure leaks down and drops as the fluid cools. Fit a mechanical parking brake.',
          },
        ]
      : [],
});
