import { waysFor, type FoundWay } from '@firm-line/core/route-proposals';
import type { WayRequest } from './protocol';
import type { SearchAnswer } from './search';

/** The ways of a line that were asked for. */
export function answerWays(
  { plan, lineId, pitchMm }: WayRequest,
  progress: (share: number) => void,
): SearchAnswer<readonly FoundWay[]> {
  const found = waysFor(plan, lineId, pitchMm, { progress });
  return found.length
    ? { kind: 'found', found }
    : { kind: 'none', message: 'No way leads from one port to the other clear of everything.' };
}
