import { figure } from '../../../lib/faults/index.ts';
import type { Heating } from '../../../physics/hydraulics/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';

/** Pads or linings hotter than their sheet allows, laden: in one stop, by repeated braking, down a long hill. */
export const brakesFade = defineRule({
  id: 'brakes-fade',
  station: 'size',
  about: 'plan',
  reads: ['size', 'works'],
  judge: ({ size, works }) => {
    const found = (
      heat: readonly Heating[] | null | undefined,
      where: (name: string) => string,
    ): Finding[] =>
      (heat ?? []).flatMap(({ name, source, axles }) =>
        axles.flatMap((one) =>
          one.fades
            ? [
                {
                  level: 'caution',
                  where: where(one.name),
                  text: `${name}, laden: the brakes reach ${figure(one.peakC, 0)} °C and fade from ${figure(one.fadeC, 0)}. Use heavier discs or drums, other pads, or air ducts. Source: ${source}. The pad maker’s sheet takes priority.`,
                },
              ]
            : [],
        ),
      );
    return [
      ...found(size?.laden.heat, (name) => `${name === 'front' ? 'Front' : 'Rear'} brakes`),
      ...found(works.trailer?.heat, (name) => `Trailer, ${name}`),
    ];
  },
});
