import { IRON, warmThrough, type Slab, type Spell } from './index.ts';

const still: Spell = {
  seconds: 1800,
  stepS: 5,
  fromW: 0,
  toW: 0,
  coolsWm2K: 8,
  pressed: false,
  kmh: 0,
};
/** A stop of 4 s with a megawatt a square meter at its start, nothing to the air. */
const stop: Spell = { ...still, seconds: 4, stepS: 0.01, fromW: 1e6, coolsWm2K: 0, pressed: true };
const thick: Slab = { faceM2: 1, depthM: 0.03, coolsAtFace: true };
const highest = (slab: Slab, spells: readonly Spell[] = [stop]) =>
  warmThrough(slab, 'disc', 20, spells).reduce((a, b) => (b.faceC > a.faceC ? b : a));
const { wMK, kgM3, jKgK } = IRON;

describe('heat through a disc', () => {
  test('of a thick one the face rises as in a half-space: 0.532·q0·√ts/√(kρc), at half the stop', () => {
    // Carslaw and Jaeger, Conduction of Heat in Solids: flux that falls steadily to nothing (from memory).
    const rise = (0.532 * 1e6 * Math.sqrt(4)) / Math.sqrt(wMK * kgM3 * jKgK);
    const most = highest(thick);
    expect(Math.abs(most.faceC - 20 - rise) / rise).toBeLessThan(0.03);
    expect(most.minutes * 60).toBeCloseTo(2, 0);
  });
  test('of one 12 mm thick it rises by about a quarter more', () => {
    // Carslaw and Jaeger, slab of 6 mm with its far side insulated: 24 % more in 4 s.
    const thin = highest({ ...thick, depthM: 0.006 });
    expect((thin.faceC - 20) / (highest(thick).faceC - 20)).toBeGreaterThan(1.15);
    expect((thin.faceC - 20) / (highest(thick).faceC - 20)).toBeLessThan(1.35);
  });
  test('what goes in is what is in there: energy over heat capacity', () => {
    const end = warmThrough({ ...thick, depthM: 0.02 }, 'disc', 20, [stop]).at(-1)!;
    // Half of 1 MW · 4 s, in 0.02 m³ of iron; radiation takes under a hundredth.
    const rise = 2e6 / (0.02 * kgM3 * jKgK);
    expect(Math.abs(end.meanC - 20 - rise) / rise).toBeLessThan(0.01);
  });
  test('the face is hotter than the whole while it is rubbed, and the same when it has stood', () => {
    const slab = { ...thick, depthM: 0.01 };
    const during = highest(slab);
    // A slab that takes a steady flux is q·L/3k hotter at its face than in its mean: half a megawatt, 10 mm, 35 K.
    expect(Math.abs(during.faceC - during.meanC - 35)).toBeLessThan(15);
    const after = warmThrough(slab, 'disc', 20, [stop, { ...still, seconds: 60 }]).at(-1)!;
    expect(after.faceC).toBeCloseTo(after.meanC, 0);
  });
  test('the fluid goes on warming once the vehicle stands, and a drum’s warms less', () => {
    const slab: Slab = { faceM2: 0.07, depthM: 0.012, coolsAtFace: true };
    const hill: Spell = { ...still, seconds: 700, stepS: 2, fromW: 2500, toW: 2500, pressed: true };
    const along = warmThrough(slab, 'disc', 20, [{ ...hill, kmh: 30, coolsWm2K: 35 }, still]);
    const peak = along.reduce((a, b) => (b.fluidC > a.fluidC ? b : a));
    expect(peak.fluidC).toBeGreaterThan(60);
    expect(peak.fluidC).toBeLessThan(Math.max(...along.map(({ faceC }) => faceC)));
    const drum = warmThrough(slab, 'drum', 20, [{ ...hill, kmh: 30, coolsWm2K: 35 }, still]);
    expect(Math.max(...drum.map(({ fluidC }) => fluidC))).toBeLessThan(peak.fluidC);
    // In the end all of it cools.
    const day = warmThrough(slab, 'disc', 20, [hill, { ...still, seconds: 40_000, stepS: 20 }]);
    expect(day.at(-1)!.fluidC).toBeLessThan(25);
    // A short hard stop leaves the pads hot and the fluid cold: it comes later.
    const hard = warmThrough(slab, 'disc', 20, [{ ...stop, fromW: 2e5 }, still]);
    const latest = hard.reduce((a, b) => (b.fluidC > a.fluidC ? b : a));
    expect(latest.minutes).toBeGreaterThan(0.5);
  });
});
