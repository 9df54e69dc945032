import { likelyTorqueNm, type Joint } from '../../../trade/ends/index.ts';
import type { Floor, WantedTorque } from '../../../plan/index.ts';
import { likelyBoltNm, type Fastener } from './fasteners.ts';
import type { Task } from './task.ts';

/** How a joint or a fastener stands: what is wanted and by whose word, what the wrench said. */
export interface TorqueView {
  readonly key: string;
  readonly wantedNm: number | null;
  readonly source: string;
  /** What such a joint mostly takes; null where that is not known. */
  readonly likely: { readonly least: number; readonly most: number } | null;
  readonly saidNm: number | null;
  readonly opened: boolean;
  /** In a few words: tight, open, too little, too much, no figure. */
  readonly verdict: 'good' | 'low' | 'high' | 'no-figure' | 'open' | 'opened';
}
/** A click wrench is good to this. Source: ISO 6789 (4 %, from memory). */
export const WRENCH_SHARE = 0.04;

/** A reading held against what is wanted, the wrench's own error allowed. */
export function verdictOf(
  wantedNm: number | null,
  saidNm: number | null,
  opened: boolean,
): TorqueView['verdict'] {
  if (opened) return 'opened';
  if (saidNm === null) return 'open';
  if (wantedNm === null) return 'no-figure';
  if (saidNm < wantedNm * (1 - WRENCH_SHARE) - 1e-9) return 'low';
  return saidNm > wantedNm * (1 + WRENCH_SHARE) + 1e-9 ? 'high' : 'good';
}

/** Whether the wrench read what such a joint or fastener does not usually take, with no figure to hold it against. */
export const isUnusual = ({ verdict, saidNm, likely }: TorqueView): boolean =>
  verdict === 'no-figure' && likely !== null && (saidNm! < likely.least || saidNm! > likely.most);

/** What was set down of a fastener; before anything was, nothing is known of it but its count. */
export const wantedOf = (floor: Floor, key: string): WantedTorque =>
  floor.wanted.find((one) => one.key === key) ?? {
    key,
    nm: null,
    source: '',
    state: 'dry',
    fastener: 'new',
  };

/** What is known of a fastener, with the thread that a record of its own has. */
export const withThread = (wanted: WantedTorque, { thread }: Fastener): WantedTorque =>
  thread === undefined ? wanted : { ...wanted, thread };

/** A task that is tightened to a figure; null for one that is not. A joint's figure stands with the joint, a fastener's with the floor. */
export function torqueOf(
  task: Pick<Task, 'id' | 'joint' | 'fastener'>,
  floor: Floor,
): TorqueView | null {
  const { id: key, joint, fastener } = task;
  if (!joint && !fastener) return null;
  const wanted = fastener ? wantedOf(floor, fastener.key) : null;
  const nearest: Joint | undefined = joint?.joints?.at(-1);
  const said = floor.tight.filter((one) => one.key === key).at(-1);
  const wantedNm = wanted ? wanted.nm : joint!.work.torqueNm;
  return {
    key,
    wantedNm,
    source: wanted ? wanted.source : joint!.work.torqueSource,
    likely: wanted
      ? likelyBoltNm(withThread(wanted, fastener!))
      : nearest
        ? likelyTorqueNm(nearest)
        : null,
    saidNm: said?.nm ?? null,
    opened: said?.opened ?? false,
    verdict: verdictOf(wantedNm, said?.nm ?? null, said?.opened ?? false),
  };
}
