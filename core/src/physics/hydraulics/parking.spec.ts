import { LINES, VAN } from '../../testing/van.ts';
import { size, combination, limitsFor, parking, single, parkingPull } from './index.ts';

describe('levers of their own, the parking brake, combination valves', () => {
  // 150 N, 5 to 1, 90 %: 675 N on 197.9 mm² is 3.41 MPa; one 34 mm piston a side, µ 0.4, 115 mm: 2·0.4·3.41·907.9·115 = 284.9 N·m.
  test('a motorcycle lever by hand', () => {
    const disc = {
      kind: 'disc',
      pistonsMm: [34],
      opposed: true,
      padMu: 0.4,
      effectiveRadiusMm: 115,
      clearanceMm: 0.1,
      complianceMmPerMPa: 0,
    } as const;
    const input = {
      lever: { forceN: 150, ratio: 5, efficiency: 0.9, strokeMm: 90 },
      boreMm: 15.875,
      strokeMm: 18,
      deadMm: 1,
      brake: disc,
      wheels: 1,
      tyreRadiusMm: 300,
      loadN: 1300,
      lines: { ...LINES, tubeMm: 0, hoseMm: 0 },
      bulkGPa: 1.7,
      airMl: 0,
    } as const;
    const found = single(input);
    expect(found.pressureMPa).toBeCloseTo(3.41, 2);
    expect(found.wheelTorqueNm).toBeCloseTo(284.9, 0);
    // Two pistons of 907.9 mm² moving 0.1 mm take 0.182 mL, 0.917 mm of a 15.875 bore, and 1 mm is free: times five at the lever.
    expect(found.travelMm).toBeCloseTo(5 * 1.917, 2);
    const both = single({ ...input, wheels: 2 });
    expect([both.forceN / found.forceN, both.wheelTorqueNm / found.wheelTorqueNm]).toEqual([
      expect.closeTo(2, 9),
      expect.closeTo(1, 9),
    ]);
  });

  // 400 N · 6 · 0.7 = 1680 N of cable, 840 N a wheel, 2520 N at the shoe, ·2.4·0.114 m = 689.5 N·m; 2·689.5/0.32 = 4309 N of 18,633 N: 23.1 % by sine, 23.8 % of grade.
  test('parking brake by hand', () => {
    const found = parking({
      handN: 400,
      leverRatio: 6,
      efficiency: 0.7,
      shoeRatio: 3,
      brakeFactor: 2.4,
      drumRadiusMm: 114,
      tyreRadiusMm: 320,
      massKg: 1900,
    });
    expect([found.cableN, found.shoeN, found.wheelTorqueNm]).toEqual([
      expect.closeTo(1680, 6),
      expect.closeTo(2520, 6),
      expect.closeTo(689.5, 1),
    ]);
    expect(found.holdsGrade).toBeCloseTo(0.2377, 3);
    expect(
      parking({
        handN: 9000,
        leverRatio: 10,
        efficiency: 1,
        shoeRatio: 5,
        brakeFactor: 4,
        drumRadiusMm: 150,
        tyreRadiusMm: 300,
        massKg: 500,
      }).holdsGrade,
    ).toBeNull();
    expect([limitsFor('light', 1850)!.parking.grade, limitsFor('trailer', 900)]).toEqual([
      0.2,
      null,
    ]);
  });

  test('metering holds the front off, the shuttle warns from the foot that makes its difference', () => {
    const found = combination(VAN, { holdOffMPa: 0.8, differentialMPa: 1 });
    const at = (forceN: number) => size({ ...VAN, pedal: { ...VAN.pedal, forceN } });
    expect(at(found.frontFromN).pressureMPa.front).toBeCloseTo(0.8, 9);
    const rear = at(found.frontFromN);
    expect(found.rearAloneZ).toBeCloseTo(rear.forceN.rear / (VAN.vehicle.massKg * 9.80665), 9);
    expect(at(found.warnsFromN.front!).pressureMPa.rear).toBeCloseTo(1, 9);
    expect(combination(VAN, { holdOffMPa: 0.8, differentialMPa: 150 }).warnsFromN).toEqual({
      front: null,
      rear: null,
    });
  });
});

describe('a parking brake on a slope', () => {
  const brake = {
    handN: 400,
    leverRatio: 6,
    efficiency: 0.7,
    shoeRatio: 5,
    brakeFactor: 4,
    drumRadiusMm: 140,
    tyreRadiusMm: 320,
    massKg: 1500,
  };
  // By hand, rear axle alone, µ 0.8, half the load on it, h/L 0.25: nose up 0.4/(1 − 0.2) = 0.5, nose down 0.4/(1 + 0.2) = 0.333.
  test('holds no steeper than its axle grips, nose down before nose up', () => {
    const stands = { frontFraction: 0.5, cgHeightMm: 700, wheelbaseMm: 2800, mu: 0.8 };
    const found = parking(brake, stands);
    expect(found.gripGrade).toEqual({
      up: expect.closeTo(0.5, 12),
      down: expect.closeTo(1 / 3, 12),
    });
    expect(found.holdsGrade).toBeCloseTo(1 / 3, 12);
    expect(parking(brake).holdsGrade).toBeGreaterThan(0.5);
    expect(parking({ ...brake, handN: 100 }, stands).holdsGrade).toBe(
      parking({ ...brake, handN: 100 }).holdsGrade,
    );
  });
});

describe('the travel of a parking lever', () => {
  const lever = { leverRatio: 6, shoeRatio: 3, drumRadiusMm: 114 };
  const travel = {
    strokeMm: 250,
    frontMm: 1000,
    rearMm: 2000,
    cableMm: 3,
    liftMm: 0.5,
    equalizer: true,
  };
  // Hooke by hand: 0.4·3² = 3.6 mm² of 90 GPa, so 1680 N stretch 5.185 mm a metre; behind, half of that, twice for its casing: 10.37.
  test('stretch and lift by hand', () => {
    const pull = parkingPull(lever, { cableN: 1680 }, travel);
    expect(pull.stretchMm).toBeCloseTo(6 * 15.556, 1);
    expect(pull.liftMm).toBeCloseTo(9, 9);
    expect(pull.travelMm).toBeCloseTo(pull.stretchMm + 9, 9);
  });
  // Cast iron 11e-6: 114 mm grow by 0.188 mm in 150 K, 0.564 mm at the cable, 3.39 at the hand.
  test('a hot drum takes more travel, and what it gives back cold pulls harder', () => {
    const pull = parkingPull(lever, { cableN: 1680 }, travel);
    expect(pull.hotMm - pull.travelMm).toBeCloseTo(3.39, 2);
    expect(pull.tightens).toBeCloseTo(0.564 / 15.556, 3);
  });
  test('a thicker cable stretches by the square less, and none at all takes only its lift', () => {
    const at = (more: Partial<typeof travel>): number =>
      parkingPull(lever, { cableN: 1680 }, { ...travel, ...more }).stretchMm;
    expect(at({ cableMm: 6 })).toBeCloseTo(at({}) / 4, 9);
    expect(at({ frontMm: 0, rearMm: 0 })).toBe(0);
  });
  test('one wheel alone holds half of the force', () => {
    const of = (share: number): number =>
      parking({
        ...lever,
        handN: 400 * share,
        efficiency: 0.7,
        brakeFactor: 2.4,
        tyreRadiusMm: 320,
        massKg: 1900,
      }).holdsGrade!;
    const whole = parking({
      ...lever,
      handN: 400,
      efficiency: 0.7,
      brakeFactor: 2.4,
      tyreRadiusMm: 320,
      massKg: 1900,
    });
    expect(whole.oneWheelGrade).toBeCloseTo(of(0.5), 9);
  });
});
