import { InputError, figure } from '../../../lib/faults/index.ts';
import {
  lineSpace,
  lineView,
  type LineView,
  type Plan,
  type SpanView,
} from '../../../plan/index.ts';
import { placeClips } from '../../../plan/layout/place-clips.ts';
import { defineRule, type Fix, type Rule } from '../../define-rule.ts';
import { lengthWords, nodeNear, onLine, type Bent } from '../../rule-kit/places.ts';

/** A clip is placed within this, mm: as much as it is wide. Common practice. */
const PLACED_MM = 10;
/** What a line's clips rest on. */
type Held = Bent & {
  readonly plan: Pick<Plan, 'bench' | 'clipSettings' | 'things' | 'units' | 'ownUnits'>;
};

const holds = (
  view: Held,
  { maxSpanMm, endMm }: { maxSpanMm: number; endMm: number },
  span: SpanView,
): 'ok' | 'long' | 'rings' =>
  span.lengthMm > (span.end ? endMm : maxSpanMm) + PLACED_MM
    ? 'long'
    : span.naturalHz < view.plan.clipSettings.margin * span.excitationHz - 0.05
      ? 'rings'
      : 'ok';

/** Spans of a line that are too long, or ring with what shakes them. */
export const badSpans = (view: Held, line: LineView, fault: 'long' | 'rings'): SpanView[] =>
  line.line.clipsMm.length
    ? (lineSpace(view.plan, line)?.spans ?? []).filter(
        (span) => holds(view, view.plan.clipSettings, span) === fault,
      )
    : [];

/** Clips placed anew, offered only where the rule is then silent. */
function heldAnew(view: Held, line: LineView, fault: 'long' | 'rings'): Fix | undefined {
  try {
    const clipsMm = placeClips(view.plan, line);
    const held = lineView({ ...line.line, clipsMm }, view.plan.bench, view.ports);
    if (badSpans(view, held, fault).length) return undefined;
    return {
      label: `Space its ${clipsMm.length} clips evenly`,
      call: { edit: 'changeLine', with: { id: line.line.id, patch: { clipsMm } } },
    };
  } catch (error) {
    if (error instanceof InputError) return undefined;
    throw error;
  }
}

/** A rule about the worst span of a line with one fault. */
export const spanRule = (
  id: string,
  fault: 'long' | 'rings',
  say: (span: SpanView, words: (mm: number) => string, view: Held) => string,
): Rule =>
  defineRule({
    id,
    station: 'route',
    about: 'space',
    reads: ['obstacles', 'plan.bench', 'plan.clipSettings', 'plan.things', 'ports'],
    judge: (line, _space, view) => {
      const bad = badSpans(view, line, fault);
      const worst = bad.reduce<SpanView | null>(
        (most, span) => (!most || span.lengthMm > most.lengthMm ? span : most),
        null,
      );
      if (!worst) return null;
      const more = bad.length > 1 ? ` ${figure(bad.length - 1, 0)} more like it.` : '';
      return {
        level: 'caution',
        place: onLine(line, nodeNear(line, (worst.fromMm + worst.toMm) / 2)),
        text: say(worst, lengthWords(view).full, view) + more,
        fix: () => heldAnew(view, line, fault),
      };
    },
  });
