import { derive } from '../lib/derive/index.ts';
import { applyEdit, type Plan } from '../plan/index.ts';
import { viewPlan, type PlanView } from '../plan/results/index.ts';
import type { Fix, Found, Level, Rule, Snag } from './define-rule.ts';
import { FILL_RULES } from './rules/fill/index.ts';
import { FIT_RULES } from './rules/fit/index.ts';
import { HOSES_RULES } from './rules/hoses/index.ts';
import { JOIN_RULES } from './rules/join/index.ts';
import { MAKE_RULES } from './rules/make/index.ts';
import { MEASURE_RULES } from './rules/measure/index.ts';
import { PLUMB_RULES } from './rules/plumb/index.ts';
import { PROVE_RULES } from './rules/prove/index.ts';
import { ROUTE_RULES } from './rules/route/index.ts';
import { SIZE_RULES } from './rules/size/index.ts';

export { mountedOnBoth } from './rules/route/_nearness.ts';
export {
  NOT_JUDGED,
  STATIONS,
  type Fix,
  type Level,
  type Snag,
  type Station,
} from './define-rule.ts';

/** Every rule there is, in the order of the stations. */
export const RULES: readonly Rule[] = [
  ...MEASURE_RULES,
  ...SIZE_RULES,
  ...PLUMB_RULES,
  ...ROUTE_RULES,
  ...HOSES_RULES,
  ...JOIN_RULES,
  ...MAKE_RULES,
  ...FIT_RULES,
  ...FILL_RULES,
  ...PROVE_RULES,
];
const RANK: Record<Level, number> = { stop: 0, caution: 1, note: 2 };

interface SnagWithFix {
  readonly snag: Snag;
  readonly fixes: () => readonly Fix[];
}
/** A finding as it is told: the same one again while its rule finds it just so. */
const toSnag = derive(
  'snag',
  (finding: Found, key: string, rule: Rule) => [finding, key, rule],
  ({ level, place, where, text, fix, plain, repeats }, key, { id, station }): SnagWithFix => ({
    snag: {
      key,
      rule: id,
      level,
      station,
      place,
      where,
      text,
      fixable: fix !== undefined,
      ...(level === 'caution' ? { plain } : {}),
      ...(repeats === undefined ? {} : { repeats }),
    },
    fixes: () => [fix?.() ?? []].flat(),
  }),
);
const resolvedFixes = derive(
  'fixes',
  (allSnags: SnagWithFix) => [allSnags],
  (told) => told.fixes(),
);
/** All that the rules say of a plan, stops first, else in the order of the stations. */
const told = derive(
  'snags',
  (view: PlanView) => [view],
  (view): readonly SnagWithFix[] => {
    const count = new Map<string, number>();
    return RULES.flatMap((rule) =>
      rule.find(view).map((finding): SnagWithFix => {
        const { kind, id, node } = finding.place;
        const name = [rule.id, kind, id, ...(node === undefined ? [] : [node])].join(' ');
        const nth = (count.get(name) ?? 0) + 1;
        count.set(name, nth);
        return toSnag(finding, nth > 1 ? `${name} ${nth}` : name, rule);
      }),
    ).sort((a, b) => RANK[a.snag.level] - RANK[b.snag.level]);
  },
);

/** All snags of a valid plan, stops first, else in the order of the stations. */
export const inspect = (plan: Plan): Snag[] => told(viewPlan(plan)).map(({ snag }) => snag);

/** Work recorded at these stations is asked again after any edit: that is no harm that a fix does. */
const ASKED_AGAIN: ReadonlySet<Snag['station']> = new Set(['fit', 'fill', 'prove']);
/** As many findings as one, at its place and as grave; a place is the same though a line has other corners. */
const like = (all: readonly Found[], { place, level }: Pick<Snag, 'place' | 'level'>): number =>
  all.filter(
    (other) =>
      other.place.kind === place.kind &&
      other.place.id === place.id &&
      RANK[other.level] <= RANK[level],
  ).length;

/** Whether a plan is better for a fix: what it is for is gone, and nowhere is there a stop or a caution more. */
function helps(plan: Plan, snag: Snag, { call, isFact }: Fix): boolean {
  const [was, is] = [viewPlan(plan), viewPlan(applyEdit(plan, call))];
  const own = RULES.find(({ id }) => id === snag.rule)!;
  const others = RULES.filter(
    (rule) => rule !== own && !ASKED_AGAIN.has(rule.station) && !rule.asks,
  );
  if (like(own.findEach(is), snag) >= like(own.findEach(was), snag)) return false;
  return (
    isFact === true ||
    [own, ...others].every((rule) => {
      const [before, after] = [rule.findEach(was), rule.findEach(is)];
      return after.every((one) => one.level === 'note' || like(after, one) <= like(before, one));
    })
  );
}

/** The actions that may mend a snag of this plan, the one that its rule takes for the best first. */
export const proposedFixes = (plan: Plan, key: string): readonly Fix[] => {
  const found = told(viewPlan(plan)).find(({ snag }) => snag.key === key);
  return found ? resolvedFixes(found) : [];
};
/**
 * The action that mends a snag of this plan, worked out once it is asked for and tried on a copy: the first that does no
 * harm elsewhere. Null where there is none, and where no such snag is.
 */
export function fixOf(plan: Plan, key: string): Fix | null {
  const snag = inspect(plan).find((one) => one.key === key);
  return (snag && proposedFixes(plan, key).find((fix) => helps(plan, snag, fix))) ?? null;
}
