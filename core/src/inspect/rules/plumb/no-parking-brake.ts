import { defineRule, type Finding } from '../../define-rule.ts';
import { onPart } from '../../rule-kit/places.ts';

const HELD = 'Held pressure leaks down, and drops as the fluid cools.';

/** What holds by pressure leaks down and shrinks as it cools; an aircraft is chocked and tied down. Common practice. */
export const noParkingBrake = defineRule({
  id: 'no-parking-brake',
  station: 'plumb',
  about: 'plan',
  reads: ['pedals', 'plan.parking', 'plan.parts'],
  judge: ({ pedals, plan }) => {
    // Once a parking brake is set down, that is what is judged.
    const holding = plan.parking
      ? []
      : plan.parts.filter(({ kind }) => kind === 'handbrake-cylinder' || kind === 'parking-valve');
    const [first] = holding;
    if (!first) return [];
    const isAircraft = [...pedals.values()].some((pedal) => pedal.startsWith('toe'));
    return [
      {
        level: 'note',
        place: onPart(first),
        where: holding.map(({ name }) => name).join(', '),
        text: isAircraft
          ? `${HELD} Use it for short stops only. Chock the wheels or tie the aircraft down before you leave it.`
          : `${HELD} It is no parking brake: keep a mechanical one.`,
      } satisfies Finding,
    ];
  },
});
