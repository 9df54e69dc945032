import { seeded } from '../../lib/random/index.ts';
import { demo } from '../../testing/demo-plans.ts';
import { cases } from '../../testing/cases.ts';
import { viewPlan } from '../../plan/results/index.ts';
import {
  builtTo,
  causeRow,
  checkRow,
  expectedPedal,
  findFault,
  pedalOn,
  reportOnFinder,
  SYMPTOMS,
  type Built,
  type Cause,
  type Evidence,
  type Symptom,
} from './index.ts';

const chanceOf = (evidence: Evidence, cause: Cause, fitted?: Parameters<typeof findFault>[1]) =>
  findFault(evidence, fitted).ranked.find((one) => one.cause === cause)!.chance;
const BARE = new Set<never>();

/** How often a set of causes shows a symptom: all of them and chance must miss it for it not to. */
const shows = (symptom: Symptom, there: readonly Cause[]): number => {
  const { by, from } = checkRow(symptom);
  return (
    1 -
    there.reduce(
      (hidden, cause) => hidden * (1 - (cause === 'other' ? 0.12 : (from[cause]?.[0] ?? 0))),
      1 - by,
    )
  );
};
/** Every set of causes there can be with its share, one by one: noisy or worked out the long way round. */
function everySet(evidence: Evidence): { there: Cause[]; share: number }[] {
  const causes = findFault({}, BARE).ranked.map(({ cause }) => cause);
  const sets = Array.from({ length: 2 ** causes.length }, (_, set) => {
    const there = causes.filter((_one, i) => set & (1 << i));
    const prior = causes.reduce((product, cause) => {
      const { often } = causeRow(cause);
      return product * (there.includes(cause) ? often : 1 - often);
    }, 1);
    const share = (Object.entries(evidence) as [Symptom, boolean][]).reduce(
      (product, [symptom, seen]) =>
        product * (seen ? shows(symptom, there) : 1 - shows(symptom, there)),
      prior,
    );
    return { there, share };
  });
  const all = sets.reduce((sum, { share }) => sum + share, 0);
  return sets.map(({ there, share }) => ({ there, share: share / all }));
}

describe('the fault finder', () => {
  it.each<[string, Evidence]>([
    ['nothing known', {}],
    ['sinks and dry', { sinks: true, wet: false }],
    ['pumps, air over, bubbles', { pumps: true, curveAir: true, bubbles: true, sinks: false }],
  ])('comes to what every set of causes comes to, counted one by one: %s', (_, evidence) => {
    const sets = everySet(evidence);
    const counted = (is: (there: Cause[]) => boolean): number =>
      sets.reduce((sum, { there, share }) => (is(there) ? sum + share : sum), 0);
    const { ranked, sound } = findFault(evidence, BARE);
    // More than three causes at once are left out: under one percent.
    expect(Math.abs(sound - counted((there) => !there.length))).toBeLessThan(0.01);
    for (const { cause, chance } of ranked)
      expect(Math.abs(chance - counted((there) => there.includes(cause)))).toBeLessThan(0.01);
  });
  it('asks for the check that tells most a minute: entropy with it less entropy without, counted one by one', () => {
    const evidence: Evidence = { sinks: true, pumps: false };
    const sets = everySet(evidence);
    const entropy = (p: number): number =>
      [p, 1 - p].reduce((sum, q) => (q > 0 ? sum - q * Math.log2(q) : sum), 0);
    const rates = SYMPTOMS.filter(
      (symptom) => !(symptom in evidence) && checkRow(symptom).needs === undefined,
    ).map((symptom) => {
      const mean = (of: (p: number) => number): number =>
        sets.reduce((sum, { there, share }) => sum + share * of(shows(symptom, there)), 0);
      const bits = entropy(mean((p) => p)) - mean(entropy);
      return { symptom, rate: bits / checkRow(symptom).minutes };
    });
    const best = rates.reduce((a, b) => (b.rate > a.rate ? b : a));
    const { next } = findFault(evidence, BARE);
    expect(next!.symptom).toBe(best.symptom);
    expect(next!.bits / next!.minutes).toBeCloseTo(best.rate, 2);
  });
  it('knows nothing, says so, and asks first for what is cheap and tells much', () => {
    const { verdict, next } = findFault({});
    expect(verdict).toBe('cannot-tell');
    expect(next!.minutes).toBeLessThanOrEqual(5);
  });
  it('everything checked and nothing seen is sound, not a swelling hose', () => {
    const healthy = Object.fromEntries(SYMPTOMS.map((symptom) => [symptom, false]));
    const { verdict, sound, ranked, next } = findFault(healthy);
    expect([verdict, next]).toEqual(['sound', null]);
    expect(sound).toBeGreaterThan(0.85);
    expect(Math.max(...ranked.map(({ chance }) => chance))).toBeLessThan(0.05);
  });
  it('common practice: what sinks and is wet weeps; dry, it is the cup or the modulator, and the plugged circuit tells which', () => {
    expect(findFault({ sinks: true, wet: true }).ranked[0]!.cause).toBe('weep');
    const dry: Evidence = { sinks: true, wet: false, pumps: false };
    expect(
      findFault(dry)
        .ranked.slice(0, 2)
        .map(({ cause }) => cause),
    ).toEqual(['cup', 'modulator']);
    expect(findFault({ ...dry, sinksPlugged: false }).ranked[0]!.cause).toBe('modulator');
  });
  it.each<[Cause, Evidence]>([
    ['long', { drags: true, dragsHot: true, curveNoPlay: true }],
    ['drums', { pumps: true, drumsLoose: true, curveAir: false }],
    ['collapsed', { drags: true, freesAtBleeder: true, dragsHot: true, curveNoPlay: false }],
    ['checkValve', { noReserve: true, noDrop: false, pressureOff: true }],
    ['booster', { noReserve: true, noDrop: true, pressureOff: true }],
    ['knock', { longAfterDrive: true, longHot: false, pumps: true, curveAir: false }],
    ['boiled', { longHot: true, drumsLoose: false, pumps: true, longAfterDrive: false }],
    ['box', { curveFlex: true, boxMoves: true, hoseSwells: false }],
    ['hose', { curveFlex: true, boxMoves: false, hoseSwells: true }],
    ['feed', { fountain: true, bubbles: true, softPlugged: true, curveAir: true }],
    ['pads', { weakStop: true, pulls: true, drags: false, pistonStill: false }],
    ['short', { curvePlay: true, softPlugged: true, boxMoves: false }],
  ])('common practice: ranks first %s', (cause, evidence) => {
    const { ranked } = findFault(evidence);
    expect(ranked[0]!.cause).toBe(cause);
    expect(ranked[0]!.chance).toBeGreaterThan(0.4);
    expect(ranked[0]!.reasons.length).toBeGreaterThan(0);
  });
  it('holds several at once, and what one explains speaks less for another', () => {
    const both: Evidence = { wet: true, sinks: true, curveAir: true, bubbles: true };
    expect(chanceOf(both, 'weep')).toBeGreaterThan(0.8);
    expect(chanceOf(both, 'air')).toBeGreaterThan(0.8);
    expect(chanceOf({ sinks: true, wet: true }, 'cup')).toBeLessThan(
      chanceOf({ sinks: true }, 'cup'),
    );
  });
  it('what nothing on its list explains may be something else', () => {
    const odd: Evidence = { fountain: true, boxMoves: true, noDrop: true, drumsLoose: true };
    expect(chanceOf(odd, 'other')).toBeGreaterThan(causeRow('other').often);
  });
  it('a circuit without drums, hoses, booster or modulator has none of their faults, and no check for them', () => {
    const { ranked, next } = findFault({ pumps: true }, BARE);
    const causes = ranked.map(({ cause }) => cause);
    expect(causes).not.toEqual(expect.arrayContaining(['drums']));
    expect(causes).not.toEqual(expect.arrayContaining(['booster']));
    expect(next!.symptom).not.toBe('drumsLoose');
  });
});

describe('vehicles that were not made from its tables', () => {
  const { plan, ...view } = viewPlan(demo('gannet'));
  const held = expectedPedal(plan.circuits[0]!, { ...view, plan })!;
  const built: Built = { to: builtTo(pedalOn(plan.circuits[0]!, plan), held), against: held };
  const report = reportOnFinder(cases(150, 800), [built], seeded(3));
  it('its chances are better than the rates alone (Brier 1950), and sound ones are seldom blamed', () => {
    expect(report.brier).toBeLessThan(0.7 * report.brierOfRates);
    expect(report.soundNamed).toBeLessThanOrEqual(0.1);
    expect(report.namedRight).toBeGreaterThanOrEqual(0.7);
  });
  it('of what it says with some chance, about that share is so', () => {
    for (const { from, to, claims, right } of report.claims) {
      // Twice the scatter of so many claims, over its own share.
      const scatter = 2 * Math.sqrt(0.25 / Math.max(1, claims));
      expect(right).toBeGreaterThanOrEqual(from - scatter);
      expect(right).toBeLessThanOrEqual(to + scatter);
    }
  });
});
