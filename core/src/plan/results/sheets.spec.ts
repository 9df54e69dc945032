import {
  applyEdit,
  emptyPlan,
  PLAN_VERSION,
  writePlan,
  type EditCall,
  type Plan,
} from '../index.ts';
import { checkPlan, readPlan } from '../file/index.ts';
import { typicalClutch, typicalParking, typicalSingle, typicalTrailer } from '../typical.ts';
import { LAYOUTS } from '../../proposals/layouts/index.ts';
import { viewPlan } from './index.ts';
import { demo } from '../../testing/demo-plans.ts';

const after = (plan: Plan, ...calls: EditCall[]): Plan => calls.reduce(applyEdit, plan);
const bare = (): Plan => emptyPlan('p', 'P', '2026-01-01T00:00:00.000Z');
const G = 9.80665;
const area = (mm: number): number => (Math.PI / 4) * mm * mm;

describe('a clutch from pedal to bearing, by hand', () => {
  const sheet = { ...typicalClutch(), hose: { hoseMm: 0, hoseMlPerMPaM: 0 } };
  const found = viewPlan({ ...bare(), clutch: sheet }).works.clutch!;

  // Pascal and levers: the bearing's load over the fork on the slave's area, back through the master and the pedal.
  test('pressure and pedal', () => {
    const pressure = sheet.bearingLoadN / sheet.forkRatio / area(sheet.slaveBoreMm);
    expect(found.pressureMPa).toBeCloseTo(pressure, 9);
    expect(found.pedalForceN).toBeCloseTo(
      (pressure * area(sheet.masterBoreMm)) / (sheet.pedal.ratio * sheet.pedal.efficiency),
      9,
    );
  });
  // The pedal gives 150/6 = 25 mm, 1.5 of them free, of the master's 34; fluid pushed out is fluid taken in.
  test('strokes', () => {
    const slave = (23.5 * area(sheet.masterBoreMm)) / area(sheet.slaveBoreMm);
    expect(found.slaveStrokeMm).toBeCloseTo(slave, 9);
    expect(found.bearingStrokeMm).toBeCloseTo(slave / sheet.forkRatio, 9);
  });
  test('a long soft hose takes some of the stroke', () => {
    const soft = viewPlan({
      ...bare(),
      clutch: { ...sheet, hose: { hoseMm: 2000, hoseMlPerMPaM: 0.3 } },
    }).works.clutch!;
    // 2 m at 0.3 mL a metre and MPa, on the slave's area, besides what the fluid itself gives.
    const least = (2 * 0.3 * soft.pressureMPa * 1000) / area(sheet.slaveBoreMm);
    expect(found.slaveStrokeMm - soft.slaveStrokeMm).toBeGreaterThan(least);
    expect(found.slaveStrokeMm - soft.slaveStrokeMm).toBeLessThan(least * 1.1);
  });
});

describe('a trailer on its actuator, by hand', () => {
  const sheet = typicalTrailer();
  const [axle] = sheet.axles;
  const at = (share: number, patch: object = {}) =>
    viewPlan({ ...bare(), trailer: { ...sheet, ...patch } }).works.trailer!.at(share);

  test('torque of a disc: 2·µ·p·A·r', () => {
    const brake = axle!.brake as Extract<typeof axle.brake, { kind: 'disc' }>;
    const clamp = brake.pistonsMm.reduce((sum, d) => sum + area(d), 0) * sheet.actuatorMPa;
    expect(at(0).axles[0]!.wheelTorqueNm).toBeCloseTo(
      (2 * brake.padMu * clamp * brake.effectiveRadiusMm) / 1000,
      6,
    );
  });
  test('the same brakes use less grip the more there is on the axle', () => {
    const [empty, half, laden] = [0, 0.5, 1].map((share) => at(share));
    expect(empty!.axles[0]!.adhesion).toBeCloseTo(empty!.axles[0]!.forceN / (500 * G), 9);
    expect(half!.axles[0]!.adhesion).toBeCloseTo(half!.axles[0]!.forceN / (850 * G), 9);
    // No road gives more than its grip, however hard the brakes are pressed.
    expect(laden!.axles[0]!.adhesion).toBeGreaterThan(0.8);
    expect(laden!.z).toBeCloseTo(0.8, 9);
  });
  test.each([1, 2, 3])('%d axles alike: force and fluid add up, grip stays', (count) => {
    const many = at(1, { axles: Array.from({ length: count }, () => axle) });
    expect(many.axles).toHaveLength(count);
    expect(many.z).toBeCloseTo(at(1).z, 9);
    const pads = many.takenMl - at(1).takenMl;
    if (count === 1) expect(pads).toBe(0);
    else expect(pads).toBeGreaterThan(0);
  });
  test('a fourth axle is refused by the reader', () => {
    const plan = {
      ...bare(),
      trailer: { ...sheet, axles: Array.from({ length: 4 }, () => axle!) },
    };
    expect(() => readPlan(writePlan(plan))).toThrow(/trailer\.axles/);
  });
});

describe('levers of their own and the parking brake', () => {
  test('two toes of an aircraft and the lever of a motorcycle each stand for themselves', () => {
    const singles = [
      typicalSingle('Left toe', null),
      { ...typicalSingle('Right toe', null), boreMm: 19.05 },
    ];
    const [left, right] = viewPlan({ ...bare(), singles }).works.singles;
    // A bigger bore gives less pressure for one push, as the square of the bores.
    expect(left!.pressureMPa / right!.pressureMPa).toBeCloseTo((19.05 / 15.875) ** 2, 9);
    expect(left!.travelMm).toBeGreaterThan(right!.travelMm);
  });

  // m·g·sin of the slope: 350 N x 6 x 0.7 = 1470 N of cable, 735 N a wheel x 3 x 2.4 x 0.114 m = 603 N·m a wheel.
  test('a hand on a lever holds a slope', () => {
    const plan = { ...demo('gannet'), parking: typicalParking('lever') };
    const found = viewPlan(plan).works.parking!;
    expect(found.cableN).toBeCloseTo(1470, 9);
    expect(found.wheelTorqueNm).toBeCloseTo(735 * 3 * 2.4 * 0.114, 9);
    const { laden, tyreRadiusMm } = plan.sizing!;
    const sine = (2 * 603.288) / (tyreRadiusMm.rear / 1000) / (laden.massKg * G);
    expect(found.holdsGrade).toBeCloseTo(Math.tan(Math.asin(sine)), 9);
  });
  test('held pressure is not reckoned as a parking brake, nor a lever on a vehicle without figures', () => {
    expect(
      viewPlan({ ...demo('gannet'), parking: typicalParking('hydraulic') }).works.parking,
    ).toBeNull();
    expect(viewPlan({ ...bare(), parking: typicalParking('lever') }).works.parking).toBeNull();
  });
});

describe('figures of a sheet', () => {
  const begun = after(bare(), { edit: 'setSheet', with: { sheet: 'clutch', to: typicalClutch() } });

  test('each begins as a guess and is none once it is set', () => {
    const set = after(begun, {
      edit: 'setFigure',
      with: { of: 'clutch', path: 'slaveBoreMm', to: 20.64 },
    });
    expect(begun.clutch!.open).toContain('slaveBoreMm');
    expect(set.clutch).toMatchObject({ slaveBoreMm: 20.64 });
    expect(set.clutch!.open).toEqual(begun.clutch!.open.filter((path) => path !== 'slaveBoreMm'));
  });
  test('one deep inside is reached by its path, and its neighbors are let be', () => {
    const set = after(begun, {
      edit: 'setFigure',
      with: { of: 'clutch', path: 'pedal.ratio', to: 5.5 },
    });
    expect(set.clutch!.pedal).toEqual({ ...begun.clutch!.pedal, ratio: 5.5 });
    expect(set.clutch!.open).toContain('pedal.forceN');
  });
  test('a sheet that is not begun has no figures to set', () => {
    expect(() =>
      after(bare(), { edit: 'setFigure', with: { of: 'trailer', path: 'airMl', to: 1 } }),
    ).toThrow(/These figures are not in the plan yet/);
  });
  test('every kind of sheet is written and read back', () => {
    const plan = after(
      begun,
      { edit: 'setSheet', with: { sheet: 'trailer', to: typicalTrailer() } },
      {
        edit: 'setSheet',
        with: { sheet: 'singles', to: [typicalSingle('Front lever', 'circuit-1')] },
      },
      { edit: 'setSheet', with: { sheet: 'parking', to: typicalParking('lever') } },
    );
    expect(readPlan(writePlan(plan))).toEqual(plan);
    expect(checkPlan(plan)).toEqual(plan);
  });
});

describe('which residual valve each brake wants', () => {
  const plan = demo('gannet');
  const residuals = (p: Plan) => new Map(viewPlan(p).residuals.map((r) => [r.part.name, r]));
  const master = plan.parts.find(
    (part) => part.kind === 'master' && part.ports.some((port) => port.id === 'port-master-front'),
  )!;
  const level = (levelMm: number | undefined): Plan =>
    after(plan, {
      edit: 'changePart',
      with: {
        id: master.id,
        patch: { figures: { ...master.figures, levelMm } as typeof master.figures },
      },
    });

  test('the master under the floor leaves the fluid below the calipers: 2 psi; drums take 10', () => {
    const found = residuals(plan);
    // 2 psi = 13.8 kPa, 10 psi = 68.9 kPa (NIST SP 811: 1 psi = 6.894757 kPa).
    expect(found.get('Front left')!.wanted!.wantedMPa).toBeCloseTo(0.0137895, 6);
    expect(found.get('Rear left')!.wanted!.wantedMPa).toBeCloseTo(0.0689476, 6);
    expect(found.get('Front left')!.levelMm!).toBeLessThan(found.get('Front left')!.topMm);
  });
  test('fluid above the caliper wants none, and an unknown level cannot tell', () => {
    expect(residuals(level(2000)).get('Front left')!.wanted!.wantedMPa).toBe(0);
    expect(residuals(level(undefined)).get('Front left')).toMatchObject({
      levelMm: null,
      wanted: null,
    });
  });
  test('a valve built into the master counts for what hangs on that outlet alone', () => {
    const built = after(plan, {
      edit: 'changePort',
      with: { id: 'port-master-front', patch: { residualMPa: 0.0138 } },
    });
    expect(residuals(built).get('Front left')!.has).toMatchObject([{ residualMPa: 0.0138 }]);
    expect(residuals(built).get('Rear left')!.has).toEqual(residuals(plan).get('Rear left')!.has);
  });
  test('brakes that no master feeds are not judged', () => {
    expect(
      residuals(after(plan, { edit: 'removeLine', with: { id: 'line-f1' } })).has('Front left'),
    ).toBe(false);
    expect(viewPlan(demo('dunlin')).residuals).toEqual([]);
  });
});

describe('plans of earlier versions', () => {
  /** What version 2 did not have is taken out of a plan of the present one. */
  function asVersion2(plan: Plan): Record<string, unknown> {
    const { trailer, singles, clutch, parking, things, gates, clipSettings, hoses, ...raw } =
      JSON.parse(writePlan(plan)) as Record<string, unknown>;
    expect(
      [trailer, singles, clutch, parking, things, gates, clipSettings, hoses].every(
        (sheet) => sheet !== undefined,
      ),
    ).toBe(true);
    const drop = (value: unknown): unknown =>
      Array.isArray(value)
        ? value.map(drop)
        : typeof value === 'object' && value !== null
          ? Object.fromEntries(
              Object.entries(value)
                .filter(
                  ([key, item]) =>
                    !(key === 'open' && !Array.isArray(item)) &&
                    ![
                      'figures',
                      'family',
                      'fitting',
                      'adapters',
                      'standoffMm',
                      'joint',
                      'owned',
                      'provenOn',
                      'kneePerTurnMPa',
                      'combination',
                      'wearMm',
                      'residualMPa',
                      'origin',
                      'clipsMm',
                      'sleeves',
                      'shakes',
                    ].includes(key),
                )
                .map(([key, item]) => [key, drop(item)]),
            )
          : value;
    return { ...(drop(raw) as Record<string, unknown>), version: 2 };
  }

  test.each(['gannet', 'wheatear', 'dunlin'])(
    '%s as version 2 wrote it is read, and what was not known then is not known now',
    (name) => {
      const read = readPlan(JSON.stringify(asVersion2(demo(name))));
      expect(read.version).toBe(PLAN_VERSION);
      expect(read.hoses).toEqual([]);
      expect(
        read.parts.every((part) => Object.keys(part.figures).length === 0 && part.family === null),
      ).toBe(true);
      expect(
        read.lines.every(
          ({ ends }) => ends.a.adapters.length === 0 && ends.b.joint.made === 'flared',
        ),
      ).toBe(true);
      expect(read.lines.map((line) => line.cornersMm)).toEqual(
        demo(name).lines.map((line) => line.cornersMm),
      );
      if (read.sizing)
        expect(read.sizing.open).toEqual(expect.arrayContaining(['wearMm.front', 'wearMm.rear']));
      expect(readPlan(writePlan(read))).toEqual(read);
    },
  );

  test('a plan of a later version is refused with both numbers', () => {
    const later = { ...(JSON.parse(writePlan(bare())) as object), version: 99 };
    expect(() => readPlan(JSON.stringify(later))).toThrow(/99/);
  });
});

describe('every layout with every sheet', () => {
  test.each(LAYOUTS.map((layout) => [layout.name, layout] as const))(
    '%s holds its figures together',
    (_, layout) => {
      const plan = {
        ...layout.draw(bare()),
        clutch: typicalClutch(),
        trailer: typicalTrailer(),
        parking: typicalParking('lever'),
      };
      const { works } = viewPlan(plan);
      for (const value of [
        works.clutch!.bearingStrokeMm,
        works.clutch!.pedalForceN,
        works.trailer!.laden.z,
        works.trailer!.empty.takenMl,
      ])
        expect(Number.isFinite(value) && value > 0).toBe(true);
      expect(works.trailer!.empty.axles[0]!.adhesion).toBeGreaterThan(
        works.trailer!.laden.axles[0]!.adhesion,
      );
    },
  );
});
