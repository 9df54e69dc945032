import { defineRule, type Finding } from '../../define-rule.ts';
import { onPart } from '../../rule-kit/places.ts';

/** What holds by pressure leaks down and shrinks as it cools. Common practice. */
export const noParkingBrake = defineRule({
  id: 'no-parking-brake',
  station: 'plumb',
  about: 'plan',
  reads: ['plan.parking', 'plan.parts'],
  judge: (view) =>
    // Once a parking brake is set down, that is what is judged.
    (view.plan.parking ? [] : view.plan.parts)
      .filter((part) => part.kind === 'handbrake-cylinder' || part.kind === 'parking-valve')
      .map((part): Finding => ({
        level: 'note',
        place: onPart(part),
        where: part.name,
        text: 'Held pressure is no parking brake: it leaks down, and drops as the fluid cools. Keep a mechanical parking brake.',
      })),
});
