import { demo } from '../../testing/demo-plans.ts';
import { loadsN, braking } from '../../physics/hydraulics/balance.ts';
import { viewPlan } from '../../plan/results/index.ts';
import type { Plan, StopTest } from '../../plan/index.ts';
import { balanceFound, balanceWords, changeWords, expectedStopM } from './index.ts';

const G = 9.80665;
const gannet = demo('gannet');
const withValve = (kneeMPa: number): Plan => ({
  ...gannet,
  sizing: { ...gannet.sizing!, rearValve: { kneeMPa, slope: 0.34 }, kneePerTurnMPa: 0.3 },
});
const stop = (patch: Partial<StopTest> = {}): StopTest => ({
  id: 's',
  at: '2026-03-02T09:00:00Z',
  when: 'after',
  fromKmh: 50,
  distanceM: 16,
  locked: 'none',
  valveTurns: null,
  ...patch,
});

describe('the balance that a locked axle shows', () => {
  const view = viewPlan(withValve(2));
  const { input } = view.size!.empty;
  /** What a vehicle like the plan's does: pressed until its front needs all the grip there is. */
  const locks = (grip: number) => {
    let push = 1;
    while (braking(input, push).adhesion.front! < grip) push *= 1.0005;
    return braking(input, push);
  };
  it('is the calculated one where the vehicle is the calculated one', () => {
    const { z, forceN } = locks(0.7);
    const found = balanceFound(stop({ locked: 'front', lockedAtMs2: z * G, grip: 0.7 }), view)!;
    const share = forceN.front / (forceN.front + forceN.rear);
    expect(found.frontShare).toBeCloseTo(share, 2);
    expect(found.calculated).toBeCloseTo(share, 2);
  });
  it('by hand: the locked axle makes its load times the grip, the other the rest', () => {
    const z = 0.6;
    const load = loadsN(input.vehicle, z);
    const found = balanceFound(stop({ locked: 'front', lockedAtMs2: z * G, grip: 0.7 }), view)!;
    expect(found.frontShare).toBeCloseTo((0.7 * load.front) / (z * (load.front + load.rear)), 6);
    const rear = balanceFound(stop({ locked: 'rear', lockedAtMs2: z * G, grip: 0.7 }), view)!;
    expect(rear.frontShare).toBeCloseTo(1 - (0.7 * load.rear) / (z * (load.front + load.rear)), 6);
    // A grip that nobody gave is known half as well.
    const unsaid = balanceFound(stop({ locked: 'front', lockedAtMs2: z * G }), view)!;
    expect(unsaid.sigma).toBeGreaterThan(found.sigma);
  });
  it('never asks for a knee over the one that Size allows', () => {
    const allowed = view.size!.kneeFor(0.34)!;
    for (const at of [0.45, 0.55, 0.65]) {
      const found = balanceFound(stop({ locked: 'front', lockedAtMs2: at * G, grip: 0.7 }), view)!;
      if (found.kneeMPa !== null) expect(found.kneeMPa).toBeLessThanOrEqual(allowed);
    }
    // A rear stronger than calculated must have a lower one.
    const strong = balanceFound(stop({ locked: 'rear', lockedAtMs2: 0.55 * G, grip: 0.7 }), view)!;
    expect(strong.frontShare).toBeLessThan(strong.calculated);
    expect(strong.kneeMPa ?? 0).toBeLessThan(allowed);
  });
  it('says nothing of a stop in which none locked, and that the grip cannot be so where it cannot', () => {
    expect(balanceWords(stop(), view)).toBe('');
    expect(balanceWords(stop({ locked: 'front' }), view)).toBe('');
    expect(balanceWords(stop({ locked: 'front', lockedAtMs2: 0.3 * G, grip: 1 }), view)).toMatch(
      /^No balance gives this/,
    );
    expect(balanceWords(stop({ locked: 'front', lockedAtMs2: 0.62 * G, grip: 0.7 }), view)).toMatch(
      /^The front locked at 0\.62 g on a road of grip 0\.70: the front makes \d+ % ± \d+ % of the braking, and Size calculates \d+ %\./,
    );
  });
});

describe('a change between two stops', () => {
  const view = viewPlan(withValve(1.5));
  const before = stop({ valveTurns: 3, distanceM: 16.4 });
  it('of the valve: what Size expected of it, and what came', () => {
    const wider = viewPlan(withValve(1.8));
    const expected = expectedStopM(stop(), wider)! - expectedStopM(stop(), view)!;
    const said = changeWords(before, stop({ valveTurns: 4, distanceM: 16 }), wider);
    expect(said).toMatch(/^Valve 1 turn in\. Expected [−+]\d\.\d m, came −0\.4 m\.$/);
    expect(Number(/([−+]\d\.\d) m, came/.exec(said)![1]!.replace('−', '-'))).toBeCloseTo(
      expected,
      1,
    );
  });
  it('of something else, of two things at once, and of stops that cannot be compared', () => {
    expect(changeWords(undefined, before, view)).toBe('');
    expect(changeWords(before, before, view)).toBe('');
    const pads = stop({ valveTurns: 3, changed: 'front pads', distanceM: 15.4 });
    expect(changeWords(before, pads, view)).toBe('Changed: front pads. Distance −1 m.');
    expect(changeWords(before, { ...pads, valveTurns: 4 }, view)).toMatch(/Change one thing/);
    for (const other of [{ fromKmh: 60 }, { laden: true }, { when: 'before' as const }])
      expect(changeWords(before, { ...pads, ...other }, view)).toMatch(/Repeat it to compare/);
  });
  it('the distance that is expected is that of the load it was made with', () => {
    expect(expectedStopM(stop({ laden: true }), view)).not.toBe(expectedStopM(stop(), view));
  });
});
