import {
  id,
  list,
  name,
  nullable,
  number,
  oneOf,
  optional,
  record,
  text,
  time,
  day,
} from './field.ts';

/** A photograph by what it holds; the picture itself is kept beside the plan. */
export interface Photo {
  readonly digest: string;
  readonly widthPx: number;
  readonly heightPx: number;
  readonly bytes: number;
}
/** Kinds of thing that a log entry may be about. */
export const ABOUT_KINDS = [
  'plan',
  'port',
  'part',
  'line',
  'hose',
  'thing',
  'gate',
  'point',
  'task',
  'sheet',
] as const;
export type AboutKind = (typeof ABOUT_KINDS)[number];
export interface LogEntry {
  readonly id: string;
  readonly at: string;
  /** Initials, as typed. */
  readonly by: string;
  readonly text: string;
  /** A figure that was read, with its unit, as typed. */
  readonly reading: string;
  readonly about: { readonly kind: AboutKind; readonly id: string };
  /** How it lay before, or as it is now. */
  readonly when: 'before' | 'now';
  readonly photos: readonly Photo[];
  /** Of what was taken off and put in a bag: the number on the bag. */
  readonly bag?: number;
}
export const MAKER_SHEET_KINDS = [
  'kit',
  'procedure',
  'fluid',
  'torque',
  'wiring',
  'other',
] as const;
/** A maker's sheet that figures come from. */
export interface MakerSheet {
  readonly id: string;
  readonly name: string;
  readonly kind: (typeof MAKER_SHEET_KINDS)[number];
  readonly state: 'have' | 'asked' | 'none';
  readonly edition: string;
  /** Who read it. */
  readonly readBy: string;
  /** The day it was asked for, and the day it should be here. */
  readonly askedOn: string | null;
  readonly dueOn: string | null;
  readonly photos: readonly Photo[];
}
/** What was changed on the vehicle before this plan. */
export interface EarlierChange {
  readonly id: string;
  readonly text: string;
}
export interface Log {
  readonly entries: readonly LogEntry[];
  readonly sheets: readonly MakerSheet[];
  readonly earlier: readonly EarlierChange[];
}
export const NO_LOG: Log = { entries: [], sheets: [], earlier: [] };

export const PHOTO = record<Photo>()({
  digest: id,
  widthPx: number(1, 20_000, { whole: true }),
  heightPx: number(1, 20_000, { whole: true }),
  bytes: number(0, 50_000_000, { whole: true }),
});
export const LOG_ENTRY = record<LogEntry>()(
  {
    id,
    at: time,
    by: text,
    text,
    reading: text,
    about: record<LogEntry['about']>()({ kind: oneOf(ABOUT_KINDS), id: name }),
    when: oneOf(['before', 'now']),
    photos: list(PHOTO, 50),
    bag: optional(number(1, 10_000, { whole: true })),
  },
  {
    about: {
      kind: 'logEntry',
      prefix: 'entry',
      noun: 'log entry',
      named: ({ text: words }) => words.slice(0, 60) || 'Log entry',
    },
  },
);
export const MAKER_SHEET = record<MakerSheet>()(
  {
    id,
    name,
    kind: oneOf(MAKER_SHEET_KINDS),
    state: oneOf(['have', 'asked', 'none']),
    edition: text,
    readBy: text,
    askedOn: nullable(day),
    dueOn: nullable(day),
    photos: list(PHOTO, 50),
  },
  {
    about: {
      kind: 'makerSheet',
      prefix: 'sheet',
      noun: 'maker’s sheet',
      named: ({ name }) => name,
    },
  },
);
const EARLIER_CHANGE = record<EarlierChange>()(
  { id, text: name },
  {
    about: {
      kind: 'earlierChange',
      prefix: 'earlier',
      noun: 'earlier change',
      named: ({ text: words }) => words,
    },
  },
);
export const LOG = record<Log>()({
  entries: list(LOG_ENTRY, 10_000),
  sheets: list(MAKER_SHEET, 500),
  earlier: list(EARLIER_CHANGE, 500),
});
/** Makers' sheets that are here, as a figure names them. */
export const sheetNames = ({ log }: { readonly log: Log }): string[] =>
  log.sheets.flatMap(({ name: of, edition, state }) =>
    state === 'have' ? [edition ? `${of}, ${edition}` : of] : [],
  );
