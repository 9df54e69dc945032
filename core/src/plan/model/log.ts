import {
  choice,
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
  told,
  noted,
} from './field.ts';

/** A photograph by what it holds; the picture itself is kept beside the plan. */
export interface Photo {
  readonly digest: string;
  readonly widthPx: number;
  readonly heightPx: number;
  readonly bytes: number;
}
/** Kinds of thing that a log entry may be about, in the order in which they are offered. */
export const ABOUT_KINDS = [
  'plan',
  'line',
  'hose',
  'part',
  'port',
  'thing',
  'gate',
  'point',
  'task',
  'sheet',
] as const;
export interface LogEntry {
  readonly id: string;
  readonly at: string;
  /** Initials, as typed. */
  readonly by: string;
  readonly text: string;
  /** A figure that was read, with its unit, as typed. */
  readonly reading: string;
  readonly about: { readonly kind: (typeof ABOUT_KINDS)[number]; readonly id: string };
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
  digest: told('Picture', noted(id)),
  widthPx: told('Width', noted(number(1, 20_000, { whole: true }))),
  heightPx: told('Height', noted(number(1, 20_000, { whole: true }))),
  bytes: told('Size', noted(number(0, 50_000_000, { whole: true }))),
});
export const LOG_ENTRY = record<LogEntry>()(
  {
    id,
    at: told('Time', noted(time)),
    by: told('By', noted(text)),
    text: told('Note', noted(text)),
    reading: told('Reading', noted(text)),
    about: told(
      'About',
      record<LogEntry['about']>()({
        kind: told('Kind', noted(oneOf(ABOUT_KINDS))),
        id: told('Item', name),
      }),
    ),
    when: told('Before or now', noted(choice({ now: 'now', before: 'before' }))),
    photos: told('Photographs', list(PHOTO, 50)),
    bag: told('Bag', optional(noted(number(1, 10_000, { whole: true })))),
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
    name: told('Sheet', name),
    kind: told(
      'Of',
      noted(
        oneOf(MAKER_SHEET_KINDS, {
          kit: 'a kit',
          procedure: 'a factory procedure',
          fluid: 'a fluid',
          torque: 'torques',
          wiring: 'wiring',
          other: 'something else',
        }),
      ),
    ),
    state: told('Status', choice({ have: 'here', asked: 'asked for', none: 'none exists' })),
    edition: told('Edition', noted(text)),
    readBy: told('Read by', noted(text)),
    askedOn: told('Asked for', nullable(day)),
    dueOn: told('Due', nullable(day)),
    photos: told('Photographs', list(PHOTO, 50)),
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
export const EARLIER_CHANGE = record<EarlierChange>()(
  { id, text: told('What was changed', name) },
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
  entries: told('Entries', list(LOG_ENTRY, 10_000)),
  sheets: told('Makers’ sheets', list(MAKER_SHEET, 500)),
  earlier: told('Earlier changes', list(EARLIER_CHANGE, 500)),
});
/** Makers' sheets that are here, as a figure names them. */
export const sheetNames = ({ log }: { readonly log: Log }): string[] =>
  log.sheets.flatMap(({ name: of, edition, state }) =>
    state === 'have' ? [edition ? `${of}, ${edition}` : of] : [],
  );
