import type { Circuit } from '../../../plan/index.ts';
import type { Reading } from '../../define-rule.ts';

/** What a rule must read to ask it. */
export const PRESSURE_READ = [
  'plan.clutch',
  'plan.singles',
  'plan.sizing',
  'plan.trailer',
  'size',
  'works',
] as const;

/** Most pressure that a circuit comes to, MPa, with the most force that the rule allows the foot; 0 where no figures are begun. */
export function pressureIn(
  { size, works, plan }: Reading<'plan.singles' | 'plan.trailer' | 'size' | 'works'>,
  circuit: Circuit,
): number {
  if (circuit.work === 'clutch') return works.clutch?.pressureMPa ?? 0;
  const ownLever = Math.max(
    0,
    ...works.singles
      .filter((_, i) => plan.singles[i]!.circuitId === circuit.id)
      .map((s) => s.pressureMPa),
  );
  const pedal = size
    ? circuit.axle
      ? size.mostMPa[circuit.axle]
      : Math.max(size.mostMPa.front, size.mostMPa.rear)
    : 0;
  return Math.max(ownLever, pedal, plan.trailer?.actuatorMPa ?? 0);
}
