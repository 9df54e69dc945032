import { eachHose } from './each-hose.ts';

/** A hose of which nothing can be said: it is never taken for sound. */
export const hoseUnjudged = eachHose('hose-unjudged', ({ fault }) => (fault === null ? null : { level: 'mind', text: fault }));
