import { figure } from '../../../lib/faults/index.ts';
import { defineRule, type Finding, type Reading } from '../../define-rule.ts';

/** Ranges outside which a figure is mostly a slip of the pen or of the unit. Common practice. */
const LIKELY = {
  boreMm: [10, 40],
  pedalRatio: [2.5, 10],
  pressureMPa: [0, 20],
  padMu: [0.2, 0.7],
  massKg: [150, 12_000],
} as const;
type Kind = keyof typeof LIKELY;
const UNITS: Record<Kind, string> = {
  boreMm: ' mm',
  pedalRatio: ' to 1',
  pressureMPa: ' MPa',
  padMu: '',
  massKg: ' kg',
};

/** What of a plan has figures that can be looked at. */
type Judged = Reading<
  'plan.sizing' | 'plan.trailer' | 'plan.singles' | 'plan.clutch' | 'size' | 'works'
>;

function figuresOf({
  plan: { sizing, trailer, singles, clutch },
  size,
  works,
}: Judged): (readonly [string, number, Kind])[] {
  const found: (readonly [string, number, Kind])[] = [];
  if (sizing && size) {
    const { master } = sizing;
    if (master.kind === 'tandem') found.push(['Master bore', master.boreMm, 'boreMm']);
    else
      found.push(
        ['Front master bore', master.frontBoreMm, 'boreMm'],
        ['Rear master bore', master.rearBoreMm, 'boreMm'],
      );
    const { pressureMPa } = size.empty.size;
    found.push(
      ['Pedal ratio', sizing.pedal.ratio, 'pedalRatio'],
      ['Pressure', Math.max(pressureMPa.front, pressureMPa.rear), 'pressureMPa'],
      ['Mass', sizing.empty.massKg, 'massKg'],
    );
    for (const axle of ['front', 'rear'] as const) {
      const brake = sizing[axle];
      if (brake.kind === 'disc') found.push([`Grip of the ${axle} pads`, brake.padMu, 'padMu']);
    }
  }
  if (trailer) {
    found.push(
      ['Actuator pressure', trailer.actuatorMPa, 'pressureMPa'],
      ['Mass', trailer.axles.reduce((sum, axle) => sum + axle.emptyKg, 0), 'massKg'],
    );
  }
  singles.forEach((single, i) => {
    found.push(
      [`Master bore, ${single.name}`, single.boreMm, 'boreMm'],
      [`Pressure, ${single.name}`, works.singles[i]!.pressureMPa, 'pressureMPa'],
    );
  });
  if (clutch)
    found.push(
      ['Clutch master bore', clutch.masterBoreMm, 'boreMm'],
      ['Clutch slave bore', clutch.slaveBoreMm, 'boreMm'],
    );
  return found;
}

/** Figures that are merely unlikely are questioned here, not refused at the door. */
export const figureUnlikely = defineRule({
  id: 'figure-unlikely',
  station: 'size',
  about: 'plan',
  reads: ['plan.clutch', 'plan.singles', 'plan.sizing', 'plan.trailer', 'size', 'works'],
  judge: (view) =>
    figuresOf(view).flatMap(([where, value, kind]): Finding[] => {
      const [low, high] = LIKELY[kind];
      if (value >= low && value <= high) return [];
      return [
        {
          level: 'caution',
          place: { kind: 'plan', id: view.plan.id },
          where,
          text: `${figure(value, 2)}${UNITS[kind]} looks wrong: usually ${low} to ${high}. Check the unit.`,
        },
      ];
    }),
});
