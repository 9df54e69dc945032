import {
  aboutKind,
  COLLECTIONS,
  NO_FILLING,
  NO_FLOOR,
  NO_WHEEL_ENDS,
  type CollectionKind,
  type Plan,
  type Ref,
  UNCHECKED,
} from '@firm-line/core/plan';
import { TYPICAL_PARKING_TRAVEL } from '@firm-line/core/plan/typical';
import type { UrlSegment } from '@angular/router';
import { inspect, RULES } from '@firm-line/core/inspect';
import { demo } from '../../../core/src/testing/demo-plans';
import { bare, ODD_PLANS, opened } from '../../../core/src/testing/odd-plans';
import { addressFor, SCREENS, STATIONS, stationFor } from './registry';
import { STATION_ROUTES } from './routes';

describe('the stations', () => {
  const shown = (station: string, ref: Ref): boolean =>
    STATIONS.find(({ path }) => path === stationFor(station, ref))!.shows.includes(ref.kind);

  const kinds = (Object.keys(COLLECTIONS) as CollectionKind[]).filter(
    (kind) => !aboutKind(kind).unlisted,
  );
  test('every kind of record that can be found has a station whose screen shows it, whichever station speaks of it', () => {
    for (const kind of [...kinds, 'port', 'plan'] as Ref['kind'][])
      for (const { path } of STATIONS)
        expect([kind, shown(path, { kind, id: 'x' })]).toEqual([kind, true]);
  });

  test('every snag leads to a screen that shows its place, and to the one that speaks of it where that does', () => {
    // The demo as it stands on the floor: fluid in, a hose on a zip tie, a look that was not good, a hub backed off.
    const gannet = demo('gannet');
    const corners = {
      ...NO_WHEEL_ENDS,
      hubs: [
        {
          id: 'hub-1',
          name: 'Hub',
          kind: 'unit',
          school: 'feel',
          endPlayMm: null,
          sheetMm: null,
          newLock: null,
        },
      ],
      calipers: [
        {
          key: 'fl',
          innerGapMm: 4,
          outerGapMm: 2,
          stackMm: 0,
          moves: 'out',
          box: [],
          bolt: null,
          fittedMm: 3,
          padOverMm: null,
          disc: 'right',
          clears: UNCHECKED,
        },
      ],
      loads: [
        {
          id: 'load-1',
          name: 'Pedal',
          wantedN: 1350,
          loadN: null,
          seconds: null,
          beforeMm: null,
          afterMm: null,
          sound: null,
        },
      ],
    } as const;
    const floor = {
      ...NO_FLOOR,
      done: [
        { task: 'fill', at: '2026-11-27', by: '', minutes: null, stamp: '' },
        { task: 'run:line-r2', at: '2026-11-27', by: '', minutes: null, stamp: 'older' },
      ],
      temporary: [{ id: 'held-1', what: 'Hose', by: 'zip-tie', since: '2026-11-27', closed: null }],
    } as const;
    const filling = {
      ...NO_FILLING,
      makers: { source: 'Sheet 4', parkingTimes: 0, again: [] },
      fluids: [
        {
          part: 'master',
          fluidId: 'dot-5',
          batch: '',
          source: '',
          openedOn: null,
          filledOn: null,
          nextOn: null,
          boilC: 150,
          hotC: null,
          wasId: 'dot-4',
          seals: false,
          flushed: false,
          named: false,
        },
      ],
      runs: [
        {
          id: 'run-1',
          work: 'brake',
          method: 'pressure',
          order: ['bleed-rr', 'bleed-rl'],
          flushMl: [1, 1],
          extraAfter: null,
          parkingTimes: 0,
          strokeMl: 5,
          fullMl: 120,
          markMl: 40,
          startedAt: '2026-11-27',
          log: [
            { act: 'open', at: '2026-11-27' },
            { act: 'read', at: '2026-11-27', ml: 5 },
            { act: 'pot', at: '2026-11-27', potMPa: 0.12 },
            { act: 'close', at: '2026-11-27' },
            { act: 'next', at: '2026-11-27' },
            { act: 'pot', at: '2026-11-27', potMPa: 0.05 },
          ],
        },
      ],
    } as const;
    const plans = [
      ...ODD_PLANS.map(([, plan]) => plan),
      ...['gannet', 'wheatear', 'dunlin'].map(demo),
      { ...gannet, floor, wheelEnds: corners, filling },
      // An actuator on thin wire without a breaker; a parking lever short of travel.
      {
        ...gannet,
        parking: {
          ...(gannet.parking as Extract<Plan['parking'], { by: 'lever' }>),
          travel: { ...TYPICAL_PARKING_TRAVEL, strokeMm: 100 },
        },
        wheelEnds: {
          ...gannet.wheelEnds,
          supply: {
            currentA: 30,
            wayMm: 9000,
            wire: '1' as const,
            ground: '1' as const,
            breakerA: null,
            breakerAtMm: null,
            mostDropV: null,
          },
        },
      },
      // Its master worked by a hand lever of one side, its drums with twin leading shoes, its dies tight; one end of a
      // line measured, and not well.
      {
        ...gannet,
        filling: { ...gannet.filling, method: 'gravity' as const },
        bench: {
          ...gannet.bench,
          benders: gannet.bench.benders.map((one) => ({ ...one, dieRadiusMm: 9 })),
        },
        parts: gannet.parts.map((part) =>
          part.id === 'master'
            ? { ...part, pedal: 'hand-left' as const }
            : {
                ...part,
                leadingOn: part.kind === 'wheel-cylinder' ? ('left' as const) : null,
                ports: part.ports.map((port) =>
                  port.id === 'port-fl'
                    ? {
                        ...port,
                        known: { ...port.known, sigmaMm: [2, 2, 2] as const } as typeof port.known,
                      }
                    : port,
                ),
              },
        ),
      },
    ];
    const spoken = new Set<string>();
    for (const plan of [...plans, ...plans.map(bare), ...plans.map(opened)])
      for (const snag of inspect(plan)) {
        spoken.add(snag.rule);
        expect([snag.rule, shown(snag.station, snag.place)]).toEqual([snag.rule, true]);
        const own = STATIONS.find(({ path }) => path === snag.station)!;
        if (own.shows.includes(snag.place.kind))
          expect(stationFor(snag.station, snag.place)).toBe(snag.station);
      }
    // These plans make a good part of the rules speak.
    expect(spoken.size).toBeGreaterThan(RULES.length / 3);
  });

  test('every rule is spoken of by a station that there is, and no path stands twice', () => {
    const paths = STATIONS.map(({ path }) => path);
    for (const { station } of RULES) expect(paths).toContain(station);
    expect(new Set(paths).size).toBe(paths.length);
  });

  test('every page has an address, a component and a place on the list of screens', () => {
    const pages = STATIONS.flatMap(({ path, pages: own }) =>
      own.map((page) => `${path}/${page.path}`),
    );
    const single = STATIONS.filter(({ pages: own }) => !own.length).map(({ path }) => path);
    expect(SCREENS.map(({ path }) => path).sort()).toEqual([...pages, ...single].sort());
    expect(pages).toHaveLength(27);
    for (const { path, pages: own } of STATIONS) {
      const { children = [] } = STATION_ROUTES.find((route) => route.path === path)!;
      for (const page of own)
        expect(
          children.filter(({ matcher }) =>
            matcher?.([{ path: page.path } as UrlSegment], {} as never, {}),
          ),
        ).toHaveLength(1);
    }
  });

  test('a page names rules of its own station alone, each once; a snag opens the page that mends it', () => {
    const byId = new Map(RULES.map((rule) => [rule.id, rule]));
    for (const { path, pages } of STATIONS) {
      const named = pages.flatMap(({ rules = [] }) => rules);
      expect(new Set(named).size).toBe(named.length);
      for (const rule of named) expect([rule, byId.get(rule)?.station]).toEqual([rule, path]);
      for (const { shows: own = [] } of pages)
        for (const kind of own)
          expect(STATIONS.find((one) => one.path === path)!.shows).toContain(kind);
    }
    const part = { kind: 'part', id: 'fl' } as const;
    expect(addressFor('fit', part, 'disc-hand')).toBe('fit/calipers');
    expect(addressFor('measure', { kind: 'thing', id: 'x' })).toBe('measure/vehicle');
    expect(addressFor('fit', { kind: 'plan', id: 'p' })).toBe('fit');
  });
});
