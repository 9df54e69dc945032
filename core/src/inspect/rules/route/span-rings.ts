import { figure } from '../../../lib/faults/index.ts';
import { spanRule } from './_span.ts';

/** A span that rings with what shakes it works itself loose and cracks. Source: first mode of a pinned beam (Blevins, from memory). */
export const spanRings = spanRule(
  'span-rings',
  'rings',
  (span, full, { plan: { clipSettings: holding } }) =>
    `A span of ${full(span.lengthMm)} resonates at ${figure(span.naturalHz, 0)} Hz. With ${figure(span.excitationHz, 0)} Hz nearby and a margin of ${figure(holding.margin, 1)} it must be ${full(span.mostMm)} or less.`,
);
