import { ENDS, hoseJoint, lineJoint } from '../join/index.ts';
import { quantitiesOf } from '../../lib/units/index.ts';
import type { Circuit } from '../../plan/index.ts';
import type { PlanView } from '../../plan/results/index.ts';
import { circuitDigest } from './digests.ts';
import type { TestContext, RequiredTest } from './required-test.ts';

/** A clutch line is held at about what works it, MPa. Common practice. */
const CLUTCH_MPA = 3;
/** Pressure that a circuit is held at: what the foot of the rule makes of it, and never over the lowest rating on it. */
export function holdMPa(view: PlanView, circuitId: string): number {
  const circuit = view.plan.circuits.find(({ id }) => id === circuitId);
  const ports = new Set(
    view.lines
      .filter(({ line }) => line.circuitId === circuitId)
      .flatMap(({ line }) => [line.ends.a.portId, line.ends.b.portId]),
  );
  const ratings = view.plan.parts
    .filter((part) => part.ports.some(({ id }) => ports.has(id)))
    .flatMap(({ figures }) => figures.ratingMPa ?? []);
  const { sizing, trailer } = view.plan;
  const area = (mm: number): number => (Math.PI / 4) * mm * mm;
  /** The foot of the rule, N: 500 of cars, 700 of heavier vehicles. Source: FMVSS 135 / UN R13-H, UN R13, from memory. */
  const footN = sizing?.category === 'heavy' ? 700 : 500;
  const makes =
    circuit?.work === 'clutch'
      ? CLUTCH_MPA
      : trailer
        ? trailer.actuatorMPa
        : sizing
          ? ((footN * sizing.pedal.ratio) /
              (sizing.master.kind === 'tandem'
                ? area(sizing.master.boreMm)
                : area(
                    circuit?.axle === 'rear' ? sizing.master.rearBoreMm : sizing.master.frontBoreMm,
                  ))) *
            (sizing.master.kind === 'twin'
              ? circuit?.axle === 'rear'
                ? 1 - sizing.master.frontShare
                : sizing.master.frontShare
              : 1)
          : 7;
  return Math.round(Math.min(makes, ...ratings) * 10) / 10;
}

/** Every place of a circuit where fluid can come out: its joints, bleeders and plugs. */
function leakPlaces(
  { id }: Circuit,
  { lines, ports, plan }: PlanView,
): { readonly id: string; readonly name: string }[] {
  const own = lines.filter(({ line }) => line.circuitId === id);
  const hoses = plan.hoses.filter((hose) => hose.circuitId === id);
  const joints = [
    ...own.flatMap((line) => ENDS.map((end) => lineJoint(line, end))),
    ...hoses.flatMap((hose) => ENDS.flatMap((end) => hoseJoint(hose, end, ports) ?? [])),
  ];
  const parts = new Set(
    [...own.map(({ line }) => line), ...hoses]
      .flatMap(({ ends }) => [ends.a, ends.b])
      .flatMap(({ portId }) => ports.get(portId ?? '')?.part ?? []),
  );
  const screws = [...parts].flatMap((part) =>
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

/** Each circuit held under pressure, then all of them overnight. */
export const pressureTests = ({ view, wet, whole }: TestContext): RequiredTest[] => [
  ...wet.map((circuit): RequiredTest => {
    const wantedMPa = holdMPa(view, circuit.id);
    return {
      key: `hold:${circuit.id}`,
      group: 'Pressure held',
      name: `${circuit.name}: hold at ${quantitiesOf(view.plan).pressure(wantedMPa, 1)}`,
      how: 'Fit a gauge at a bleeder. Prop the pedal down for five minutes and note the temperature. A gauge behind a proportioning valve reads valve pressure: turn it back to master pressure first. Isolate circuits with plugs. Clamp only rubber hose, never braided.',
      rests: circuitDigest(circuit, view),
      hold: { circuitId: circuit.id, wantedMPa },
    };
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
