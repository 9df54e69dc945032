import { alike, bracketPlaces, hoseView, lengthsOf, type Progress } from '@firm-line/core/hose-travel';
import { viewPlan } from '@firm-line/core/plan';
import type { HoseFound, HoseRequest } from './protocol';
import type { SearchAnswer } from './search';

/** What is found for a request about hoses. */
export function answerHoses({ kind, plan, ids }: HoseRequest, progress: Progress): SearchAnswer<HoseFound> {
  const { ports } = viewPlan(plan);
  const views = plan.hoses.filter((hose) => ids.includes(hose.id)).map((hose) => hoseView(plan, hose, ports));
  const [first] = views;
  if (!first) return { kind: 'none', message: 'This hose is no longer in the plan.' };
  if (first.fault) return { kind: 'none', message: first.fault };
  if (kind === 'alike') return { kind: 'found', found: { kind, ...alike(views, plan.things, progress) } };
  if (kind === 'lengths') return { kind: 'found', found: { kind, ...lengthsOf(first, plan.things, progress) } };
  const places = bracketPlaces(first, plan.things, 3, progress);
  return places.length
    ? { kind: 'found', found: { kind, places } }
    : { kind: 'none', message: 'No rail or member lies within reach of its bracket: set them down in Measure.' };
}
