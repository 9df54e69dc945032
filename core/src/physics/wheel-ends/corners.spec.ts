import {
  cableFit,
  hubFault,
  loadVerdict,
  threadLeft,
  wheelOver,
  wireVerdict,
  type CableReadings,
  type LoadReadings,
} from './index.ts';

describe('a wheel over a caliper', () => {
  const readings = { caliperRadiusMm: 172, caliperOutMm: 48, barrelRadiusMm: 178, spokesMm: 45 };
  // By hand: barrel 178 − 172 = 6; spokes 45 − 48 = −3, so that 6 mm of spacer give them their 3.
  test('what air there is, and the spacer that gives it', () => {
    expect(wheelOver(readings, 0)).toEqual({ barrelMm: 6, spokesMm: -3, spacerMm: 6, fits: false });
    expect(wheelOver(readings, 6).fits).toBe(true);
    expect(wheelOver({ ...readings, barrelRadiusMm: 174 }, 30)).toMatchObject({
      barrelMm: 2,
      fits: false,
    });
    expect(wheelOver({ ...readings, spokesMm: 60 }, 0)).toMatchObject({ spacerMm: 0, fits: true });
  });
  // By hand: M12x1.5, 40 out of the hub, 12 of flange, 10 of spacer: 18 mm, 12 turns; 12 are needed.
  test('thread that is left on its studs', () => {
    const studs = { count: 5, dMm: 12, pitchMm: 1.5, lengthMm: 40, flangeMm: 12 };
    expect(threadLeft(studs, 10)).toEqual({ leftMm: 18, turns: 12, needMm: 12, holds: true });
    expect([threadLeft(studs, 16).holds, threadLeft(studs, 16.5).holds]).toEqual([true, false]);
  });
});

describe('a hub’s nut', () => {
  const hub = {
    kind: 'adjustable',
    school: 'end-play',
    endPlayMm: 0.08,
    sheetMm: null,
    newLock: true,
  } as const;
  test('0.03 to 0.13 mm where the maker gives no figure; the sheet wins', () => {
    const at = (endPlayMm: number, sheetMm: { least: number; most: number } | null = null) =>
      hubFault({ ...hub, endPlayMm, sheetMm });
    expect([at(0.02), at(0.03), at(0.13), at(0.14), at(0.02, { least: 0.01, most: 0.05 })]).toEqual(
      ['tight', null, null, 'loose', null],
    );
  });
  test('unit and spacer hubs are never backed off; a lock is new', () => {
    expect(hubFault({ ...hub, kind: 'unit', school: 'feel' })).toBe('backed-off');
    expect(hubFault({ ...hub, kind: 'spacer', school: 'end-play' })).toBe('backed-off');
    expect(hubFault({ ...hub, kind: 'unit', school: 'figure', endPlayMm: 0 })).toBeNull();
    expect(hubFault({ ...hub, newLock: false })).toBe('lock');
    expect(hubFault({ ...hub, endPlayMm: null, newLock: null })).toBeNull();
  });
});

describe('a parking brake’s cable', () => {
  const cable: CableReadings = {
    wayMm: 1400,
    outerMm: 1410,
    freeMm: 120,
    needMm: 100,
    adjustMm: 30,
  };
  test('outer against its way, inner against what its ends need', () => {
    const fault = (patch: Partial<CableReadings>) => cableFit({ ...cable, ...patch }).fault;
    expect(cableFit(cable)).toEqual({ outerOverMm: 10, innerOverMm: 20, fault: null });
    expect([
      fault({ outerMm: 1399 }),
      fault({ outerMm: 1400 }),
      fault({ outerMm: 1420 }),
      fault({ outerMm: 1421 }),
      fault({ freeMm: 99 }),
      fault({ freeMm: 100 }),
      fault({ freeMm: 130 }),
      fault({ freeMm: 131 }),
    ]).toEqual(['outer-short', null, null, 'outer-long', 'inner-short', null, null, 'inner-long']);
  });
});

describe('wires of an actuator', () => {
  test('a signal rises with the brake, a breakaway only with its pin out', () => {
    expect(
      (['rest', 'half', 'full'] as const).map((test, i) =>
        wireVerdict('signal', test, [0, 6, 12][i]!),
      ),
    ).toEqual(['good', 'good', 'good']);
    expect([
      wireVerdict('signal', 'rest', 2),
      wireVerdict('signal', 'full', 7),
      wireVerdict('breakaway', 'pulled', 0.1),
      wireVerdict('breakaway', 'rest', 12),
      wireVerdict('earth', 'full', 0.6),
      wireVerdict('supply', 'full', 9),
    ]).toEqual(['high', 'low', 'low', 'high', 'high', 'low']);
    expect(wireVerdict('signal', 'pulled', 12)).toBeNull();
  });
});

describe('a proof load', () => {
  const load: LoadReadings = { loadN: 1350, seconds: 10, beforeMm: 40, afterMm: 40.1, sound: true };
  test('1,350 N for ten seconds, nothing that stays, nothing cracked (common practice)', () => {
    const verdict = (patch: Partial<LoadReadings>, wanted?: number) =>
      loadVerdict({ ...load, ...patch }, wanted);
    expect([
      verdict({}),
      verdict({ loadN: 1349 }),
      verdict({ seconds: 9 }),
      verdict({ afterMm: 40.3 }),
      verdict({ sound: false }),
      verdict({ sound: null }),
      verdict({}, 2000),
    ]).toEqual(['held', 'too-little', 'too-short', 'set', 'cracked', 'open', 'too-little']);
    // What is bent is bent, whatever else was not written down.
    expect(verdict({ loadN: null, afterMm: 43 })).toBe('set');
  });
});
