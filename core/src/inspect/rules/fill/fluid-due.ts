import { newestDay } from '../../../stations/fit/tasks/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';

/** Fluid that was to be replaced before work is still done on the vehicle; once it is signed for, its follow-up says so. Common practice. */
export const fluidDue = defineRule({
  id: 'fluid-due',
  station: 'fill',
  about: 'plan',
  reads: ['plan.filling', 'plan.parts', 'plan.floor', 'plan.proving'],
  judge: ({ plan: { filling, parts, floor, proving } }) => {
    const today = newestDay(floor);
    if (!today || proving.signed.some(({ scope }) => scope === 'road')) return [];
    return filling.fluids.flatMap(({ part, nextOn }): Finding[] => {
      const of = parts.find(({ id }) => id === part);
      return of && nextOn !== null && nextOn <= today
        ? [
            {
              level: 'caution',
              place: { kind: 'part', id: part },
              where: of.name,
              text: `This fluid was to be replaced by ${nextOn}. Flush it, and enter the new date.`,
            },
          ]
        : [];
    });
  },
});
