import { figure } from '../../fault/index.ts';
import { sizingRule } from './sizing.ts';

/** Pads or linings hotter than their sheet allows, laden: in one stop, by repeated braking, down a long hill. */
export const brakesFade = sizingRule('brakes-fade', ({ heat }, { laden }) =>
  (laden.heat ?? []).flatMap(({ name, source, peakC, fades }) =>
    fades.map((axle) => ({
      level: 'mind',
      where: axle === 'front' ? 'Front brakes' : 'Rear brakes',
      text: `${name}, laden, they come to ${figure(peakC[axle], 0)} °C and fade from ${figure(heat!.rotor[axle].fadeC, 0)}. Heavier discs or drums, other pads, or air led to them. By ${source}. The pad maker's sheet comes first.`,
    })),
  ),
);
