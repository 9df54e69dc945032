import { InputError, figure } from '../../fault/index.ts';
import { placeClips, lineSpace, lineView, type LineView, type PlanView, type SpanView } from '../../plan/index.ts';
import { eachSpace, lengthWords, nodeNear, onLine, type Rule, type Snag } from '../snag.ts';

const holds = (
  view: PlanView,
  { maxSpanMm, endMm }: { maxSpanMm: number; endMm: number },
  span: SpanView,
): 'ok' | 'long' | 'rings' =>
  span.lengthMm > (span.end ? endMm : maxSpanMm) + 0.5
    ? 'long'
    : span.naturalHz < view.plan.holding.margin * span.excitationHz - 0.05
      ? 'rings'
      : 'ok';

/** Spans of a line that are too long, or ring with what shakes them. */
export const badSpans = (view: PlanView, line: LineView, fault: 'long' | 'rings'): SpanView[] =>
  line.line.clipsMm.length
    ? (lineSpace(view.plan, line)?.spans ?? []).filter((span) => holds(view, view.plan.holding, span) === fault)
    : [];

/** Clips placed anew, offered only where the rule is then silent. */
function heldAnew(view: PlanView, line: LineView, fault: 'long' | 'rings'): Snag['mend'] {
  try {
    const clipsMm = placeClips(view.plan, line);
    const held = lineView({ ...line.line, clipsMm }, view.plan.bench, view.ports);
    if (badSpans(view, held, fault).length) return undefined;
    return {
      label: `Place its ${clipsMm.length} clips anew`,
      call: { edit: 'changeLine', with: { id: line.line.id, patch: { clipsMm } } },
    };
  } catch (error) {
    if (error instanceof InputError) return undefined;
    throw error;
  }
}

/** A rule about the worst span of a line with one fault. */
export const spanRule = (
  rule: string,
  fault: 'long' | 'rings',
  say: (span: SpanView, words: (mm: number) => string, view: PlanView) => string,
): Rule =>
  eachSpace((line, _space, view) => {
    const bad = badSpans(view, line, fault);
    const worst = bad.reduce<SpanView | null>((most, span) => (!most || span.lengthMm > most.lengthMm ? span : most), null);
    if (!worst) return [];
    const { full } = lengthWords(view);
    const more = bad.length > 1 ? ` ${figure(bad.length - 1, 0)} more like it.` : '';
    const mend = heldAnew(view, line, fault);
    return [
      {
        rule,
        level: 'mind',
        station: 'route',
        place: onLine(line, nodeNear(line, (worst.fromMm + worst.toMm) / 2)),
        where: line.line.name,
        text: say(worst, full, view) + more,
        ...(mend ? { mend } : {}),
      } satisfies Snag,
    ];
  });
