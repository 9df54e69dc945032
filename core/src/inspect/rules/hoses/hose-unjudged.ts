import { defineRule } from '../../define-rule.ts';

/** A hose of which nothing can be said: it is never taken for sound. */
export const hoseUnjudged = defineRule({
  id: 'hose-unjudged',
  station: 'route',
  about: 'hose',
  reads: [],
  judge: ({ fault }) => (fault === null ? null : { level: 'caution', text: fault }),
});
