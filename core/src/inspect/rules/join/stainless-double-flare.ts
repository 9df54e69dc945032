import { defineRule } from '../../define-rule.ts';

/** Stainless double flares crack: it wants the single 37° flare with a sleeve, or annealed tube and proven test pieces. Common practice. */
export const stainlessDoubleFlare = defineRule({
  id: 'stainless-double-flare',
  station: 'join',
  about: 'end',
  reads: ['plan.bench'],
  judge: (line, end, { plan }) =>
    line.tube.material === 'stainless' &&
    line.line.ends[end].flare === 'double-flare-45' &&
    !plan.bench.flares['double-flare-45'].provenOn.includes('stainless')
      ? {
          level: 'stop',
          text: 'A double flare in stainless cracks. Make a single 37° flare with a sleeve, or make test pieces first and record them on your bench.',
        }
      : null,
});
