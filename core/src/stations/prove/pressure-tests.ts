import { ENDS, hoseJoint, lineJoint } from '../join/index.ts';
import { quantitiesOf, type Quantities } from '../../lib/units/index.ts';
import type { Circuit } from '../../plan/index.ts';
import type { PlanView } from '../../plan/results/index.ts';
import { holdAsk, type HoldAsk } from './hold-ask.ts';
import { onCircuit } from './on-circuit.ts';
import { circuitDigest } from './digests.ts';
import type { TestContext, RequiredTest } from './required-test.ts';

/** Every place of a circuit where fluid can come out: its joints, bleeders and plugs. */
function leakPlaces(
  { id }: Circuit,
  { lines, ports, plan }: PlanView,
): { readonly id: string; readonly name: string }[] {
  const { lines: own, hoses, parts } = onCircuit(id, lines, plan.hoses, plan.parts);
  const joints = [
    ...own.flatMap((line) => ENDS.map((end) => lineJoint(line, end))),
    ...hoses.flatMap((hose) => ENDS.flatMap((end) => hoseJoint(hose, end, ports) ?? [])),
  ];
  const screws = parts.flatMap((part) =>
    part.ports
      .filter(({ role }) => role === 'bleeder' || role === 'spare')
      .map((port) => ({ id: port.id, name: `${part.name}, ${port.name}` })),
  );
  return [
    ...joints.map(({ id: of, end, name, at }) => ({
      id: `${of}.${end}`,
      name: at ? `${name} at ${at.part.name}` : name,
    })),
    ...screws,
  ];
}

/** How much warmer a shut circuit may get before what bears least in it is passed, as the end of a sentence. */
const warmerBy = (
  { wantedMPa, rated, stiffnessMPaPerK }: HoldAsk,
  { pressure }: Quantities,
): string =>
  rated && stiffnessMPaPerK > 0
    ? ` ${Math.max(0, (rated.mpa - wantedMPa) / stiffnessMPaPerK).toFixed(0)} °C warmer, it passes the ${pressure(rated.mpa, 1)} that ${rated.name} holds.`
    : '';

/** Each circuit held under pressure, then all of them overnight. */
export const pressureTests = ({ view, wet, whole }: TestContext): RequiredTest[] => [
  ...wet.flatMap((circuit): RequiredTest[] => {
    const ask = holdAsk(circuit, view);
    const quantities = quantitiesOf(view.plan);
    const { pressure } = quantities;
    const rests = circuitDigest(circuit, view);
    const group = 'Pressure held';
    return [
      {
        key: `low:${circuit.id}`,
        group,
        name: `${circuit.name}: hold at low pressure`,
        how: `First: proof load of a changed pedal done, pads, drums and discs fitted, air bled. Hold ${pressure(0.2, 1)} to ${pressure(0.5, 1)} for five minutes. Good: no fall. A cup that only seals under high pressure shows here. Nobody under the vehicle or in line with a hose.`,
        rests,
      },
      {
        key: `hold:${circuit.id}`,
        group,
        name: `${circuit.name}: hold at ${pressure(ask.wantedMPa, 1)}`,
        how: [
          `Fit a gauge at a bleeder, rated well over ${pressure(ask.mostMPa ?? ask.wantedMPa, 1)}. A gauge behind a proportioning valve reads valve pressure: turn it back to master pressure first.`,
          'Isolate circuits with plugs. Clamp only rubber hose, never braided.',
          'One person at the pedal and gauge, nobody under the vehicle or in line with a hose, eyes protected.',
          'Jack the pedal down rigidly and wait five minutes. Then read for ten, with the temperature at both ends within 1 °C.',
          `Shut in, the pressure rises by about ${pressure(ask.stiffnessMPaPerK, 2)} for each °C: let it off before the sun or the day warms it.${warmerBy(ask, quantities)}`,
        ].join('\n'),
        rests,
        needs: [`low:${circuit.id}`],
        hold: ask,
      },
      // A hold at as much or more has shown it.
      ...(ask.mostMPa === null || ask.mostMPa <= ask.wantedMPa
        ? []
        : [
            {
              key: `most:${circuit.id}`,
              group,
              name: `${circuit.name}: ${pressure(ask.mostMPa, 1)} for ten seconds`,
              how: `${view.plan.trailer ? 'Set the actuator to its full pressure' : `Press as hard as the rule allows, engine running where there is a booster`}: about ${pressure(ask.mostMPa, 1)} for 10 to 30 seconds. Good: nothing moves, twists or gets wet, and the pedal does not sink. If a part is rated for less, change the part: never test lower. Stand clear of hoses and joints, eyes protected.`,
              rests,
              needs: [`hold:${circuit.id}`],
            } satisfies RequiredTest,
          ]),
    ];
  }),
  ...(wet.length
    ? [
        {
          key: 'overnight',
          group: 'Pressure held',
          name: 'Pedal tied down overnight',
          how: 'Low pressure, pedal tied, wheels chocked, lamps disconnected, a label on the steering wheel. Good: as firm in the morning, and dry.',
          rests: whole,
          needs: wet.map(({ id }) => `hold:${id}`),
        } as RequiredTest,
      ]
    : []),
];
/** Every joint dry under pressure, and dry again after hours. */
export const leakTests = ({ view, wet }: TestContext): RequiredTest[] => [
  ...wet.flatMap((circuit): RequiredTest[] => {
    const places = leakPlaces(circuit, view);
    const looks = (round: string): RequiredTest['looks'] =>
      places.map(({ id, name }) => ({ key: `${round}/${id}`, name }));
    const rests = circuitDigest(circuit, view);
    return [
      {
        key: `leak:${circuit.id}`,
        group: 'Leaks',
        name: `${circuit.name}: every joint dry under pressure`,
        how: 'Hold the pedal, clean rag at each joint. Good: dry. A switch counts with the part it screws into.',
        rests,
        needs: [`hold:${circuit.id}`],
        looks: looks(`leak:${circuit.id}`),
      },
      {
        key: `again:${circuit.id}`,
        group: 'Leaks',
        name: `${circuit.name}: dry again after hours`,
        how: 'Check the same joints hours later. A weep shows by then.',
        rests,
        needs: [`leak:${circuit.id}`],
        looks: looks(`again:${circuit.id}`),
      },
    ];
  }),
];
