import type { Rule, Snag } from '../snag.ts';

/** What holds by pressure leaks down and shrinks as it cools. Common practice. */
export const noParkingBrake: Rule = (view) =>
  // Once a parking brake is set down, that is what is judged.
  (view.plan.parking ? [] : view.plan.parts)
    .filter((part) => part.kind === 'handbrake-cylinder' || part.kind === 'parking-valve')
    .map((part): Snag => ({
      rule: 'no-parking-brake',
      level: 'note',
      station: 'plumb',
      place: { kind: 'port', id: part.ports[0]!.id },
      where: part.name,
      text: 'It is no parking brake: held pressure leaks down and shrinks as it cools. Keep a mechanical one.',
    }));
