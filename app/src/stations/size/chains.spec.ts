import { applyEdit, type EditCall, type Plan } from '@firm-line/core/plan';
import {
  TYPICAL_PARKING_TRAVEL,
  typicalParking,
  typicalSingle,
  typicalTrailer,
} from '@firm-line/core/plan/typical';
import { viewPlan } from '@firm-line/core/plan/results';
import { gannet } from '../../testing/open-gannet';
import { roadFigures } from './road-figures';
import { chainOf, roadChain, sheetsOf, type Step } from './chains';

const after = (...calls: EditCall[]): Plan => calls.reduce(applyEdit, gannet());
const set = <K extends 'trailer' | 'parking' | 'clutch'>(sheet: K, to: Plan[K]): EditCall =>
  ({ edit: 'setSheet', with: { sheet, to } }) as EditCall;
const step = (steps: readonly Step[], name: string): Step => steps.find((s) => s.name === name)!;

describe('the sheets of a plan in their order', () => {
  test('only those begun, the pedal first, each lever by its own name', () => {
    const singles = [typicalSingle('Left toe', null), typicalSingle('Right toe', null)];
    const plan = after(set('trailer', typicalTrailer()), {
      edit: 'setSheet',
      with: { sheet: 'singles', to: singles },
    });
    expect(sheetsOf(plan).map(({ of }) => of)).toEqual([
      'sizing',
      'trailer',
      'singles.0',
      'singles.1',
      'clutch',
      'parking',
    ]);
    expect(sheetsOf(plan).map(({ name }) => name)).toEqual(
      expect.arrayContaining(['Left toe', 'Right toe']),
    );
    const none = after(
      { edit: 'setSheet', with: { sheet: 'sizing', to: null } },
      set('clutch', null),
      set('parking', null),
    );
    expect(sheetsOf(none)).toEqual([]);
  });
});

describe('the chain in words', () => {
  test('from foot to road: a booster adds, a valve says its knee, loading moves the road', () => {
    const plan = after(
      {
        edit: 'setFigure',
        with: {
          of: 'sizing',
          path: 'booster',
          to: { gain: 3, vacuumKPa: 67, diaphragmMm2: 30_000 },
        },
      },
      {
        edit: 'setFigure',
        with: { of: 'sizing', path: 'rearValve', to: { kneeMPa: 2.5, slope: 0.4 } },
      },
    );
    const { empty, laden } = viewPlan(plan).size!;
    const steps = roadChain(empty, plan.sizing!);
    // 67 kPa on 30,000 mm² is 2.01 kN, all of it used at this foot.
    expect(step(steps, 'Booster')).toMatchObject({
      value: '2 kN',
      // 2,010 N over (gain − 1)·ratio·efficiency of this pedal.
      note: 'added; helps no further from 180 N of foot',
    });
    expect(step(steps, 'Rear valve').note).toBe('knee 2.5 MPa, slope 0.4');
    expect(step(roadChain(laden, plan.sizing!), 'Road').value).not.toBe(step(steps, 'Road').value);
    const { size } = viewPlan(gannet()).size!.empty;
    expect(step(roadChain(viewPlan(gannet()).size!.empty, gannet().sizing!), 'Booster').value).toBe(
      'none',
    );
    expect(
      parseFloat(step(roadChain(viewPlan(gannet()).size!.empty, gannet().sizing!), 'Master').value),
    ).toBeCloseTo(size.pressureMPa.front, 1);
  });

  test('a combination valve says from what foot its metering and its lamp work', () => {
    const combination = { holdOffMPa: 0.5, differentialMPa: 1 };
    const plan = after({
      edit: 'setFigure',
      with: { of: 'sizing', path: 'combination', to: combination },
    });
    const steps = roadChain(viewPlan(plan).size!.empty, plan.sizing!);
    expect(step(steps, 'Metering').value).toMatch(/^\d+ N$/);
    expect(step(steps, 'Metering').note).toMatch(/of foot force before the front brakes/);
    expect(step(steps, 'Warning lamp').note).toMatch(
      /with the front circuit empty; rear empty from/,
    );
  });

  test('a trailer: one step an axle, and the pressure at which the first would lock', () => {
    const sheet = typicalTrailer();
    const plan = after(
      set('trailer', { ...sheet, axles: [sheet.axles[0]!, { ...sheet.axles[0]!, emptyKg: 250 }] }),
    );
    const steps = chainOf('trailer', viewPlan(plan), 0);
    expect(steps.filter((s) => s.name.startsWith('Axle'))).toHaveLength(2);
    const most = Math.max(
      ...viewPlan(plan).works.trailer!.empty.axles.map((axle) => axle.adhesion),
    );
    expect(parseFloat(step(steps, 'Locks from').value)).toBeCloseTo(
      (sheet.actuatorMPa * sheet.mu) / most,
      1,
    );
  });

  test('a lever of its own: travel and stroke against what there is', () => {
    const plan = after({
      edit: 'setSheet',
      with: { sheet: 'singles', to: [{ ...typicalSingle('Front lever', null), strokeMm: 2 }] },
    });
    const steps = chainOf('singles.0', viewPlan(plan), 0);
    expect(step(steps, 'Master').note).toMatch(/: runs out of stroke$/);
    expect(step(steps, 'Wheel').note).toBe('at the one');
  });

  test('a parking lever says where its travel goes, and whose force is allowed', () => {
    const lever = {
      ...(typicalParking('lever') as Extract<Plan['parking'], { by: 'lever' }>),
      worked: 'foot' as const,
      travel: TYPICAL_PARKING_TRAVEL,
    };
    const steps = chainOf('parking', viewPlan(after(set('parking', lever))), 0);
    // 350 N · 6 · 0.7 = 1470 N of 3.6 mm² at 90 GPa: 4.54 mm a metre, 1 m and 1.6 m stretch 11.8 mm, shoes 3 · 0.5; by 6.
    expect(step(steps, 'Lever')).toMatchObject({
      value: '80 mm',
      note: expect.stringMatching(/^of 250 mm: shoes 9 mm, cables stretch 71 mm/) as string,
    });
    expect(step(steps, 'Foot').note).toMatch(/ allowed$/);
  });

  test('a parking brake shows what is asked where a limit is known, and says so where none is', () => {
    const lever = typicalParking('lever');
    const light = after(set('parking', lever), {
      edit: 'setFigure',
      with: { of: 'sizing', path: 'category', to: 'light' },
    });
    expect(step(chainOf('parking', viewPlan(light), 0), 'Holds on').note).toMatch(
      /20 % required: FMVSS 135/,
    );
    const race = after(set('parking', lever), {
      edit: 'setFigure',
      with: { of: 'sizing', path: 'category', to: 'competition' },
    });
    expect(step(chainOf('parking', viewPlan(race), 0), 'Hand').note).toBe('no limit known');
    expect(
      chainOf('parking', viewPlan(after(set('parking', typicalParking('hydraulic')))), 0),
    ).toEqual([]);
  });
});

test('what a group of figures adds or removes is called by its name, and each of them by another', () => {
  const { sizing } = gannet();
  const labels = roadFigures(sizing!).flatMap(({ actions = [] }) => actions.map((a) => a.label));
  expect(labels).toEqual(
    expect.arrayContaining(['Add booster', 'Remove valve', 'Change to vented front discs']),
  );
  expect(new Set(labels).size).toBe(labels.length);
  const vented = after({
    edit: 'setFigure',
    with: { of: 'sizing', path: 'heat.rotor.front.vented', to: true },
  }).sizing!;
  const figures = roadFigures(vented).flatMap((group) => group.figures.map(({ label }) => label));
  expect(figures).toContain('Front vented disc, one');
});
