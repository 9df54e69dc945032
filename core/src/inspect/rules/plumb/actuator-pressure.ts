import { brakesBehind } from '../../../plan/network/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { onPart, quantityWords } from '../../rule-kit/places.ts';

/** Actuators make about 1,000 psi (6.9 MPa) for drums and 1,600 psi (11 MPa) for discs: between the two. Common practice. */
const PARTING_MPA = 9;

/** A trailer's actuator for the other kind of brake: too weak for discs, or too strong for drums. */
export const actuatorPressure = defineRule({
  id: 'actuator-pressure',
  station: 'plumb',
  about: 'plan',
  reads: ['network', 'plan.parts', 'plan.trailer'],
  judge: ({ network, plan }) => {
    const { parts, trailer } = plan;
    const { pressure } = quantityWords({ plan });
    if (!trailer) return [];
    return parts
      .filter(({ kind }) => kind === 'actuator')
      .flatMap((actuator): Finding[] => {
        const weak = trailer.actuatorMPa < PARTING_MPA;
        const wrong = brakesBehind(network, parts, actuator).find(
          ({ kind }) => kind === (weak ? 'caliper' : 'wheel-cylinder'),
        );
        if (!wrong) return [];
        return [
          {
            level: 'stop',
            place: onPart(actuator),
            where: actuator.name,
            text: weak
              ? `It makes ${pressure(trailer.actuatorMPa)}, as for drums, and ${wrong.name} is a disc: the trailer hardly brakes. Discs take about ${pressure(11)}.`
              : `It makes ${pressure(trailer.actuatorMPa)}, as for discs, and ${wrong.name} is a drum: the wheels lock and the cylinders can burst. Drums take about ${pressure(6.9)}.`,
          },
        ];
      });
  },
});
