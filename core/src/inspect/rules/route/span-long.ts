import { spanRule } from './_span.ts';

/** Common practice: a clip near every end, and none too far from the next. */
export const spanLong = spanRule(
  'span-long',
  'long',
  (span, full, { plan: { clipSettings: holding } }) =>
    span.end
      ? `${full(span.lengthMm)} from its ${span.fromMm ? 'end B' : 'end A'} to the nearest clip, ${full(holding.endMm)} at most.`
      : `${full(span.lengthMm)} between two clips, ${full(holding.maxSpanMm)} at most.`,
);
