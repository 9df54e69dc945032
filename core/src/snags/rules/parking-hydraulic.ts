import type { Rule } from '../snag.ts';

/** What holds by pressure leaks down and shrinks as it cools, so it does not count. Common practice. */
export const parkingHydraulic: Rule = ({ plan }) =>
  plan.parking?.by === 'hydraulic'
    ? [
        {
          rule: 'parking-hydraulic',
          level: 'stop',
          station: 'size',
          place: { kind: 'plan', id: plan.id },
          where: 'Parking brake',
          text: 'A hydraulic handbrake or parking valve is counted as the parking brake: it leaks down and shrinks as it cools. Fit a mechanical one.',
        },
      ]
    : [];
