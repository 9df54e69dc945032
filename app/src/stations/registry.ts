import type { Ref } from '@firm-line/core/plan';

/** A page of a station: its part of the address, its name, and what is chosen or mended on it. */
export interface PageEntry {
  readonly path: string;
  readonly name: string;
  /** Its name where the short one says too little. */
  readonly title?: string;
  /** Kinds of record that can be chosen on it. */
  readonly shows?: readonly Ref['kind'][];
  /** Rules whose snags are mended on it, where that is not the page it opens with. */
  readonly rules?: readonly string[];
}
export interface StationEntry {
  /** As it stands in the address; rules name the station that speaks of them by it. */
  readonly path: string;
  readonly name: string;
  /** What can be chosen on its screen: a snag about anything else is shown where that is. */
  readonly shows: readonly Ref['kind'][];
  /** It is used with gloves: whatever is tapped is large there. */
  readonly floor?: boolean;
  /** Its pages; none where it is one screen. */
  readonly pages: readonly PageEntry[];
  /** The page it opens with, where that is not its first. */
  readonly opens?: string;
}

/**
 * The stations in the order of the work, with their pages: what they are, apart from how they are loaded. Routes,
 * navigation, keys, search, browser tests and screenshots follow from it.
 */
export const STATIONS: readonly StationEntry[] = [
  {
    path: 'measure',
    name: 'Measure',
    shows: ['point', 'port', 'thing', 'gate', 'plan'],
    opens: 'places',
    pages: [
      { path: 'first', name: 'First', title: 'What to measure first' },
      { path: 'places', name: 'Places', shows: ['point', 'port'] },
      { path: 'vehicle', name: 'Vehicle', shows: ['thing', 'gate'] },
      { path: 'frame', name: 'Frame', title: 'Frame: square and flat', rules: ['pedal-room'] },
      { path: 'closes', name: 'Closes', title: 'Before it closes', rules: ['gate-unseen'] },
    ],
  },
  { path: 'size', name: 'Size', shows: ['plan'], pages: [] },
  {
    path: 'plumb',
    name: 'Plumb',
    shows: ['port', 'part', 'line', 'circuit', 'plan'],
    pages: [],
  },
  { path: 'route', name: 'Route', shows: ['line', 'hose', 'plan'], pages: [] },
  { path: 'join', name: 'Join', shows: ['line', 'hose', 'adapter', 'plan'], pages: [] },
  {
    path: 'make',
    name: 'Make',
    shows: ['line', 'bender', 'kit', 'bracket', 'ownItem', 'plan'],
    floor: true,
    pages: [
      { path: 'card', name: 'Card', title: 'Card of a line', shows: ['line', 'bender'] },
      { path: 'cuts', name: 'Cuts', title: 'Cuts from stock', rules: ['stock-short'] },
      {
        path: 'list',
        name: 'List',
        title: 'Shopping list',
        shows: ['ownItem'],
        rules: ['order-late', 'order-stray', 'order-wrong', 'washers-few'],
      },
      {
        path: 'kits',
        name: 'Kits',
        title: 'Kits to check before ordering',
        shows: ['kit'],
        rules: ['kit-differs'],
      },
      { path: 'brackets', name: 'Brackets', shows: ['bracket'] },
      { path: 'tags', name: 'Tags', title: 'Tags and line map' },
    ],
  },
  {
    path: 'fit',
    name: 'Fit',
    shows: [
      'line',
      'hose',
      'gate',
      'port',
      'part',
      'hub',
      'cable',
      'wire',
      'proofLoad',
      'logEntry',
      'makerSheet',
      'earlierChange',
      'temporaryFix',
      'deviation',
      'ownTask',
      'plan',
    ],
    floor: true,
    pages: [
      { path: 'tasks', name: 'Tasks', shows: ['temporaryFix', 'deviation', 'ownTask'] },
      {
        path: 'calipers',
        name: 'Calipers',
        title: 'Calipers and shims',
        rules: ['stack-off', 'stack-bolt', 'disc-hand'],
      },
      {
        path: 'wheels',
        name: 'Wheels',
        title: 'Wheels and hubs',
        shows: ['hub'],
        rules: ['spacer-thread', 'hub-nut'],
      },
      {
        path: 'parking',
        name: 'Parking brake',
        title: 'Parking brake and pedal',
        shows: ['cable'],
        rules: ['cable-length', 'cable-hand', 'pushrod-play'],
      },
      {
        path: 'wires',
        name: 'Wiring',
        title: 'Actuator wiring',
        shows: ['wire'],
        rules: ['wire-range', 'supply-thin', 'breaker-wrong', 'breakaway-untested'],
      },
      {
        path: 'loads',
        name: 'Loads',
        title: 'Proof loads',
        shows: ['proofLoad'],
        rules: ['proof-load'],
      },
      { path: 'log', name: 'Log', shows: ['logEntry'] },
      {
        path: 'sheets',
        name: 'Sheets',
        title: 'Makers’ sheets',
        shows: ['makerSheet', 'earlierChange'],
        rules: ['sheet-awaited'],
      },
    ],
  },
  {
    path: 'fill',
    name: 'Fill',
    shows: ['fillRun', 'plan'],
    floor: true,
    pages: [
      { path: 'plan', name: 'Plan', title: 'Plan: order, method, volumes' },
      {
        path: 'run',
        name: 'Run',
        title: 'Run: bleeding, step by step',
        shows: ['fillRun'],
        rules: ['bench-open', 'joint-loose-filled', 'pads-out', 'pushrod-unlooked', 'drums-unset'],
      },
      {
        path: 'fluids',
        name: 'Fluids',
        title: 'Fluids by reservoir',
        rules: [
          'bottle-old',
          'fluid-change',
          'fluid-thick',
          'fluid-unknown',
          'fluid-wet',
          'fluids-meet',
          'silicone-modulator',
        ],
      },
    ],
  },
  {
    path: 'prove',
    name: 'Prove',
    shows: ['circuit', 'curve', 'hold', 'airTest', 'pedalReading', 'stopTest', 'plan'],
    floor: true,
    pages: [
      {
        path: 'rounds',
        name: 'Tests',
        shows: ['circuit', 'hold', 'airTest', 'pedalReading'],
      },
      {
        path: 'curve',
        name: 'Pedal curve',
        title: 'Pedal curve: air or flex',
        shows: ['curve'],
        rules: ['travel-differs', 'port-covered'],
      },
      {
        path: 'stops',
        name: 'Stops',
        title: 'Stops and bedding in',
        shows: ['stopTest'],
        rules: ['rear-locked'],
      },
      { path: 'sign', name: 'Sign off', title: 'Sign off and pack' },
      { path: 'compare', name: 'Compare', title: 'Compare plans' },
    ],
  },
];

/** Every screen of a plan by its address below the plan: each page, and each station that is one screen. */
export const SCREENS: readonly {
  readonly path: string;
  readonly name: string;
  readonly floor: boolean;
}[] = STATIONS.flatMap(({ path, name, pages, floor = false }) =>
  pages.length
    ? pages.map((page) => ({
        path: `${path}/${page.path}`,
        name: `${name}, ${page.title ?? page.name}`,
        floor,
      }))
    : [{ path, name, floor }],
);
/** Kinds of record that can be chosen on some screen. */
export const SHOWN_KINDS: readonly Ref['kind'][] = [
  ...new Set(
    STATIONS.flatMap(({ shows, pages }) => [
      ...shows,
      ...pages.flatMap((page) => page.shows ?? []),
    ]),
  ),
].filter((kind) => kind !== 'plan');
export const stationAt = (path: string): StationEntry | undefined =>
  STATIONS.find((station) => station.path === path);

/** The station to open for a place: the rule's own if it can show that kind, else the first that can. */
export const stationFor = (station: string, { kind }: Ref): string =>
  (
    STATIONS.find((one) => one.path === station && one.shows.includes(kind)) ??
    STATIONS.find((one) => one.shows.includes(kind))
  )?.path ?? station;

/**
 * The address, below the plan, of the screen to open: the page that mends a rule's snags, else the first that shows
 * such a place. With neither it is the station alone, which opens with the page it was left on.
 */
export function addressFor(station: string, place?: Ref, rule?: string): string {
  const pages = stationAt(station)?.pages ?? [];
  const page =
    (rule && pages.find(({ rules }) => rules?.includes(rule))) ??
    (place && place.kind !== 'plan' && pages.find(({ shows }) => shows?.includes(place.kind)));
  return page ? `${station}/${page.path}` : station;
}
