import { applyEdit, emptyPlan, type EditCall, type Plan } from '../plan/index.ts';
import { TYPICAL_PARKING_TRAVEL, typicalSizing } from '../plan/typical.ts';
import { LAYOUTS } from '../proposals/layouts/index.ts';
import { demo } from '../testing/demo-plans.ts';
import type { Disc } from '../physics/hydraulics/index.ts';
import { viewPlan } from '../plan/results/index.ts';
import { defaultsFor, setOut } from '../proposals/set-out/index.ts';
import { inspect } from './index.ts';

const gannet = demo('gannet');
const FRESH = { id: 'p', now: '2026-12-02T00:00:00.000Z' };
const said = (plan: Plan, rule: string): string[] =>
  inspect(plan)
    .filter((snag) => snag.rule === rule)
    .map(({ level, text }) => `${level}: ${text}`);
const figure = (of: string, path: string, to: unknown): EditCall => ({
  edit: 'setFigure',
  with: { of, path, to },
});

describe('the travel of a parking lever', () => {
  const parked = (more: object, ...calls: EditCall[]): string[] =>
    said(
      [figure('parking', 'travel', { ...TYPICAL_PARKING_TRAVEL, ...more }), ...calls].reduce(
        applyEdit,
        gannet,
      ),
      'parking-travel',
    );
  // 380 N · 7 · 0.65 = 1729 N on 3.6 mm² of 90 GPa: 5.34 mm a metre; 1 m in front and 2 · 1.6 m of half the pull
  // behind stretch 13.87 mm, shoes 3.5 · 0.5 = 1.75 mm; by 7 at the lever 109.4 mm, hot 5.1 more.
  test('is silent where nobody measured it, and where there is travel to spare', () => {
    expect(said(gannet, 'parking-travel')).toEqual([]);
    expect(parked({})).toEqual([]);
  });
  test('is long over six tenths of what the lever has, and a stop past its end', () => {
    expect(parked({ strokeMm: 180 })).toEqual([
      'caution: Parking lever travel at full pull is 109 mm of 180 mm, 61 %. Leave more for wear.',
    ]);
    expect(parked({ strokeMm: 184 })).toEqual([]);
    expect(parked({ strokeMm: 109 })).toEqual([
      expect.stringMatching(/^stop: The parking lever reaches its stop: full pull takes 109 mm/),
    ]);
    expect(parked({ strokeMm: 112 })).toEqual([
      expect.stringMatching(/^caution: On hot drums .* full pull takes 115 mm of 112 mm/),
    ]);
  });
  test('without an equalizer one wheel may hold alone: a caution where that is too little', () => {
    expect(parked({ equalizer: false })).toEqual([
      expect.stringMatching(
        /^caution: The parking brake has no equalizer\. .* holds alone: on 11 %/,
      ),
    ]);
    expect(parked({ equalizer: false }, figure('sizing', 'laden.massKg', 1350))).toEqual([]);
  });
  test('a brake worked by foot is held to the foot of its rule', () => {
    const by = (worked: 'hand' | 'foot', handN: number): string[] =>
      said(
        [figure('parking', 'worked', worked), figure('parking', 'handN', handN)].reduce(
          applyEdit,
          gannet,
        ),
        'parking-weak',
      );
    // UN R13-H annex 3: 400 N by hand, 500 N by foot (from memory).
    expect(by('hand', 450)).toEqual([
      expect.stringMatching(/450 N of hand force is over the 400 N/),
    ]);
    expect(by('foot', 450)).toEqual([]);
    expect(by('foot', 550)).toEqual([
      expect.stringMatching(/550 N of foot force is over the 500 N/),
    ]);
  });
});

describe('the scrub radius of a diagonal split', () => {
  const layout = (id: string): Plan => ({
    ...LAYOUTS.find((one) => one.id === id)!.draw(emptyPlan('p', 'P', '2026-12-02T00:00:00Z')),
    sizing: typicalSizing('light'),
  });
  const scrub = (plan: Plan, to: number | null): string[] =>
    said(applyEdit(plan, figure('sizing', 'scrubMm', to)), 'diagonal-scrub');
  test('is asked for, a caution outward, and nothing at zero, inward, or with another split', () => {
    const diagonal = layout('diagonal');
    expect(said(diagonal, 'diagonal-scrub')).toEqual([expect.stringMatching(/^note: .* Enter/)]);
    expect(scrub(diagonal, 30)).toEqual([expect.stringMatching(/^caution: .* is 30 mm outward/)]);
    expect(scrub(diagonal, 0)).toEqual([]);
    expect(scrub(diagonal, -12)).toEqual([]);
    expect(said(gannet, 'diagonal-scrub')).toEqual([]);
    expect(scrub(gannet, 30)).toEqual([]);
  });
  test('says with what torque the one front wheel steers', () => {
    const [text] = scrub(layout('diagonal'), 30);
    const [, force, torque] = /brakes with (\d+) N .* with ([\d.]+) N·m/.exec(text!)!;
    expect(Number(torque)).toBeCloseTo(0.03 * Number(force), 0);
    // Laden the whole vehicle at z 0.3 is 1,900 · 9.81 · 0.3 = 5.6 kN: one front wheel has most of it, and not all.
    expect(Number(force)).toBeGreaterThan(2000);
  });
});

describe('the brakes of motorcycles and trailers by their rules', () => {
  const fresh = (vehicle: 'motorcycle' | 'aircraft' | 'trailer'): Plan =>
    setOut({ answers: defaultsFor(vehicle), said: [], name: 'New', units: 'metric' }, FRESH);
  /** One lever's brake made so much stronger or weaker by its disc. */
  const disc = (plan: Plan, i: number, by: number): Plan => ({
    ...plan,
    singles: plan.singles.map((sheet, at) => {
      const brake = sheet.brake as Disc;
      return at === i
        ? { ...sheet, brake: { ...brake, effectiveRadiusMm: by * brake.effectiveRadiusMm } }
        : sheet;
    }),
  });
  /** What a lever alone does at a force, m/s², by hand: p·A·2·µ·r/R over the whole weight. */
  const ms2 = (plan: Plan, i: number, forceN: number): number => {
    const { lever, boreMm, brake, tyreRadiusMm } = plan.singles[i]!;
    const { pistonsMm, padMu, effectiveRadiusMm } = brake as Disc;
    const area = (mm: number): number => (Math.PI / 4) * mm * mm;
    const push = (forceN * lever.ratio * lever.efficiency) / area(boreMm);
    const clamp = push * pistonsMm.reduce((sum, mm) => sum + area(mm), 0);
    const mass = plan.singles.reduce((sum, { loadKg }) => sum + loadKg, 0);
    return (2 * padMu * clamp * effectiveRadiusMm) / tyreRadiusMm / mass;
  };
  // UN R78 annex 3, each brake by itself: 4.4 m/s² with 200 N by hand, 2.9 with 350 N by foot (from memory).
  test.each([
    [0, 200, 4.4],
    [1, 350, 2.9],
  ])('brake %i alone with %i N must reach %p m/s²', (i, forceN, least) => {
    const plan = fresh('motorcycle');
    const exactly = least / ms2(plan, i, forceN);
    const at = (by: number): string[] =>
      said(disc(plan, i, by * exactly), 'motorcycle-weak').filter((text) =>
        text.includes(`${forceN} N`),
      );
    expect(at(1.01)).toEqual([]);
    expect(at(0.98)).toEqual([expect.stringMatching(/^stop: .* alone slows the motorcycle/)]);
  });
  test('two toe brakes of an aircraft are no motorcycle', () => {
    expect(said(disc(fresh('aircraft'), 0, 0.01), 'motorcycle-weak')).toEqual([]);
  });
  test('a trailer whose brakes make less than half of the weight on its wheels gets a caution', () => {
    const plan = fresh('trailer');
    const weak = (by: number): string[] =>
      said(
        {
          ...plan,
          trailer: { ...plan.trailer!, actuatorMPa: plan.trailer!.actuatorMPa * by },
        },
        'trailer-brakes',
      ).filter((text) => /is required/.test(text));
    const { axles } = viewPlan(plan).works.trailer!.laden;
    const share =
      axles.reduce((sum, { forceN }) => sum + forceN, 0) /
      (plan.trailer!.axles.reduce((sum, { ladenKg }) => sum + ladenKg, 0) * 9.80665);
    expect(weak(0.505 / share)).toEqual([]);
    expect(weak(0.48 / share)).toEqual([
      expect.stringMatching(/^caution: .* make 48 % of the weight .* 50 % is required/),
    ]);
  });
});
