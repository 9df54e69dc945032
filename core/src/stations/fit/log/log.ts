import { type Log, type LogEntry, type Photo } from '../../../plan/index.ts';

/** What is looked for in the log: words that all stand in an entry, and a place it is about. */
export interface LogSearch {
  readonly words: string;
  /** "port:port-fl", or empty for every place. */
  readonly about: string;
}
export const aboutKey = ({ kind, id }: LogEntry['about']): string => `${kind}:${id}`;

/** Entries by day, the newest first, that have every word that is looked for; words may be begun, numbers are whole. */
export function byDayFound(
  entries: readonly LogEntry[],
  { words, about }: LogSearch,
  placeName: (about: LogEntry['about']) => string,
): { readonly day: string; readonly entries: readonly LogEntry[] }[] {
  const wanted = words.toLowerCase().split(/\s+/).filter(Boolean);
  const days = new Map<string, LogEntry[]>();
  for (const entry of [...entries].sort((a, b) => b.at.localeCompare(a.at))) {
    if (about && aboutKey(entry.about) !== about) continue;
    const text = [
      entry.bag ? `bag ${entry.bag}` : '',
      entry.text,
      entry.reading,
      entry.by,
      entry.at.slice(0, 10),
      placeName(entry.about),
    ]
      .join(' ')
      .toLowerCase();
    const tokens = text.split(/[^\p{L}\p{N}.-]+/u);
    if (!wanted.every((word) => (/^\d+$/.test(word) ? tokens.includes(word) : text.includes(word))))
      continue;
    const day = entry.at.slice(0, 10);
    days.set(day, [...(days.get(day) ?? []), entry]);
  }
  return [...days].map(([day, of]) => ({ day, entries: of }));
}

/** The last photograph of how a place lay before, and the last of how it lies now; null while one of them is missing. */
export function beforeAndNow(
  entries: readonly LogEntry[],
  about: string,
): { readonly before: Photo; readonly now: Photo } | null {
  const last = (when: LogEntry['when']): Photo | undefined =>
    entries
      .filter(
        (entry) => entry.when === when && aboutKey(entry.about) === about && entry.photos.length,
      )
      .toSorted((a, b) => a.at.localeCompare(b.at))
      .at(-1)
      ?.photos.at(-1);
  const [before, now] = [last('before'), last('now')];
  return before && now ? { before, now } : null;
}

/** Every photograph that a log needs, each once. */
export const photosOf = ({ entries, sheets }: Pick<Log, 'entries' | 'sheets'>): Photo[] => [
  ...new Map(
    [...entries, ...sheets].flatMap(({ photos }) => photos).map((photo) => [photo.digest, photo]),
  ).values(),
];

/** The number of the next bag: one more than the last, since labels are written already. */
export const nextBag = (entries: readonly LogEntry[]): number =>
  Math.max(0, ...entries.map(({ bag }) => bag ?? 0)) + 1;
