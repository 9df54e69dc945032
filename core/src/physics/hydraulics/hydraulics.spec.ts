import fc from 'fast-check';
import { InputError } from '../../lib/faults/index.ts';
import { LINES, VAN } from '../../testing/van.ts';
import {
  balancePointZ,
  braking,
  forcePerMPa,
  BY_AXLE,
  isEnough,
  kneeFor,
  limitsFor,
  loadsN,
  locksFirst,
  mostAdhesion,
  proportionFor,
  rearLeads,
  size,
  stoppingM,
  sumMl,
  takenMl,
  usableZ,
  whatIf,
  withFailed,
  withoutBooster,
  type Drum,
  type SizeInput,
} from './index.ts';

const [FRONT, REAR] = [BY_AXLE[0]!, BY_AXLE[1]!];

describe('Pascal and levers, by hand', () => {
  // 450 N x 6.2 x 0.9 = 2511 N on π/4·22.225² = 387.95 mm² gives 6.4725 MPa.
  test('pressure from the foot', () => {
    expect(size(VAN).pressureMPa.front).toBeCloseTo(2511 / 387.95, 3);
  });
  // Bigger bore, more fluid and less pressure for one push: (25.4/22.225)² = 1.306; 1/1.306 = 0.766. Common practice states 30.6 % and 23.4 %.
  test('25.4 instead of 22.225', () => {
    const bigger = size({
      ...VAN,
      master: { kind: 'tandem', boreMm: 25.4, strokeMm: 32, deadMm: 1.5 },
    });
    expect(bigger.pressureMPa.front / size(VAN).pressureMPa.front).toBeCloseTo(1 - 0.234, 3);
    expect(whatIf(VAN).find((w) => w.what.startsWith('Master 15/16 in'))!.effect).toMatch(
      /mm shorter, 15 % harder/,
    );
  });
  test('a booster helps until its vacuum is used up: 67 kPa on 30,000 mm² is 2010 N', () => {
    const boosted = (forceN: number) =>
      size({
        ...VAN,
        pedal: { ...VAN.pedal, forceN },
        booster: { gain: 3, vacuumKPa: 67, diaphragmMm2: 30_000 },
      }).pressureMPa.front * 387.95;
    expect(boosted(100)).toBeCloseTo(3 * 558, 0);
    expect(boosted(450)).toBeCloseTo(2511 + 2010, 0);
  });
  test('loads always add up to the weight, and the travel by cause to the whole', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 900, noNaN: true }),
        fc.double({ min: 0, max: 5, noNaN: true }),
        (forceN, knee) => {
          const found = size({
            ...VAN,
            pedal: { ...VAN.pedal, forceN },
            rearValve: { kneeMPa: knee, slope: 0.4 },
          });
          expect(found.loadN.front + found.loadN.rear).toBeCloseTo(1850 * 9.80665, 6);
          expect(Object.values(found.travelMm.byCause).reduce((a, b) => a + b)).toBeCloseTo(
            found.travelMm.total,
            9,
          );
        },
      ),
    );
  });
});

/*
 * T. D. Gillespie, Fundamentals of Vehicle Dynamics, chapter 3, the worked example on proportioning (input from memory): 2210 lb
 * front, 1864 lb rear, wheelbase 108.5 in, center of gravity 20.5 in high, tyre radius 12.11 in, brake gains 20 and 14 in·lb/psi a
 * wheel, valve 290/0.3. By hand at 400 psi: rear pressure 290 + 0.3·110 = 323 psi; forces 2·20·400/12.11 = 1321.2 lb and
 * 2·14·323/12.11 = 746.8 lb; deceleration 2068.0/4074 = 0.5076 g; transfer 4074·0.5076·20.5/108.5 = 390.7 lb; adhesion
 * 1321.2/2600.7 = 0.5080 front, 746.8/1473.3 = 0.5069 rear.
 */
describe('a textbook example of proportioning', () => {
  const PSI = 0.006894757;
  const LB = 4.4482216;
  const drum = (inLbPerPsi: number): Drum => ({
    kind: 'drum',
    cylinderMm: Math.sqrt((4 * inLbPerPsi * 25.4 ** 3) / (Math.PI * 100)),
    brakeFactor: 1,
    drumRadiusMm: 100,
    travelMm: 0,
  });
  const radius = 12.11 * 25.4;
  const car = {
    vehicle: {
      massKg: (4074 * LB) / 9.80665,
      frontFraction: 2210 / 4074,
      wheelbaseMm: 108.5 * 25.4,
      cgHeightMm: 20.5 * 25.4,
      tyreRadiusMm: { front: radius, rear: radius },
    },
    master: { kind: 'tandem', boreMm: Math.sqrt(4 / Math.PI), strokeMm: 1, deadMm: 0 },
    front: drum(20),
    rear: drum(14),
    rearValve: { kneeMPa: 290 * PSI, slope: 0.3 },
  } as const;

  test('forces, deceleration and adhesion at 400 psi', () => {
    const found = braking(car, 400 * PSI);
    expect(found.pressureMPa.rear / PSI).toBeCloseTo(323, 6);
    expect([found.forceN.front / LB, found.forceN.rear / LB]).toEqual([
      expect.closeTo(1321.2, 1),
      expect.closeTo(746.8, 1),
    ]);
    expect(found.z).toBeCloseTo(0.5076, 4);
    expect([found.adhesion.front, found.adhesion.rear]).toEqual([
      expect.closeTo(0.508, 3),
      expect.closeTo(0.5069, 3),
    ]);
  });
  test('its valve keeps the rear below the front to within 1 % of adhesion', () => {
    const found = proportionFor(car, [car.vehicle])!;
    expect(found.needed).toBe(true);
    expect(rearLeads({ ...car, rearValve: found })).toBeNull();
    expect(rearLeads({ ...car, rearValve: null })).not.toBeNull();
  });
});

describe('balance', () => {
  // Without a valve F_f/F = s is constant: equal adhesion at z = (s − φ)·L/h.
  test('the balance point against its closed form', () => {
    const met = { point: 0, none: 0 };
    fc.assert(
      fc.property(
        fc.double({ min: 0.3, max: 0.7, noNaN: true }),
        fc.double({ min: 10, max: 40, noNaN: true }),
        (frontFraction, cylinderMm) => {
          const input = {
            ...VAN,
            vehicle: { ...VAN.vehicle, frontFraction },
            rear: { ...VAN.rear, cylinderMm } as Drum,
          };
          const f = forcePerMPa(input.front, 335);
          const share = f / (f + forcePerMPa(input.rear, 335));
          const z = ((share - frontFraction) * 3050) / 720;
          const found = balancePointZ(input);
          // Where the rear axle has no load left there is no adhesion to compare.
          fc.pre(
            Math.abs(z) > 1e-6 &&
              Math.abs(z - 1.5) > 1e-6 &&
              (z > 1.5 || 1 - frontFraction - (z * 720) / 3050 > 1e-6),
          );
          const isThere = z > 0 && z < 1.5;
          met[isThere ? 'point' : 'none']++;
          expect(found).toEqual(isThere ? expect.closeTo(z, 9) : null);
        },
      ),
    );
    expect(Math.min(met.point, met.none)).toBeGreaterThan(5);
  });
  test('with a valve, both axles really use the same there', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 6, noNaN: true }),
        fc.double({ min: 0, max: 0.9, noNaN: true }),
        fc.double({ min: 10, max: 30, noNaN: true }),
        (kneeMPa, slope, cylinderMm) => {
          const input = {
            ...VAN,
            rear: { ...VAN.rear, cylinderMm } as Drum,
            rearValve: { kneeMPa, slope },
          };
          const z = balancePointZ(input);
          fc.pre(z !== null);
          let [low, high] = [0, 1e7];
          for (let i = 0; i < 200; i++) {
            const middle = (low + high) / 2;
            if (braking(input, middle).z < z) low = middle;
            else high = middle;
          }
          const { adhesion } = braking(input, high);
          expect(adhesion.front! / adhesion.rear!).toBeCloseTo(1, 6);
        },
      ),
    );
  });
  test('which axle locks first follows from the balance point against mu', () => {
    expect(locksFirst({ ...VAN, rearValve: { kneeMPa: 3, slope: 0.4 } }, 0.8)).toBe('front');
    expect(locksFirst({ ...VAN, rear: { ...VAN.rear, cylinderMm: 32 } as Drum }, 0.8)).toBe('rear');
    // Fronts and rears alike on a vehicle with its weight in the middle and no height: they lock together.
    const even = {
      ...VAN,
      vehicle: { ...VAN.vehicle, frontFraction: 0.5, cgHeightMm: 0 },
      front: VAN.rear,
    };
    expect(locksFirst(even, 0.8)).toBe('together');
    expect(balancePointZ(even)).toBeNull();
  });
  test('what can be had ends where the first axle locks', () => {
    expect(usableZ(VAN)).toBeCloseTo(size(VAN).z, 9);
    const stamped = { ...VAN, pedal: { ...VAN.pedal, forceN: 3000 } };
    const z = usableZ(stamped);
    expect(z).toBeLessThan(size(stamped).z);
    // The front axle just uses 0.8 of its load there.
    expect((forceShare(stamped) * z * 1850 * 9.80665) / loadsN(VAN.vehicle, z).front).toBeCloseTo(
      0.8,
      6,
    );
  });
  const forceShare = (input: SizeInput): number =>
    size(input).forceN.front / (size(input).forceN.front + size(input).forceN.rear);

  test('a computed valve keeps the rear below the front, empty and laden', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 18, max: 34, noNaN: true }),
        fc.double({ min: 0.4, max: 0.6, noNaN: true }),
        (cylinderMm, frontFraction) => {
          const cases = [
            VAN.vehicle,
            { ...VAN.vehicle, massKg: 2600, frontFraction, cgHeightMm: 850 },
          ];
          const input = { ...VAN, rear: { ...VAN.rear, cylinderMm } as Drum };
          const valve = proportionFor(input, cases);
          fc.pre(valve !== null);
          for (const vehicle of cases)
            expect(
              rearLeads({ ...input, vehicle, rearValve: valve.needed ? valve : null }),
            ).toBeNull();
        },
      ),
    );
  });
});

describe('the valve that is there', () => {
  const strong = { ...VAN, rear: { ...(VAN.rear as Drum), cylinderMm: 26 } };
  const cases = [
    VAN.vehicle,
    { ...VAN.vehicle, massKg: 2600, frontFraction: 0.42, cgHeightMm: 850 },
  ];
  // Slopes of valves as they are sold. Common practice.
  test.each([0.59, 0.43, 0.34, 0.27])(
    'of slope %f: the knee that is found keeps the rear behind, a tenth in hand, and no knee much higher does',
    (slope) => {
      const kneeMPa = kneeFor(strong, cases, slope);
      if (kneeMPa === null) {
        // None of that slope: not even the lowest knee.
        expect(
          cases.some((vehicle) =>
            rearLeads({ ...strong, vehicle, rearValve: { kneeMPa: 0.01, slope: slope / 0.9 } }),
          ),
        ).toBe(true);
        return;
      }
      // A rear stronger by a ninth uses up what is in hand, and no more.
      const ninth = {
        ...strong,
        rear: { ...strong.rear, brakeFactor: strong.rear.brakeFactor / 0.9 },
      };
      const leads = (knee: number) =>
        cases.some((vehicle) =>
          rearLeads({ ...ninth, vehicle, rearValve: { kneeMPa: knee, slope } }),
        );
      expect([leads(kneeMPa), leads(1.01 * kneeMPa)]).toEqual([false, true]);
    },
  );
  test('none is needed where the rear never leads, and a slope of 1 is no valve', () => {
    expect(kneeFor({ ...VAN, rear: { ...VAN.rear, cylinderMm: 14 } as Drum }, cases, 0.43)).toBe(
      Infinity,
    );
    expect(kneeFor(strong, cases, 1)).toBeNull();
  });
});

describe('where the pedal goes', () => {
  /*
   * Thick-walled closed tube by Lamé (Timoshenko, Strength of Materials, from memory): at the bore σr = −p, σθ = p(b² + a²)/(b² − a²),
   * σz = p·a²/(b² − a²); ΔV/V = 2·εθ + εz. Steel, 7 MPa.
   */
  test.each([
    [3.34, 4.7625],
    [4.928, 6.35],
  ])('tube of %f in %f mm against the thick-wall formula', (idMm, odMm) => {
    const [p, E, nu] = [7, 207_000, 0.3];
    const [a2, b2] = [(idMm / 2) ** 2, (odMm / 2) ** 2];
    const [sr, st, sz] = [-p, (p * (b2 + a2)) / (b2 - a2), (p * a2) / (b2 - a2)];
    const lame = (2 * (st - nu * (sr + sz)) + (sz - nu * (sr + st))) / E;
    const taken = takenMl(
      { ...VAN.rear, travelMm: 0 } as Drum,
      { ...LINES, idMm, odMm, tubeMm: 1000, hoseMm: 0 },
      1.7,
      0,
      p,
    );
    const thin = taken.tube / ((Math.PI / 4) * idMm * idMm);
    // Thin walls on the mean diameter give 14 % and 10 % less than the bore of a thick wall really does.
    expect(thin / lame).toBeGreaterThan(0.85);
    expect(thin / lame).toBeLessThan(1);
  });

  // 1 mL of air at 1 bar takes half of itself at 1 bar more (Boyle), 98.6 % at 7 MPa.
  test('air by Boyle', () => {
    const air = (p: number): number => takenMl(VAN.rear, LINES, 1.7, 1, p).air;
    expect(air(0.101325)).toBeCloseTo(0.5, 12);
    expect(air(7)).toBeCloseTo(7 / 7.101325, 12);
  });
  test('two masters that each press one front and one rear brake: strokes by what hangs on each, by hand', () => {
    const diagonals = [1, 2].map((i) => ({
      name: `Diagonal ${i}`,
      share: { front: 0.5, rear: 0.5 },
    }));
    const twin = {
      kind: 'twin',
      frontBoreMm: 19.05,
      rearBoreMm: 19.05,
      frontShare: 0.5,
      deadMm: 1,
    } as const;
    const of = (strokeMm: number) => ({ ...VAN, master: { ...twin, strokeMm } });
    const p = size(of(99)).pressureMPa;
    const ml =
      sumMl(takenMl(VAN.front, VAN.lines.front, VAN.fluid.bulkGPa, VAN.airMl.front, p.front)) +
      sumMl(takenMl(VAN.rear, VAN.lines.rear, VAN.fluid.bulkGPa, VAN.airMl.rear, p.rear));
    // Each master pushes half of what both axles take through π/4 · 19.05².
    const needed = 1 + (1000 * ml) / 2 / ((Math.PI / 4) * 19.05 ** 2);
    expect(size(of(needed + 0.01), diagonals).bottoms).toBe(false);
    expect(size(of(needed - 0.01), diagonals).bottoms).toBe(true);
    // By axle the front master moves more.
    expect(size(of(needed + 0.01)).bottoms).toBe(true);
    // One of the two dead: it runs to its end by half of the bar, the other pushes the half that it has.
    const dead = withFailed(of(40), diagonals[0]!);
    const alive = size({ ...of(40), pedal: { ...VAN.pedal, forceN: dead.footN } });
    expect(dead.left).toEqual({ front: 0.5, rear: 0.5 });
    expect(dead.travelMm / VAN.pedal.ratio).toBeLessThan(
      1 + 0.5 * 39 + 0.5 * ((1000 * ml) / 2 / ((Math.PI / 4) * 19.05 ** 2)) + 1e-6,
    );
    expect(dead.travelMm / VAN.pedal.ratio).toBeGreaterThan(1 + 0.5 * 39);
    expect(dead.z).toBeLessThanOrEqual(alive.z);
  });
  test('a master too short bottoms, a twin by the cylinder that moves more', () => {
    expect(size(VAN).bottoms).toBe(false);
    expect(
      size({ ...VAN, master: { kind: 'tandem', boreMm: 15.875, strokeMm: 20, deadMm: 1 } }).bottoms,
    ).toBe(true);
    const twin = {
      kind: 'twin',
      frontBoreMm: 19.05,
      rearBoreMm: 19.05,
      frontShare: 0.5,
      deadMm: 1,
    } as const;
    const at = size({ ...VAN, master: { ...twin, strokeMm: 99 } }).pressureMPa;
    const ml = (['front', 'rear'] as const).map((axle) =>
      sumMl(takenMl(VAN[axle], LINES, 1.7, VAN.airMl[axle], at[axle])),
    );
    const needed = 1 + (1000 * Math.max(...ml)) / ((Math.PI / 4) * 19.05 ** 2);
    expect(size({ ...VAN, master: { ...twin, strokeMm: needed + 0.01 } }).bottoms).toBe(false);
    expect(size({ ...VAN, master: { ...twin, strokeMm: needed - 0.01 } }).bottoms).toBe(true);
  });
  test('one circuit failed: the other has its pressure, the pedal goes further', () => {
    const left = withFailed(VAN, FRONT);
    expect(left).toMatchObject({
      failed: 'Front circuit',
      left: { front: 0, rear: 1 },
      footN: 450,
      pressureMPa: size(VAN).pressureMPa.rear,
    });
    expect(left.z).toBeLessThan(size(VAN).z);
    expect(withFailed(VAN, REAR).travelMm).toBeGreaterThan(16 * 6.2);
  });
  // By hand, µ 0.8: front alone 0.8·0.48/(1 − 0.8·720/3050) = 0.4734; rear alone 0.8·0.52/(1 + 0.8·720/3050) = 0.3499.
  test('what an axle does alone ends at its grip', () => {
    const stamped = { ...VAN, pedal: { ...VAN.pedal, forceN: 3000 } };
    expect(withFailed(stamped, REAR)).toMatchObject({ z: expect.closeTo(0.4734, 4), locks: true });
    expect(withFailed(stamped, FRONT).z).toBeCloseTo(0.3499, 4);
    expect(withFailed(VAN, FRONT).locks).toBe(false);
  });
  test('the stroke is asked at the deceleration that the rule asks, at its foot force', () => {
    const { residual: left } = limitsFor('light', 1850)!;
    const boosted = { ...VAN, booster: { gain: 6, vacuumKPa: 80, diaphragmMm2: 45_000 } };
    const [typed, asked] = [withFailed(boosted, REAR), withFailed(boosted, REAR, left)];
    expect(asked.footN).toBe(500);
    expect(asked.travelMm).toBeLessThan(typed.travelMm);
    // By hand: what is asked is 2.44 m/s², so doubling the assist changes nothing about the stroke.
    expect(
      withFailed(
        { ...boosted, booster: { ...boosted.booster, gain: 12, vacuumKPa: 160 } },
        REAR,
        left,
      ).travelMm,
    ).toBeCloseTo(asked.travelMm, 9);
  });
  // Diagonal: one front and one rear wheel are left, so half of both forces; on the limit the front wheel's grip ends it.
  test('a diagonal circuit failed leaves half of each axle', () => {
    const diagonal = { name: 'Front left and rear right', share: { front: 0.5, rear: 0.5 } };
    const whole = size(VAN);
    expect(withFailed(VAN, diagonal).z).toBeCloseTo(whole.z / 2, 9);
    const stamped = { ...VAN, pedal: { ...VAN.pedal, forceN: 5000 } };
    // By hand: the front uses its 0.8 first; with s its share of the force, s·z = ½·0.8·(0.48 + z·720/3050).
    const s = whole.forceN.front / (whole.forceN.front + whole.forceN.rear);
    expect(withFailed(stamped, diagonal).z).toBeCloseTo((0.4 * 0.48) / (s - (0.4 * 720) / 3050), 6);
  });
  test('both axles on one circuit leave nothing', () => {
    expect(withFailed(VAN, { name: 'All', share: { front: 1, rear: 1 } })).toMatchObject({
      z: 0,
      pressureMPa: 0,
    });
  });
  test('the booster failed: the foot alone, and enough or not by distance or by deceleration', () => {
    const { residual: left, buildUpS } = limitsFor('light', 1850)!;
    expect(withoutBooster(VAN)).toBeNull();
    const boosted = { ...VAN, booster: { gain: 6, vacuumKPa: 80, diaphragmMm2: 45_000 } };
    expect(withoutBooster(boosted)!.z).toBeCloseTo(usableZ(VAN), 9);
    const z = 2.44 / 9.80665;
    expect([
      isEnough({ ...withoutBooster(boosted)!, z }, left, buildUpS),
      isEnough({ ...withoutBooster(boosted)!, z: z - 0.01 }, left, buildUpS),
    ]).toEqual([true, false]);
  });
  test('a bore that does not fit in its tube is refused at its place', () => {
    expect(() =>
      size({ ...VAN, lines: { front: LINES, rear: { ...LINES, idMm: 4.7625 } } }),
    ).toThrow(InputError);
  });
});

describe('published limits', () => {
  // UN R13 annex 4 and R13-H annex 3, FMVSS 105 (from memory), at the speed of each rule, by hand; 517 ft are 157.6 m.
  test.each([
    ['light', undefined, 100, 70, 168, 0.2],
    ['light', 'N1', 80, 61.23, 95.72, 0.18],
    ['heavy', undefined, 60, 36.69, 50.98, 0.18],
    ['heavy', 'N3', 60, 36.69, 33.83, 0.18],
    ['heavy', 'M2', 60, 36.69, 64.38, 0.18],
    ['heavy', 'US', 96.56, 94.49, 157.58, 0.2],
    // A car's class does not make a heavy one light.
    ['heavy', 'M1', 60, 36.69, 50.98, 0.18],
  ] as const)('of %s %s', (category, given, fromKmh, wholeM, leftM, grade) => {
    const limits = limitsFor(category, 3000, given)!;
    expect(limits.fromKmh).toBe(fromKmh);
    expect(limits.wholeM(fromKmh)).toBeCloseTo(wholeM, 1);
    expect(limits.residual.mostM(limits.residual.fromKmh)).toBeCloseTo(leftM, 1);
    expect(limits.parking.grade).toBe(grade);
  });
  // UN R13 annex 4, type I (from memory): heavier vehicles brake oftener and from less.
  test.each([
    ['light', undefined, [15, 45, 120]],
    ['light', 'N1', [15, 55, 120]],
    ['heavy', undefined, [20, 60, 60]],
    ['heavy', 'M2', [15, 55, 100]],
  ] as const)('repeated braking of %s %s', (category, given, [times, everyS, mostKmh]) => {
    expect(limitsFor(category, 3000, given)!.fade).toMatchObject({ times, everyS, mostKmh });
  });
  test('a light vehicle over 3.5 t is heavy, and other kinds have no distance', () => {
    expect(limitsFor('light', 3600)).toBe(limitsFor('heavy', 3600));
    expect([limitsFor('motorcycle', 250), limitsFor('aircraft', 900)]).toEqual([null, null]);
  });

  // FMVSS 135 / UN R13-H from 100 km/h: 70 m and 168 m. Source: the rules' formulas (from memory).
  test('light vehicles', () => {
    const limits = limitsFor('light', 1850)!;
    expect([limits.wholeM(100), limits.residual.mostM(100)]).toEqual([
      expect.closeTo(70, 9),
      expect.closeTo(168, 9),
    ]);
    // 0.0060·V² is 6.43 m/s²: at that deceleration our stopping distance is the limit.
    expect(stoppingM(100, 1 / (2 * 12.96 * 0.006) / 9.80665)).toBeCloseTo(70, 9);
  });
  test('none is made up where none is known', () => {
    expect(
      ['trailer', 'motorcycle', 'aircraft', 'competition'].map((c) =>
        limitsFor(c as 'trailer', 900),
      ),
    ).toEqual([null, null, null, null]);
    expect(limitsFor('light', 3600)!.source).toMatch(/R13 for heavier/);
  });
  test('adhesion line of UN R13-H: z = 0.1 + 0.7·(k − 0.2)', () =>
    expect([0.1, 0.52].map((z) => mostAdhesion(z))).toEqual([
      expect.closeTo(0.2, 12),
      expect.closeTo(0.8, 12),
    ]));
});

test('a master of 1 in has 1 1/16 in next to it, and a twin is changed bore by bore', () => {
  const one = whatIf({
    ...VAN,
    master: { kind: 'tandem', boreMm: 25.4, strokeMm: 32, deadMm: 1.5 },
  }).map(({ what }) => what);
  expect(one).toContain('Master 15/16 in instead of 1 in');
  const twin = {
    kind: 'twin',
    frontBoreMm: 19.05,
    rearBoreMm: 17.4625,
    frontShare: 0.5,
    strokeMm: 30,
    deadMm: 1,
  } as const;
  const names = whatIf({ ...VAN, master: twin })
    .map(({ what }) => what)
    .join('; ');
  expect(names).toMatch(
    /Front master 11\/16 in instead of 3\/4 in; Front master 13\/16 in .*; Rear master 5\/8 in instead of .*; Rear master 3\/4 in/,
  );
});
