import { defineRule } from '../../define-rule.ts';

/** What the rules of road vehicles want told to the driver. Source: 49 CFR 571.105 S5.3, 571.135 S5.5, UN R13-H 5.2.21 (from memory). */
export const lampMissing = defineRule({
  id: 'lamp-missing',
  station: 'size',
  about: 'plan',
  reads: ['plan.sizing'],
  judge: ({ plan: { sizing } }) => {
    if (!sizing || (sizing.category !== 'light' && sizing.category !== 'heavy')) return null;
    const { circuit = false, parking = false } = sizing.lamps ?? {};
    const missing = [
      ...(circuit ? [] : ['a failed circuit or low fluid']),
      ...(parking ? [] : ['the parking brake']),
    ];
    if (!missing.length) return null;
    return {
      level: 'note',
      where: 'Warning lamps',
      text: `No warning lamp is entered for ${missing.join(' or for ')} (required on the road: 49 CFR 571.105 and 571.135, UN R13-H, from memory).`,
      fix: () => ({
        label: missing.length > 1 ? 'Both are fitted' : 'It is fitted',
        call: {
          edit: 'setFigure',
          with: { of: 'sizing', path: 'lamps', to: { circuit: true, parking: true } },
        },
      }),
    };
  },
});
