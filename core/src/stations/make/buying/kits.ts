import { parseLength } from '../../../lib/units/index.ts';
import {
  ASKS_OF_CORNERS,
  KIT_ASK_RECORD,
  KIT_ASKS,
  KIT_CORNERS,
  labelOf,
  type Kit,
  type KitAsk,
  type KitCorner,
} from '../../../plan/index.ts';
import { boltThread, boltThreadName } from '../../../trade/stock/index.ts';
import type { ListItem } from './gathered.ts';
import type { ListRow } from './orders.ts';

/** Asks that hold where the vehicle has as much or more; every other holds where both are the same. */
const AT_LEAST: ReadonlySet<KitAsk> = new Set(['wheelInsideMm', 'shockRoomMm', 'shaftRoomMm']);
/** Two figures read with a vernier are the same within this. Common practice. */
const SAME_MM = 0.5;
/** Asks that are lengths; those of threads are compared as threads, others by their words. */
const isFigure = (ask: KitAsk): boolean => ask.endsWith('Mm');
/** A length as it is typed, a plain figure in mm; null where it is none. */
const lengthMm = (text: string): number | null => {
  const read = parseLength(text);
  return read.ok ? read.value : null;
};
/** A thread by its sizes, however it is written: `M10 x 1`, `m10x1.0`, `3/8-24 UNF`. */
function threadName(text: string): string {
  const thread = boltThread(text.replace(/\s*UN[FC]?\b.*$/i, ''));
  return thread ? boltThreadName(thread) : plain(text);
}
const plain = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[\s,.]+/g, ' ')
    .trim();

/** Whether what a corner has suits what a kit is for. */
function fitsAt(ask: KitAsk, gives: string, has: string): boolean {
  if (isFigure(ask)) {
    const [a, b] = [lengthMm(gives)!, lengthMm(has)!];
    return AT_LEAST.has(ask) ? b >= a : Math.abs(a - b) <= SAME_MM;
  }
  return ask.endsWith('Thread')
    ? threadName(gives) === threadName(has)
    : plain(gives) === plain(has);
}

export interface KitFinding {
  readonly kind: 'differs' | 'open';
  readonly corner: KitCorner;
  readonly ask: KitAsk;
  readonly text: string;
}
/** A kit before it is ordered: at each corner that it is for, what differs from the vehicle, and what nobody has measured. */
export function kitFindings(kit: Kit): KitFinding[] {
  return KIT_CORNERS.filter((corner) => kit.corners[corner] !== undefined).flatMap((corner) =>
    KIT_ASKS.flatMap((ask): KitFinding[] => {
      const [gives, has] = [kit.gives[ask]?.trim() ?? '', kit.corners[corner]![ask]?.trim() ?? ''];
      if (!gives) return [];
      const [name, where] = [
        labelOf(KIT_ASK_RECORD.fields[ask]),
        labelOf(ASKS_OF_CORNERS.fields[corner]),
      ];
      const open = (why: string): KitFinding[] => [
        { kind: 'open', corner, ask, text: `${name}, ${where}: ${why}` },
      ];
      if (!has) return open('not measured.');
      const isLeast = AT_LEAST.has(ask);
      const odd = isFigure(ask) ? [gives, has].find((text) => lengthMm(text) === null) : undefined;
      if (odd !== undefined)
        return open(`“${odd}” is not a length. Enter one such as 88.9 or 3 1/2 in.`);
      return fitsAt(ask, gives, has)
        ? []
        : [
            {
              kind: 'differs',
              corner,
              ask,
              text: `${name}, ${where}: the kit ${isLeast ? 'needs' : 'is for'} ${gives}, the vehicle has ${has}.`,
            },
          ];
    }),
  );
}
/** What a kit does not bring of what the list asks of the things it does. */
export const kitLacks = (
  kit: Kit,
  rows: readonly ListRow[],
): { readonly item: ListItem; readonly lacks: number }[] =>
  kit.brings.flatMap(({ key, count }) => {
    const row = rows.find(({ item }) => item.key === key);
    return row && row.toBuy > count ? [{ item: row.item, lacks: row.toBuy - count }] : [];
  });
