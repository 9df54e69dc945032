import {
  applyEdit,
  FRESH_PEDALS,
  layPlan,
  type PedalBox,
  newPart,
  type EditCall,
  type Plan,
} from '../plan/index.ts';
import { TYPICAL_TRAILER_HEAT } from '../plan/typical.ts';
import { viewPlan } from '../plan/results/index.ts';
import { newThing } from '../shape/obstacles/fresh.ts';
import { unit, type Vec3 } from '../lib/vec/index.ts';
import { demo } from '../testing/demo-plans.ts';
import { fixOf, inspect, type Snag } from './index.ts';

const gannet = demo('gannet');
const wheatear = demo('wheatear');
const after = (plan: Plan, ...calls: EditCall[]): Plan => calls.reduce(applyEdit, plan);
const found = (plan: Plan, rule: string): Snag[] =>
  inspect(plan).filter((snag) => snag.rule === rule);
const part = (id: string, patch: object): EditCall => ({ edit: 'changePart', with: { id, patch } });
const sized = (path: string, to: unknown): EditCall => ({
  edit: 'setFigure',
  with: { of: 'sizing', path, to },
});
const hose = (patch: object): EditCall => ({ edit: 'changeHose', with: { id: 'hose-fl', patch } });
const tee = gannet.parts.find(({ name }) => name === 'Rear tee')!;
const drum = gannet.parts.find(({ kind }) => kind === 'wheel-cylinder')!;
const modulator = { ...newPart(gannet, 'modulator', gannet.points[0]!.known), id: 'abs' };
const withModulator = after(gannet, { edit: 'addPart', with: { part: modulator } });
const hottest = Math.max(...viewPlan(gannet).size!.laden.heat!.map(({ axles }) => axles[0]!.peakC));
/** Gannet with light feet and brakes that lean on a booster of gain 4. */
const weak = after(
  gannet,
  sized('booster', { gain: 4, vacuumKPa: 65, diaphragmMm2: 35_000 }),
  sized('pedal.forceN', 100),
  sized('front.padMu', 0.12),
  sized('rear.brakeFactor', 0.7),
);
/** The same as a van of UN R13, whose foot alone does not do what a failed system must. */
const weakVan = after(
  weak,
  sized('ruleClass', 'N1'),
  sized('front.padMu', 0.07),
  sized('rear.brakeFactor', 0.4),
);
const towed = after(demo('dunlin'), {
  edit: 'setFigure',
  with: { of: 'trailer', path: 'heat', to: TYPICAL_TRAILER_HEAT },
});
const trailered = (path: string, to: unknown): EditCall => ({
  edit: 'setFigure',
  with: { of: 'trailer', path, to },
});
const drumC = Math.max(
  ...viewPlan(towed)
    .works.trailer!.heat!.at(-1)!
    .axles.map(({ peakC }) => peakC),
);
const pedalled = (patch: Partial<PedalBox>): Plan =>
  after(gannet, { edit: 'setSheet', with: { sheet: 'pedals', to: { ...FRESH_PEDALS, ...patch } } });
const lever = gannet.sizing!.pedal.ratio * gannet.sizing!.pedal.efficiency;
const electric = (coding: string) => ({ kind: 'electric', mostN: 4000, coding });
const [none, both] = [
  { circuit: false, parking: false },
  { circuit: true, parking: true },
];

describe('what is asked of a part, a hose or a vehicle: the plan in which it must speak, and the nearest in which it must not', () => {
  test.each<[rule: string, level: Snag['level'], speaks: Plan, silent: Plan, text: RegExp]>([
    [
      'purpose-unknown',
      'caution',
      after(gannet, part(tee.id, { kind: 'other' })),
      after(gannet, part(tee.id, { kind: 'other', facts: { copied: true } })),
      /Nothing says what this part does in the line/,
    ],
    // Common practice: an end of the line is no part in it.
    [
      'purpose-unknown',
      'caution',
      after(gannet, part(tee.id, { kind: 'other' })),
      after(gannet, part(drum.id, { kind: 'other' })),
      /Nothing says what this part does in the line/,
    ],
    // ISO 4925 class 6 (from memory).
    [
      'fluid-thick',
      'caution',
      after(withModulator, part('abs', { facts: { thinFluid: true } })),
      withModulator,
      /The maker’s sheet calls for low-viscosity fluid, and the plan uses DOT 4, which reacts slowly/,
    ],
    // 49 CFR 571.106 S5.1 (from memory): crimped or swaged on the road.
    [
      'hose-made-up',
      'caution',
      after(wheatear, hose({ madeUp: true }), sized('category', 'light')),
      after(wheatear, sized('category', 'light')),
      /The hose has reusable ends/,
    ],
    [
      'hose-made-up',
      'note',
      after(wheatear, hose({ madeUp: true })),
      wheatear,
      /The hose has reusable ends/,
    ],
    // 49 CFR 571.105 S5.3, 571.135 S5.5 (from memory).
    [
      'lamp-missing',
      'note',
      after(gannet, sized('lamps', none)),
      gannet,
      /No warning lamp is entered for a failed circuit or low fluid or for the parking brake/,
    ],
    [
      'lamp-missing',
      'note',
      after(gannet, sized('lamps', { ...both, parking: false })),
      after(gannet, sized('lamps', none), sized('category', 'competition')),
      /No warning lamp is entered for the parking brake \(required on the road/,
    ],
    // The pad maker's limit, set a degree either side of what is reached.
    [
      'brakes-fade',
      'caution',
      after(gannet, sized('heat.rotor.front.fadeC', hottest - 1)),
      after(gannet, sized('heat.rotor.front.fadeC', hottest + 1)),
      /15 brakings from 88 to 44 km\/h, every 45 s, laden: the brakes reach 403 °C and fade from 402/,
    ],
    [
      'brakes-fade',
      'caution',
      after(towed, trailered('heat.rotor.fadeC', drumC - 1)),
      after(towed, trailered('heat.rotor.fadeC', drumC + 1)),
      /^1.7 km down 7 % at 40 km\/h, laden/,
    ],
    // Common practice.
    [
      'pedal-room',
      'caution',
      pedalled({ brakeToThrottleMm: 49 }),
      pedalled({ brakeToThrottleMm: 50 }),
      /Brake to throttle: 49 mm, and 50 mm required: one shoe can press both/,
    ],
    [
      'pedal-room',
      'note',
      pedalled({ clutchToBrakeMm: 151 }),
      pedalled({ clutchToBrakeMm: 150 }),
      /over 150 mm is far to move a foot/,
    ],
    // 49 CFR 571.116 (from memory): DOT 4 with water in it boils from 155 °C.
    [
      'fluid-boils',
      'stop',
      after(gannet, sized('heat.fluidC', 155)),
      after(gannet, sized('heat.fluidC', 129)),
      /Fluid was measured at 155 °C, and DOT 4 with water in it boils at 155 °C, and vapor in the/,
    ],
    [
      'fluid-boils',
      'caution',
      after(gannet, sized('heat.fluidC', 130)),
      gannet,
      /measured at 130 °C/,
    ],
    // Nobody measured it: a van of twice its mass, towing, down the hill of UN R13 (from memory).
    [
      'fluid-boils',
      'caution',
      after(gannet, sized('laden.massKg', 7000), sized('heat.fluidC', null)),
      after(gannet, sized('laden.massKg', 2800), sized('heat.fluidC', null)),
      /laden: the fluid is calculated to reach \d+ °C, within a third of its rise, and DOT 4 with water in it boils at 155 °C/,
    ],
    // UN R13 annex 7 part B (from memory): four full applications, the next as a failed system must; a large tank does it.
    [
      'booster-reserve',
      'caution',
      after(weakVan, sized('boosterBy', { kind: 'vacuum', chamberMl: 300 })),
      after(weakVan, sized('boosterBy', { kind: 'vacuum', chamberMl: 60_000 })),
      /After 4 full ones, at 700 N, \d\.\d m\/s² are left where 2\.2 are required \(UN R13 annex 7 part B/,
    ],
    // UN R13-H annex 4 and UN R13 annex 7 part C (from memory): eight, and the ninth.
    [
      'booster-reserve',
      'caution',
      after(weakVan, sized('boosterBy', { kind: 'hydraulic', mostN: 3000, stops: 8 })),
      after(weakVan, sized('boosterBy', { kind: 'hydraulic', mostN: 3000, stops: 9 })),
      /The hydraulic store is good for 8 applications; 8 full ones and the next are required/,
    ],
    // Of a car the failed booster itself is tried; and nothing is asked where the foot alone is enough.
    [
      'booster-reserve',
      'caution',
      after(weakVan, sized('boosterBy', { kind: 'pump', chamberMl: 300 })),
      after(
        weakVan,
        sized('ruleClass', 'M1'),
        sized('boosterBy', { kind: 'pump', chamberMl: 300 }),
      ),
      /After 8 full ones/,
    ],
    // Common practice.
    [
      'booster-coding',
      'note',
      after(weak, sized('boosterBy', electric('not-known'))),
      after(weak, sized('boosterBy', electric('none'))),
      /It is not known whether the booster’s control unit must be coded for other calipers/,
    ],
    [
      'booster-coding',
      'caution',
      after(weak, sized('boosterBy', electric('needed'))),
      after(weak, sized('boosterBy', electric('done'))),
      /Have it coded before the first drive/,
    ],
    [
      'booster-weak',
      'caution',
      after(weak, sized('boosterBy', { ...electric('done'), mostN: 3 * 100 * lever - 1 })),
      after(weak, sized('boosterBy', { ...electric('done'), mostN: 3 * 100 * lever + 1 })),
      /^It gives/,
    ],
  ])('%s, %s', (rule, level, speaks, silent, text) => {
    const [snag] = found(speaks, rule);
    expect(snag).toMatchObject({ level, text: expect.stringMatching(text) as string });
    expect(found(silent, rule)).toEqual([]);
    const fix = fixOf(speaks, snag!.key);
    if (fix) expect(found(applyEdit(speaks, fix.call), rule)).toEqual([]);
  });

  // Common practice: cups with expanders are pressed to their bore without residual pressure.
  test('drums whose cups have expanders want no residual valve: none is missing, and one that is there is needless', () => {
    const valve = (residualMPa: number): EditCall => ({
      edit: 'changePort',
      with: { id: 'port-master-rear', patch: { residualMPa } },
    });
    const expanders = gannet.parts
      .filter(({ kind }) => kind === 'wheel-cylinder')
      .map(({ id }) => part(id, { facts: { cupExpanders: true } }));
    const drums = (plan: Plan, rule: string): string[] =>
      found(plan, rule)
        .filter(({ text }) => !text.includes('drains back'))
        .map(({ level, where }) => `${level} ${where}`);
    expect(drums(after(gannet, valve(0)), 'residual-missing')).toEqual([
      'note Rear left and Rear right',
    ]);
    expect(drums(after(gannet, valve(0), ...expanders), 'residual-missing')).toEqual([]);
    expect(found(after(gannet, valve(0.0689)), 'residual-needless')).toEqual([]);
    expect(
      found(after(gannet, valve(0.0689), ...expanders), 'residual-needless').length,
    ).toBeGreaterThan(0);
  });

  test('a joint from which every line goes down keeps air; one from which a line rises does not', () => {
    const ports = tee.ports.map(({ id }) => id);
    const raise = (mm: number): Plan =>
      after(
        gannet,
        ...ports.map((id): EditCall => {
          const { fixed } = layPlan(gannet).ports.get(id)!;
          const atMm = [fixed.atMm[0], fixed.atMm[1], fixed.atMm[2] + mm] as const;
          return {
            edit: 'setKnown',
            with: {
              target: { kind: 'port', id },
              known: { how: 'typed', atMm, sigmaMm: [1, 1, 1] },
            },
          };
        }),
      );
    const said = (plan: Plan): string[] =>
      found(plan, 'high-joint')
        .filter(({ where }) => where === 'Rear tee')
        .map(({ level, text }) => `${level} ${text}`);
    expect(said(gannet)).toEqual([]);
    expect(said(raise(300))).toEqual([
      expect.stringMatching(
        /^note Every line falls away from it, by 265 mm and more, and it has no bleeder, so air collects/,
      ),
    ]);
    const bled = { ...tee, ports: tee.ports.map((port) => ({ ...port })) };
    const withBleeder = applyEdit(
      raise(300),
      part(bled.id, {
        ports: [
          ...layPlan(raise(300)).plan.parts.find(({ id }) => id === tee.id)!.ports,
          { ...tee.ports[0]!, id: 'tee-bleed', name: 'bleeder', role: 'bleeder', fitting: null },
        ],
      }),
    );
    expect(said(withBleeder)).toEqual([]);
  });

  describe('what is opened again with all gates shut', () => {
    const bleeder = layPlan(gannet).ports.get('bleed-fl')!;
    const block = (name: string, at: readonly number[], halfMm: number): EditCall => ({
      edit: 'addThing',
      with: {
        thing: {
          ...newThing('in-the-way', name, 'tank'),
          shape: {
            kind: 'block',
            minMm: at.map((v) => v - halfMm) as unknown as Vec3,
            maxMm: at.map((v) => v + halfMm) as unknown as Vec3,
          },
        },
      },
    });
    const said = (plan: Plan): string[] =>
      found(plan, 'out-of-reach').map(({ where, text }) => `${where}: ${text}`);
    const new_ = (plan: Plan): string[] =>
      said(plan).filter((text) => !said(gannet).includes(text));
    test('a bleeder and a cap in the box of a gate are told, out of it they are not', () => {
      const at = bleeder.fixed.atMm;
      const gate = {
        id: 'gate-x',
        name: 'Arch liner',
        minMm: at.map((v) => v - 20) as unknown as Vec3,
        maxMm: at.map((v) => v + 20) as unknown as Vec3,
        closed: false,
      };
      expect(new_(after(gannet, { edit: 'addGate', with: { gate } }))).toEqual([
        'Front left, bleeder: Arch liner covers the bleeder. It has to be opened before bleeding.',
      ]);
      expect(said(gannet)).toContainEqual(
        expect.stringMatching(
          /^Clutch master, outlet: Dash and seat box in covers the filler cap, so the level cannot be seen/,
        ),
      );
      expect(
        said(after(gannet, { edit: 'removeGate', with: { id: 'gate-dash' } })).filter((text) =>
          text.includes('shuts its cap'),
        ),
      ).toEqual([]);
    });
    test('something in front of a nipple, and something over a cap; a little further off it is silent', () => {
      const out = (mm: number) =>
        bleeder.fixed.atMm.map((v, i) => v + mm * unit(bleeder.port.direction)![i]!);
      expect(new_(after(gannet, block('Spare', out(60), 10)))).toEqual([
        expect.stringMatching(/^Front left, bleeder: Spare stands 60 mm or less in front of it/),
      ]);
      expect(new_(after(gannet, block('Spare', out(140), 10)))).toEqual([]);
      const top = layPlan(gannet).ports.get('port-master-front')!.fixed.atMm;
      const over = (mm: number) => [
        top[0],
        top[1],
        Math.max(top[2], layPlan(gannet).ports.get('port-master-rear')!.fixed.atMm[2]) + mm,
      ];
      expect(new_(after(gannet, block('Floor', over(120), 60)))).toEqual([
        expect.stringMatching(
          /^Tandem master, rear outlet: Floor is above the filler cap: 120 mm are needed for a bottle or a/,
        ),
      ]);
      expect(new_(after(gannet, block('Floor', over(280), 60)))).toEqual([]);
    });
  });

  describe('a valve by its sheet', () => {
    const sheet = { leastMPa: 0.5, mostMPa: 6.9, notches: null, bypass: false, ladenKneeMPa: null };
    const valve = (patch: object, slope = 0.43): Plan =>
      after(
        gannet,
        sized('rearValve', { kneeMPa: 6, slope }),
        sized('valveSheet', { ...sheet, ...patch }),
      );
    const text = (plan: Plan): string => found(plan, 'valve-needed')[0]?.text ?? '';
    const knee = viewPlan(valve({})).size!.kneeFor(0.43)!;
    test('is set within what its adjuster reaches, by notches where it has them', () => {
      expect(text(valve({}))).toMatch(
        /With slope 0\.43 a knee of 3\.33 MPa stops the rear locking first, empty and laden, with a tenth/,
      );
      expect(text(valve({ leastMPa: knee - 0.01 }))).toMatch(
        /With slope 0\.43 a knee of 3\.33 MPa stops the rear locking first, empty and laden, with a tenth/,
      );
      expect(text(valve({ leastMPa: knee + 0.01 }))).toMatch(
        /With slope 0\.43 it takes a knee of 3\.33 MPa, and the adjuster ends at 3\.35/,
      );
      // The notch below the wanted knee, by hand.
      const notch = Math.floor((Math.floor(knee * 100) / 100 - 0.5) / (6.4 / 16));
      expect(text(valve({ notches: 16 }))).toContain(`: notch ${notch} of 16 from its softest.`);
    });
    test('that is moved by the load has a knee for each', () => {
      const moved = valve({ ladenKneeMPa: 6 });
      expect(text(moved)).toMatch(
        /it takes a knee of [\d.]+ MPa or less empty and (any knee|a knee of [\d.]+ MPa or less) laden/,
      );
      const { kneeAt } = viewPlan(moved).size!;
      const set = after(
        moved,
        sized('rearValve.kneeMPa', kneeAt(0.43, 'empty')),
        sized('valveSheet.ladenKneeMPa', Math.min(50, kneeAt(0.43, 'laden')!)),
      );
      expect(text(set)).toBe('');
    });
    test('that opens when the front has failed leaves more behind', () => {
      const left = (plan: Plan): number =>
        viewPlan(plan).size!.laden.failed.find(({ failed }) => failed === 'Front circuit')!.z;
      const low = (bypass: boolean): Plan =>
        after(
          gannet,
          sized('rearValve', { kneeMPa: 0.5, slope: 0.2 }),
          sized('valveSheet', { ...sheet, bypass }),
        );
      expect(left(low(true))).toBeGreaterThan(1.1 * left(low(false)));
    });
  });
});
