import { figure } from '../../fault/index.ts';
import { sizingRule, type Found } from './sizing.ts';

/** Ranges outside which a figure is mostly a slip of the pen or of the unit. Common practice. */
const LIKELY = {
  boreMm: [10, 40],
  pedalRatio: [2.5, 10],
  pressureMPa: [0, 20],
  padMu: [0.2, 0.7],
  massKg: [150, 12_000],
} as const;

/** Figures that are merely unlikely are questioned here, not refused at the door. */
export const figureUnlikely = sizingRule('figure-unlikely', (sizing, view) => {
  const { master } = sizing;
  const { pressureMPa } = view.size!.empty.size;
  const figures: (readonly [where: string, value: number, range: readonly [number, number], unit: string])[] = [
    ...(master.kind === 'tandem'
      ? [['Master bore', master.boreMm, LIKELY.boreMm, 'mm'] as const]
      : [
          ['Front master bore', master.frontBoreMm, LIKELY.boreMm, 'mm'] as const,
          ['Rear master bore', master.rearBoreMm, LIKELY.boreMm, 'mm'] as const,
        ]),
    ['Pedal ratio', sizing.pedal.ratio, LIKELY.pedalRatio, 'to 1'],
    ['Pressure', Math.max(pressureMPa.front, pressureMPa.rear), LIKELY.pressureMPa, 'MPa'],
    ['Mass', sizing.empty.massKg, LIKELY.massKg, 'kg'],
    ...(['front', 'rear'] as const).flatMap((axle) => {
      const brake = sizing[axle];
      return brake.kind === 'disc' ? [[`Grip of the ${axle} pads`, brake.padMu, LIKELY.padMu, ''] as const] : [];
    }),
  ];
  return figures.filter(([, value, [low, high]]) => value < low || value > high).map(([where, value, [low, high], unit]): Found => ({
    level: 'mind', where, text: `${figure(value, 2)} ${unit} is unlikely; mostly it lies from ${low} to ${high}. Is the unit right?`.replace('  ', ' '),
  })); // prettier-ignore
});
