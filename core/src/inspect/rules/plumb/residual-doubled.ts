import { defineRule, type Finding } from '../../define-rule.ts';
import { endsByPart } from './_ends-by-part.ts';
import { onPart } from '../../rule-kit/places.ts';

/** Residual pressures in series add up, as where a drum master has one built in; on a clutch one keeps the release bearing pressed. Common practice. */
export const residualDoubled = defineRule({
  id: 'residual-doubled',
  station: 'plumb',
  about: 'plan',
  reads: ['circuits', 'lines', 'plan.hoses', 'plan.parts', 'ports', 'residuals'],
  judge: (view) => {
    const doubled = new Map(
      view.residuals
        .filter(({ has }) => has.length > 1)
        .map(({ has }) => [has.map(({ portId }) => portId).join(), has] as const),
    );
    const onClutch = view.plan.parts.filter(
      (part) =>
        part.kind === 'residual-valve' &&
        endsByPart(view)
          .get(part.id)
          ?.some(({ circuit }) => circuit.work === 'clutch'),
    );
    return [
      ...[...doubled.values()].map((has): Finding => ({
        level: 'caution',
        place: { kind: 'port', id: has.at(-1)!.portId },
        where: has.at(-1)!.where,
        text: `${has.map(({ where }) => where).join(' and ')} each hold residual pressure in one circuit, and the pressures add up. Keep one.`,
      })),
      ...onClutch.map((part): Finding => ({
        level: 'stop',
        place: onPart(part),
        where: part.name,
        text: 'A residual valve in a clutch line keeps the release bearing pressed: it wears, and the clutch can slip. Remove the valve.',
      })),
    ];
  },
});
