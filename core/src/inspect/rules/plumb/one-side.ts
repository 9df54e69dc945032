import { defineRule, type Finding } from '../../define-rule.ts';
import { hasFourWheels, placeOf, PURPOSE_READS, feedsIn } from './_purpose.ts';

/** A diagonal circuit has a front wheel and the rear wheel across from it; with both on one side the vehicle swerves when the other circuit fails. Common practice. */
export const oneSide = defineRule({
  id: 'one-side',
  station: 'plumb',
  about: 'plan',
  reads: PURPOSE_READS,
  judge: (view) =>
    feedsIn(view).flatMap(({ master, outlet, pedal, brakes }): Finding[] => {
      if (!hasFourWheels(view) || pedal !== 'foot' || brakes.length < 2) return [];
      const places = brakes.map((brake) => placeOf(view, brake));
      const [{ side } = { side: null }] = places;
      const axles = new Set(places.map(({ axle }) => axle));
      return side && axles.size === 2 && places.every((place) => place.side === side)
        ? [
            {
              level: 'stop',
              place: { kind: 'port', id: outlet.id },
              where: master.name,
              text: `The outlet “${outlet.name}” feeds ${brakes.map(({ name }) => name).join(' and ')}, all on the ${side}. If the other circuit fails, the vehicle swerves to the ${side}. Cross one of them over.`,
            },
          ]
        : [];
    }),
});
