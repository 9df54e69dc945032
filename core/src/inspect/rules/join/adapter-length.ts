import { defineRule } from '../../define-rule.ts';

/** An adapter holds the tube's end off the port; until that is measured the tube is cut too long. */
export const adapterLength = defineRule({
  id: 'adapter-length',
  station: 'join',
  about: 'end',
  reads: [],
  asks: true,
  judge: (line, end) => {
    const { adapters, standoffMm } = line.line.ends[end];
    return adapters.length && standoffMm === 0
      ? {
          level: 'caution',
          text: 'Adapter length is not entered, so the tube would be cut that much too long. Measure how far the adapters hold the tube off the port.',
        }
      : null;
  },
});
