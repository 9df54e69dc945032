import type { Circuit, Plan } from '../model/index.ts';
import type { PlanView } from './view.ts';

/** What a circuit comes to, MPa: as planned, and with the most force that the rule allows the foot. */
export interface CircuitPressure {
  readonly plannedMPa: number;
  readonly mostMPa: number;
}
/** The pressures of a circuit; null where none of its figures are begun. A lever of its own, and a trailer's actuator, press no harder than planned. */
export function pressureOf(
  { id, work, axle }: Circuit,
  {
    size,
    works,
    plan: { singles, trailer },
  }: Pick<PlanView, 'size' | 'works'> & { readonly plan: Pick<Plan, 'singles' | 'trailer'> },
): CircuitPressure | null {
  if (work === 'clutch')
    return (
      works.clutch && { plannedMPa: works.clutch.pressureMPa, mostMPa: works.clutch.pressureMPa }
    );
  const fixed = [
    ...works.singles.filter((_, i) => singles[i]!.circuitId === id).map((one) => one.pressureMPa),
    ...(trailer ? [trailer.actuatorMPa] : []),
  ];
  if (!size && !fixed.length) return null;
  const of = (byAxle?: Readonly<Record<'front' | 'rear', number>>): number =>
    Math.max(0, ...fixed, ...(byAxle ? (axle ? [byAxle[axle]] : [byAxle.front, byAxle.rear]) : []));
  return { plannedMPa: of(size?.empty.size.pressureMPa), mostMPa: of(size?.mostMPa) };
}
