import type { Type } from '@angular/core';
import type { Ref } from '@firm-line/core/plan';

export interface StationEntry {
  /** As it stands in the address; rules name the station that speaks of them by it. */
  readonly path: string;
  readonly name: string;
  /** What can be chosen on its screen: a snag about anything else is shown where that is. */
  readonly shows: readonly Ref['kind'][];
  /** It is used with gloves: whatever is tapped is large there. */
  readonly floor?: boolean;
  readonly load: () => Promise<Type<unknown>>;
}

/** The stations that work, in the order of the work: routes, the way through, keys, finding, browser tests and pictures go by it. */
export const STATIONS: readonly StationEntry[] = [
  {
    path: 'measure',
    name: 'Measure',
    shows: ['point', 'port', 'thing', 'gate', 'plan'],
    load: () => import('./measure/measure-station').then((m) => m.MeasureStation),
  },
  {
    path: 'size',
    name: 'Size',
    shows: ['plan'],
    load: () => import('./size/size-station').then((m) => m.SizeStation),
  },
  {
    path: 'plumb',
    name: 'Plumb',
    shows: ['port', 'part', 'line', 'circuit', 'plan'],
    load: () => import('./plumb/plumb-station').then((m) => m.PlumbStation),
  },
  {
    path: 'route',
    name: 'Route',
    shows: ['line', 'hose', 'plan'],
    load: () => import('./route/route-station').then((m) => m.RouteStation),
  },
  {
    path: 'join',
    name: 'Join',
    shows: ['line', 'hose', 'adapter', 'plan'],
    load: () => import('./join/join-station').then((m) => m.JoinStation),
  },
  {
    path: 'make',
    name: 'Make',
    shows: ['line', 'bender', 'plan'],
    floor: true,
    load: () => import('./make/make-station').then((m) => m.MakeStation),
  },
  {
    path: 'fit',
    name: 'Fit',
    shows: ['line', 'hose', 'gate', 'port', 'part', 'plan'],
    floor: true,
    load: () => import('./fit/fit-station').then((m) => m.FitStation),
  },
  {
    path: 'fill',
    name: 'Fill',
    shows: ['plan'],
    floor: true,
    load: () => import('./fill/fill-station').then((m) => m.FillStation),
  },
  {
    path: 'prove',
    name: 'Prove',
    shows: ['circuit', 'plan'],
    floor: true,
    load: () => import('./prove/prove-station').then((m) => m.ProveStation),
  },
];

/** The station that a place is looked at in: the one that speaks of it where it shows such a thing, else the first that does. */
export const stationFor = (station: string, { kind }: Ref): string =>
  (
    STATIONS.find((one) => one.path === station && one.shows.includes(kind)) ??
    STATIONS.find((one) => one.shows.includes(kind))
  )?.path ?? station;
