import { applyEdit, emptyPlan, newPart, newPort, type EditCall, type Plan } from '../plan/index.ts';
import { typicalClutch, typicalParking, typicalSingle } from '../plan/typical.ts';
import { LAYOUTS } from '../proposals/layouts/index.ts';
import { viewPlan } from '../plan/results/index.ts';
import type { Vec3 } from '../lib/vec/index.ts';
import { fixOf, inspect, proposedFixes, type Snag } from './index.ts';
import { measureDerived } from '../lib/derive/index.ts';
import { poured } from '../testing/poured.ts';
import { demo } from '../testing/demo-plans.ts';
import { proved } from '../testing/proved.ts';

const gannet = (): Plan => demo('gannet');
const after = (...calls: EditCall[]): Plan => calls.reduce(applyEdit, gannet());
const found = (plan: Plan, rule: string): Snag[] =>
  inspect(plan).filter((snag) => snag.rule === rule);
const line = (id: string, patch: object): EditCall => ({ edit: 'changeLine', with: { id, patch } });

describe('snags of the demo plan', () => {
  test('every mend offered is followed by a plan without that snag', () => {
    for (const snag of inspect(gannet())) {
      const fix = fixOf(gannet(), snag.key);
      if (!fix) continue;
      const mended = inspect(applyEdit(gannet(), fix.call));
      expect(mended.filter((s) => s.rule === snag.rule && s.where === snag.where)).toEqual([]);
      const stops = (snags: Snag[]): Snag[] =>
        snags.filter((s) => s.level === 'stop' && s.station === snag.station);
      if (snag.level === 'stop')
        expect(stops(mended).length).toBeLessThan(stops(inspect(gannet())).length);
      else expect(stops(mended).length).toBeLessThanOrEqual(stops(inspect(gannet())).length);
    }
  });

  test('a measured port settles its guess and the length that rested on it', () => {
    const known = { how: 'typed', atMm: [2960, 430, 560], sigmaMm: [1.5, 1.5, 1.5] } as const;
    const plan = after({
      edit: 'setKnown',
      with: { target: { kind: 'port', id: 'port-rr' }, known },
    });
    expect(found(plan, 'guess-unmeasured')).toEqual([]);
    expect(found(plan, 'cut-unsure')).toEqual([]);
  });
  test('a guess at the end of a line that stays as it is asks for no tape', () => {
    const at = (plan: Plan) => found(plan, 'guess-unmeasured').map(({ place }) => place.id);
    expect(at(gannet())).toEqual(['port-rr']);
    const line = gannet().lines.find(({ ends }) => ends.b.portId === 'port-rr')!;
    const kept = after({
      edit: 'changeLine',
      with: { id: line.id, patch: { origin: 'kept' } },
    });
    expect(at(kept)).toEqual([]);
  });
  test('a guess is nobody’s question once its line is fitted, and is again when that line is changed', () => {
    const fitted = proved(gannet());
    const asked = (plan: Plan): string[] =>
      inspect(plan).flatMap(({ rule, where }) =>
        rule === 'guess-unmeasured' || rule === 'cut-unsure' ? [where] : [],
      );
    expect(asked(fitted)).toEqual([]);
    const { id, cornersMm } = fitted.lines.find(({ name }) => name === 'R3')!;
    const cornersUp = cornersMm.map(([x, y, z]): Vec3 => [x, y, z + 5]);
    expect(asked(applyEdit(fitted, line(id, { cornersMm: cornersUp })))).toEqual([
      'Rear right, hose end at bracket',
    ]);
    // Without lines a guessed datum of a tape is asked about all the same.
    const datum = gannet().points[0]!;
    const bare = applyEdit(
      { ...gannet(), lines: [] },
      {
        edit: 'setKnown',
        with: {
          target: { kind: 'point', id: datum.id },
          known: { how: 'guessed', atMm: [0, -400, 500], sigmaMm: [30, 30, 30] },
        },
      },
    );
    expect(asked(bare)).toContain(datum.name);
  });
  test('under inches, a rule judges again only what changed', () => {
    const inch: Plan = { ...gannet(), units: 'inch' };
    inspect(inch);
    const spent = measureDerived(() => 0);
    inspect({ ...inch, notes: 'another' });
    const judged = [...spent].filter(
      ({ name, computed }) => /^rule near-hot/.test(name) && computed,
    );
    expect(judged).toEqual([]);
  });
});

describe('each rule against a plan spoilt for it', () => {
  const r1 = gannet().lines.find((l) => l.id === 'line-r1')!;
  test.each<[string, EditCall, Snag['level'], RegExp]>([
    [
      'no-room',
      {
        edit: 'setCorners',
        with: {
          id: 'line-r1',
          cornersMm: [
            [500, -335, 445],
            [505, -335, 445],
            [505, -335, 500],
          ],
        },
      },
      'stop',
      /5 mm, and the bends need/,
    ],
    [
      'line-open',
      line('line-r1', { ends: { ...r1.ends, b: { ...r1.ends.b, portId: null } } }),
      'stop',
      /Choose its port/,
    ],
    [
      'bender-size',
      line('line-r1', { benderId: 'bender-2' }),
      'stop',
      /cut for 6.35 mm tube and this line is 4.76/,
    ],
    [
      'nut-size',
      line('line-r1', { ends: { ...r1.ends, a: { ...r1.ends.a, nutId: '7/16-24-inverted' } } }),
      'stop',
      /drilled for 6.35 mm tube/,
    ],
    [
      'nut-size',
      line('line-r1', { ends: { ...r1.ends, a: { ...r1.ends.a, flare: 'bubble' } } }),
      'stop',
      /The 3\/8-24 nut does not fit the flare at this end/,
    ],
    [
      'port-angle',
      { edit: 'removeCorner', with: { id: 'line-r1', index: 0 } },
      'caution',
      /off the port’s axis/,
    ],
    [
      'feed-short',
      {
        edit: 'setCorners',
        with: {
          id: 'line-r1',
          cornersMm: [
            [500, -335, 445],
            [540, -335, 445],
            [540, -335, 500],
            [2700, -335, 500],
            [2700, -149, 524],
          ],
        },
      },
      'caution',
      /There is 9 mm of straight between the two bends, and Bench bender 3\/16 in needs 10/,
    ],
    [
      'changed-after-made',
      { edit: 'removeCorner', with: { id: 'line-f2', index: 1 } },
      'caution',
      /4 steps were ticked on an older card/,
    ],
    [
      'not-bled',
      { edit: 'removePart', with: { id: 'front-tee' } },
      'stop',
      /No line brings fluid to/,
    ],
    [
      'point-unfixed',
      {
        edit: 'setKnown',
        with: {
          target: { kind: 'port', id: 'port-rt-in' },
          known: {
            how: 'taped',
            atMm: [0, 0, 0],
            sigmaMm: [9, 9, 9],
            tapes: [{ from: 'datum-a', readMm: 100 }],
          },
        },
      },
      'caution',
      /three tapes or more/,
    ],
    [
      'tapes-disagree',
      {
        edit: 'setKnown',
        with: {
          target: { kind: 'port', id: 'port-fl' },
          known: {
            how: 'taped',
            atMm: [40, -420, 520],
            sigmaMm: [9, 9, 9],
            side: 'above',
            tapes: [
              { from: 'datum-a', readMm: 49 },
              { from: 'datum-b', readMm: 880 },
              { from: 'datum-c', readMm: 1160 },
              { from: 'datum-h', readMm: 710 },
            ],
          },
        },
      },
      'caution',
      /Take one more reading, from another datum/,
    ],
  ])('%s', (rule, call, level, sentence) => {
    expect(found(gannet(), rule)).toEqual([]);
    const snags = found(after(call), rule);
    expect(snags.length).toBeGreaterThan(0);
    expect(snags[0]!.level).toBe(level);
    expect(snags.map((s) => s.text).join('\n')).toMatch(sentence);
  });

  const end = (id: string, which: 'a' | 'b', portId: string | null): EditCall => {
    const found = gannet().lines.find((l) => l.id === id)!;
    return line(id, { ends: { ...found.ends, [which]: { ...found.ends[which], portId } } });
  };
  test.each<[string, EditCall[], RegExp]>([
    [
      'part-unfed',
      [{ edit: 'removeLine', with: { id: 'line-r2' } }],
      /^Rear left: No line runs to it/,
    ],
    [
      'port-open',
      [{ edit: 'removeLine', with: { id: 'line-r2' } }],
      /^Rear tee, left: No line ends here and the port is not capped/,
    ],
    [
      'circuits-joined',
      [line('line-f2', { circuitId: 'circuit-2' })],
      /^Front tee: F1 \(Front brakes\) and F2 \(Rear brakes\) are joined here, which makes them one circuit/,
    ],
    [
      'master-shared',
      [
        line('line-c1', { circuitId: 'circuit-3' }),
        end('line-f1', 'a', null),
        end('line-c1', 'a', 'port-master-front'),
      ],
      /^Tandem master: Brakes and clutch share one master cylinder/,
    ],
    [
      'roles-swapped',
      [{ edit: 'changePort', with: { id: 'port-master-rear', patch: { role: 'feed' } } }],
      /^R1: The line ends at Tandem master, rear outlet, which is a feed port/,
    ],
    [
      'roles-swapped',
      [{ edit: 'changePort', with: { id: 'port-master-rear', patch: { role: 'inlet' } } }],
      /^R1: The line leaves Tandem master by an inlet/,
    ],
    [
      'roles-swapped',
      [{ edit: 'changePort', with: { id: 'port-rt-left', patch: { role: 'inlet' } } }],
      /^R2: Both ends are inlets, so nothing pushes fluid into the line/,
    ],
    [
      'both-axles',
      [line('line-f3', { circuitId: 'circuit-2' })],
      /^F3: Circuit Rear brakes is set to the rear axle and feeds Front right on the front axle/,
    ],
  ])('%s', (rule, calls, sentence) => {
    expect(found(gannet(), rule)).toEqual([]);
    const snags = found(after(...calls), rule);
    expect(snags.map((s) => `${s.where}: ${s.text}`)).toEqual(
      expect.arrayContaining([expect.stringMatching(sentence)]),
    );
    expect(snags.every((s) => s.level === 'stop')).toBe(true);
  });

  test('a port set down as spare is capped and no longer open', () => {
    const open = after({ edit: 'removeLine', with: { id: 'line-r2' } });
    const mend = fixOf(open, found(open, 'port-open')[0]!.key)!;
    expect(found(applyEdit(open, mend.call), 'port-open')).toEqual([]);
  });

  /** Sizing of the demo plan with some figures changed. */
  const sized = (...figures: [path: string, to: unknown][]): Plan =>
    after(
      ...figures.map(([path, to]): EditCall => ({
        edit: 'setFigure',
        with: { of: 'sizing', path, to },
      })),
    );
  test.each<[string, [string, unknown][], Snag['level'], RegExp]>([
    ['pedal-stroke', [['master.strokeMm', 10]], 'stop', /runs out of stroke/],
    [
      'pedal-stroke',
      [['airMl.rear', 4]],
      'caution',
      /Pedal travel is 146 of 190 mm at full pressure/,
    ],
    ['stops-too-long', [['pedal.forceN', 200]], 'stop', /70 m is the limit \(FMVSS 135/],
    ['stops-too-long', [['rear.cylinderMm', 15]], 'stop', /168 m is the limit/],
    [
      'foot-too-hard',
      [['pedal.forceN', 600]],
      'caution',
      /Calculated for 600 N of pedal force, and 500 N is the most allowed \(FMVSS 135 \/ UN R13-H,/,
    ],
    [
      'booster-weak',
      [['booster', { gain: 5, vacuumKPa: 40, diaphragmMm2: 20_000 }]],
      'caution',
      /Its vacuum gives 800 N and this foot force needs 10714 N/,
    ],
    ['figure-unlikely', [['master.boreMm', 7]], 'caution', /7 mm looks wrong/],
    ['figure-unlikely', [['pedal.ratio', 40]], 'caution', /40 to 1 looks wrong/],
  ])('%s', (rule, figures, level, sentence) => {
    const silent = found(gannet(), rule)
      .filter((s) => s.level === level)
      .map((s) => s.text);
    expect(silent).not.toEqual(expect.arrayContaining([expect.stringMatching(sentence)]));
    const snags = found(sized(...figures), rule);
    expect(snags.filter((s) => s.level === level).map((s) => s.text)).toEqual(
      expect.arrayContaining([expect.stringMatching(sentence)]),
    );
  });
  /** Figures of another sheet, of a part, or of a port changed. */
  const figures = (of: string, path: string, to: unknown): EditCall => ({
    edit: 'setFigure',
    with: { of, path, to },
  });
  const part = (id: string, patch: object): EditCall => ({
    edit: 'changePart',
    with: { id, patch },
  });
  const port = (id: string, patch: object): EditCall => ({
    edit: 'changePort',
    with: { id, patch },
  });
  const fl = gannet().parts.find((p) => p.id === 'fl')!;
  test.each<[string, EditCall[], Snag['level'], RegExp]>([
    [
      'residual-wrong',
      [port('port-master-front', { residualMPa: 0.0689 })],
      'stop',
      /^Tandem master, front outlet: The residual valve holds 10 psi on Front left and Front right\./,
    ],
    [
      'residual-wrong',
      [port('port-master-rear', { residualMPa: 0.0138 })],
      'caution',
      /holds 2 psi on Rear left and Rear right\. Drums/,
    ],
    [
      'residual-missing',
      [port('port-master-rear', { residualMPa: 0 })],
      'note',
      /Rear left and Rear right: Drums usually need a residual valve of 10 psi to keep the cups pressed out, and/,
    ],
    [
      'residual-needless',
      [
        part('master', { figures: { levelMm: 900 } }),
        port('port-master-front', { residualMPa: 0.0138 }),
      ],
      'caution',
      /The fluid stands above Front left and Front right, so fluid cannot drain back\. The residual valve of 2 psi/,
    ],
    [
      'level-unknown',
      [part('master', { figures: {} })],
      'note',
      /^Tandem master: Fluid level height is not entered/,
    ],
    [
      'free-play',
      [part('master', { figures: { freePlayMm: 0 } })],
      'stop',
      /Pushrod free play is 0 mm\. A preloaded rod closes the compensating port, and the brakes drag,/,
    ],
    [
      'reservoir-small',
      [part('master', { figures: { reservoirMl: 60 } })],
      'caution',
      /The reservoir holds 60 mL between its marks, and pad and lining wear takes 108 mL/,
    ],
    [
      'over-rating',
      [part('fl', { figures: { ratingMPa: 5 } })],
      'stop',
      /^Front left: Rated 5 MPa and will see 7\.2/,
    ],
    [
      'master-dry',
      [{ edit: 'addPort', with: { partId: 'master', port: newPort(gannet(), 'feed', 'feed') } }],
      'stop',
      /Tandem master, feed/,
    ],
    ['bleeder-low', [port('bleed-fl', { direction: [0, 0, -1] })], 'stop', /^Front left, bleeder/],
    [
      'bleeder-low',
      [port('bleed-cs', { known: { how: 'typed', atMm: [1180, -60, 380], sigmaMm: [1, 1, 1] } })],
      'stop',
      /^Clutch slave, bleeder/,
    ],
    [
      'fed-twice',
      [
        { edit: 'addPort', with: { partId: 'fl', port: { ...fl.ports[0]!, id: 'second' } } },
        end('line-f3', 'b', 'second'),
      ],
      'caution',
      /^Front left: F2 and F3 both feed it/,
    ],
    [
      'fluids-meet',
      [part('fl', { family: 'silicone' })],
      'stop',
      /^Front left: This part is made for silicone or has held it, and the plan uses DOT 4 \(glycol\)/,
    ],
    [
      'parking-hydraulic',
      [{ edit: 'setSheet', with: { sheet: 'parking', to: typicalParking('hydraulic') } }],
      'stop',
      /pressure leaks down and drops as the fluid cools/,
    ],
    [
      'parking-weak',
      [figures('parking', 'handN', 200)],
      'stop',
      /Laden, the parking brake holds on 11 % and 20 % is required \(FMVSS 135 \/ UN R13-H annex 3/,
    ],
    [
      'parking-weak',
      [figures('parking', 'handN', 450)],
      'caution',
      /450 N of hand force is over the 400 N allowed \(FMVSS 135 \/ UN R13-H annex 3 \(from memory\)\)/,
    ],
    [
      'clutch-travel',
      [figures('clutch', 'slaveBoreMm', 30)],
      'stop',
      /Release bearing travel is 4\.9 mm, and 8 mm are needed to free the clutch/,
    ],
    [
      'clutch-travel',
      [figures('clutch', 'slaveBoreMm', 16)],
      'caution',
      /Release bearing travel is 16\.5 mm and 11\.5 mm is the most/,
    ],
    [
      'clutch-travel',
      [figures('clutch', 'bearingLoadN', 4000)],
      'caution',
      /Clutch pedal force is 286 N, and 130 N is the most you want/,
    ],
    [
      'figures-guessed',
      [{ edit: 'setSheet', with: { sheet: 'clutch', to: typicalClutch() } }],
      'caution',
      /^Figures in Size: Still estimated: Foot to road 3, Clutch 14\./,
    ],
    ['figure-unlikely', [figures('clutch', 'slaveBoreMm', 7)], 'caution', /7 mm looks wrong/],
  ])('%s %#', (rule, calls, level, sentence) => {
    const snags = found(after(...calls), rule).filter((s) => s.level === level);
    expect(snags.map((s) => `${s.where}: ${s.text}`)).toEqual(
      expect.arrayContaining([expect.stringMatching(sentence)]),
    );
    expect(found(gannet(), rule).map((s) => `${s.where}: ${s.text}`)).not.toEqual(
      expect.arrayContaining([expect.stringMatching(sentence)]),
    );
  });

  test('a trailer: an actuator too small, a pressure that is a slip of the tongue', () => {
    const dunlin = demo('dunlin');
    const of = (path: string, to: unknown) =>
      applyEdit(dunlin, { edit: 'setFigure', with: { of: 'trailer', path, to } });
    expect(found(dunlin, 'trailer-brakes').map((s) => s.where)).toEqual(['Trailer, empty']);
    expect(found(of('actuatorMl', 5), 'trailer-brakes').map((s) => s.where)).toContain('Actuator');
    // 16,000 psi in place of 1,600.
    expect(found(of('actuatorMPa', 16_000 * 0.006894757), 'figure-unlikely')[0]!.text).toMatch(
      /^110\.32 MPa looks wrong/,
    );
  });

  test('a lever of its own that runs out of stroke', () => {
    const sheet = { ...typicalSingle('Hand lever', 'circuit-1'), strokeMm: 2 };
    const plan = after({ edit: 'setSheet', with: { sheet: 'singles', to: [sheet] } });
    expect(found(plan, 'lever-stroke')).toMatchObject([
      {
        level: 'stop',
        where: 'Hand lever',
        text: expect.stringMatching(/^The lever runs out of stroke/) as string,
      },
    ]);
  });
  test('a lever of its own is told of past six tenths of its stroke, and not before', () => {
    const sheet = typicalSingle('Hand lever', 'circuit-1');
    const on = (strokeMm: number) =>
      after({
        edit: 'setSheet',
        with: { sheet: 'singles', to: [{ ...sheet, lever: { ...sheet.lever, strokeMm } }] },
      });
    const { travelMm } = viewPlan(on(1000)).works.singles[0]!;
    expect(found(on(travelMm / 0.62), 'lever-stroke')).toMatchObject([
      {
        level: 'caution',
        text: expect.stringMatching(
          /Lever travel at full pressure is 22 mm of 35 mm, 62 %\. Leave more for wear and heat/,
        ) as string,
      },
    ]);
    expect(found(on(travelMm / 0.58), 'lever-stroke')).toEqual([]);
  });

  test('no limit is judged where none is known', () => {
    expect(
      found(sized(['category', 'competition'], ['pedal.forceN', 900]), 'stops-too-long').filter(
        (s) => /limit/.test(s.text),
      ),
    ).toEqual([]);
    expect(
      found(sized(['category', 'competition'], ['pedal.forceN', 900]), 'foot-too-hard'),
    ).toEqual([]);
  });

  test('no fix is offered that does harm elsewhere: Gannet’s valve would leave stops too long', () => {
    const plan = gannet();
    const [snag] = found(plan, 'valve-needed');
    const [proposed] = proposedFixes(plan, snag!.key);
    const stops = (of: Plan): number => inspect(of).filter(({ level }) => level === 'stop').length;
    // The valve does what it is for, and yet the plan is no better.
    const tried = applyEdit(plan, proposed!.call);
    expect(found(tried, 'valve-needed')).toEqual([]);
    expect(found(tried, 'stops-too-long').length).toBeGreaterThan(
      found(plan, 'stops-too-long').length,
    );
    expect(stops(tried)).toBeGreaterThanOrEqual(stops(plan));
    expect(fixOf(plan, snag!.key)).toBeNull();
  });
  test('no fix that is offered adds a stop or a caution', () => {
    for (const plan of ['gannet', 'wheatear', 'dunlin'].map(demo))
      for (const snag of inspect(plan).filter(({ fixable }) => fixable)) {
        const fix = fixOf(plan, snag.key);
        if (!fix || fix.isFact) continue;
        const grave = (of: Plan, level: 'stop' | 'caution'): number =>
          inspect(of).filter(
            (one) => one.level === level && !['fit', 'fill', 'prove'].includes(one.station),
          ).length;
        const after = applyEdit(plan, fix.call);
        for (const level of ['stop', 'caution'] as const)
          expect([snag.key, grave(after, level) <= grave(plan, level)]).toEqual([snag.key, true]);
      }
  });

  test('an end straight is lengthened where that helps, and where it cannot nothing is offered', () => {
    const offered = (shoeMm: number): readonly boolean[] => {
      const plan = after({ edit: 'changeBender', with: { id: 'bender-1', patch: { shoeMm } } });
      return found(plan, 'end-straight-short').map(({ key }) => fixOf(plan, key) !== null);
    };
    expect(offered(18)).toEqual([true]);
    // A shoe as long as that lets no line be bent without harm elsewhere.
    expect(new Set(offered(900))).toEqual(new Set([false]));
  });

  test('one lamp that is missing, or both, are set down at once', () => {
    const labels = (lamps: object): (string | undefined)[] => {
      const plan = after({ edit: 'setFigure', with: { of: 'sizing', path: 'lamps', to: lamps } });
      return found(plan, 'lamp-missing').map(({ key }) => fixOf(plan, key)?.label);
    };
    expect(labels({ circuit: false, parking: false })).toEqual(['Both are fitted']);
    expect(labels({ circuit: true, parking: false })).toEqual(['It is fitted']);
    expect(labels({ circuit: true, parking: true })).toEqual([]);
  });

  test('figures are in the units of the plan', () => {
    expect(
      found(after({ edit: 'setUnits', with: { units: 'inch' } }), 'end-straight-short')[0]!.text,
    ).toMatch(/1 5\/32 in; nut and bender shoe need 1 11\/32/);
  });

  test('an empty plan has nothing against it', () => {
    const plan = gannet();
    expect(
      inspect({
        ...plan,
        points: [],
        parts: [],
        lines: [],
        sizing: null,
        bleeding: { ...plan.bleeding, listed: [] },
      }),
    ).toEqual([]);
    expect(viewPlan(plan).lines).toHaveLength(7);
  });
});

describe('a tube that runs straight from seat to seat', () => {
  const dunlin = demo('dunlin');
  /** T4 of so many millimeters: its far port moved along it. */
  const long = (mm: number): Snag[] => {
    const { portId } = dunlin.lines.find((line) => line.name === 'T4')!.ends.b;
    const part = dunlin.parts.find(({ ports }) => ports.some((port) => port.id === portId))!;
    const moved = part.ports.map((port) =>
      port.id === portId
        ? {
            ...port,
            known: {
              ...port.known,
              how: 'typed' as const,
              atMm: [2500 + mm, -60, 450] as const,
              tapes: [],
              side: 'above' as const,
            },
          }
        : port,
    );
    const plan = {
      ...dunlin,
      parts: dunlin.parts.map((one) => (one === part ? { ...part, ports: moved } : one)),
    } as Plan;
    return inspect(plan).filter((snag) => snag.rule === 'cannot-withdraw' && snag.where === 'T4');
  };
  test('cannot be drawn out where it is too short to bow', () => {
    // The circle itself: over a chord of 850 mm an arc 56.5 mm high is 10 mm longer, to a twentieth.
    const radius = (425 ** 2 + 56.5 ** 2) / (2 * 56.5);
    expect(2 * radius * Math.asin(425 / radius)).toBeCloseTo(860, 1);
    expect(long(850)[0]).toMatchObject({
      level: 'caution',
      text: expect.stringMatching(
        /To get an end out it must bow by 56 mm, and 850 mm of that stay bent/,
      ) as string,
    });
    expect(long(400)).toHaveLength(1);
  });
  test('and can where it is long', () => {
    expect(long(1400)).toEqual([]);
  });
});

describe('valves and fluids in a layout with an inline handbrake', () => {
  const drawn = (): Plan =>
    LAYOUTS.find((layout) => layout.id === 'handbrake')!.draw(
      emptyPlan('p', 'P', '2026-01-01T00:00:00.000Z'),
    );
  const handbrake = (plan: Plan) => plan.parts.find((part) => part.kind === 'handbrake-cylinder')!;

  test('a handbrake the right way round has nothing against it but that it is no parking brake', () => {
    expect(found(drawn(), 'valve-backwards')).toEqual([]);
    expect(found(drawn(), 'no-parking-brake').map((snag) => snag.level)).toEqual(['note']);
  });

  test('turned round, pressure comes to its outlet', () => {
    const plan = drawn();
    const [inlet, outlet] = handbrake(plan).ports as unknown as [{ id: string }, { id: string }];
    const swap = (id: string | null): string | null =>
      id === inlet.id ? outlet.id : id === outlet.id ? inlet.id : id;
    const turned = {
      ...plan,
      lines: plan.lines.map((l) => ({
        ...l,
        ends: {
          a: { ...l.ends.a, portId: swap(l.ends.a.portId) },
          b: { ...l.ends.b, portId: swap(l.ends.b.portId) },
        },
      })),
    };
    expect(found(turned, 'valve-backwards').map((snag) => snag.text)).toEqual([
      expect.stringMatching(/^R1 brings pressure to the valve’s outlet \(outlet\)/),
    ]);
  });

  test('silicone with a modulator is a stop, glycol is not', () => {
    const plan = applyEdit(drawn(), {
      edit: 'addPart',
      with: { part: newPart(drawn(), 'modulator') },
    });
    const silicone = poured(plan, 'dot-5');
    expect([
      found(plan, 'silicone-modulator').length,
      found(silicone, 'silicone-modulator').length,
    ]).toEqual([0, 1]);
  });
});

describe('fluids, sealant and free play', () => {
  const said = (rule: string, ...calls: EditCall[]): string[] =>
    found(after(...calls), rule).map((s) => `${s.level} ${s.where}: ${s.text}`);
  const part = (id: string, patch: object): EditCall => ({
    edit: 'changePart',
    with: { id, patch },
  });
  const [cm, cs] = ['Clutch master', 'Clutch slave'].map(
    (name) => gannet().parts.find((one) => one.name === name)!.id,
  ) as [string, string];
  test('a clutch of which every part takes mineral oil is told once; one of which a part is not known is a stop', () => {
    expect(
      said('fluids-meet', part(cm, { family: 'mineral' }), part(cs, { family: 'mineral' })),
    ).toEqual([expect.stringMatching(/^note Clutch master: This circuit takes mineral oil/)]);
    expect(said('fluids-meet', part(cs, { family: 'mineral' }))).toEqual([
      expect.stringMatching(/^stop Clutch slave/),
    ]);
  });
  test('a taper with no sealant is asked about, one with paste is not', () => {
    const { joint } = gannet().lines.find(({ id }) => id === 'line-c1')!.ends.a;
    const set = (sealant: 'none' | 'paste'): EditCall => ({
      edit: 'changeEnd',
      with: { id: 'line-c1', end: 'a', patch: { joint: { ...joint, sealant } } },
    });
    expect(said('sealant-missing', set('none'))).toEqual([
      expect.stringMatching(
        /^caution C1, end A: 1\/8-27 NPT is a taper thread, and no sealant is entered/,
      ),
    ]);
    expect(said('sealant-missing', set('paste'))).toEqual([]);
  });
  // Common practice: half a millimetre with a pedal straight on the master, a tenth at a booster's rod.
  const boosted: EditCall = {
    edit: 'setFigure',
    with: { of: 'sizing', path: 'booster', to: { gain: 4, vacuumKPa: 70, diaphragmMm2: 40_000 } },
  };
  test.each<[string, EditCall[], string[]]>([
    ['none at the pedal', [part('master', { figures: { freePlayMm: 0 } })], ['stop']],
    ['a little at the pedal', [part('master', { figures: { freePlayMm: 0.3 } })], ['caution']],
    ['enough at the pedal', [part('master', { figures: { freePlayMm: 0.6 } })], []],
    ['a little at a booster', [boosted, part('master', { figures: { freePlayMm: 0.3 } })], []],
    ['none at a booster', [boosted, part('master', { figures: { freePlayMm: 0 } })], ['caution']],
  ])('free play: %s', (_, calls, levels) => {
    expect(
      found(after(...calls), 'free-play')
        .filter(({ where }) => where === 'Tandem master')
        .map(({ level }) => level),
    ).toEqual(levels);
  });
  test('a clutch with no free play slips, it does not drag its brakes', () => {
    expect(said('free-play', part(cm, { figures: { freePlayMm: 0 } })).join()).toMatch(
      /stop Clutch master/,
    );
  });
  // Wheel cylinders' bleeders mostly point inboard and level, calipers' stand aslant. Common practice.
  test.each<[Vec3, number]>([
    [[0, 1, 0], 0],
    [[0, 0.9, 0.4], 0],
    [[0, 0, 1], 0],
    [[0, 0.5, -0.9], 1],
  ])('a bleeder that points %o', (direction, count) => {
    expect(
      said('bleeder-low', { edit: 'changePort', with: { id: 'bleed-fl', patch: { direction } } }),
    ).toHaveLength(count);
  });
});
