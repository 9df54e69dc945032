import { ATMOSPHERE_MPA } from '../../lib/units/index.ts';
import {
  AirSim,
  climbMmS,
  driftMmS,
  extremesOf,
  GLYCOL_FLUID,
  headMPa,
  pipeMl,
  pressedMl,
  simulateBleed,
  type AirNetwork,
  type AirPipe,
  type BleedRun,
} from './index.ts';
import { seeded } from '../../lib/random/index.ts';

/** A pipe of a volume in bore 4.928 (1/4 in tube), level unless heights are given. */
const BORE_MM = 4.928;
const MM_PER_ML = 1000 / ((Math.PI / 4) * BORE_MM ** 2);
const pipe = (
  id: string,
  from: string,
  to: string,
  ml: number,
  heights: readonly number[] = [0, 0],
  boreMm = BORE_MM,
): AirPipe => {
  const mm = (ml * 1000) / ((Math.PI / 4) * boreMm ** 2);
  return {
    id,
    from,
    to,
    boreMm,
    profile: heights.map((z, i) => [(i * mm) / (heights.length - 1), z] as const),
  };
};
const outlet = (more = {}) => ({
  at: 'm',
  heightMm: 0,
  strokeMl: 5,
  airMl: 0,
  reservoirMl: 1e6,
  ...more,
});
const one = (ml: number, heights?: readonly number[], more = {}): AirNetwork => ({
  pipes: [pipe('p', 'm', 'w', ml, heights)],
  bleeders: [{ id: 'W', at: 'w', cavityMl: 0, trapMl: 0, heightMm: 0 }],
  outlets: [outlet(more)],
});
const balance = (sim: AirSim): number => sim.airMl + sim.outMl + sim.ventedMl - sim.drawnMl;

describe('how fast air climbs', () => {
  // Bretherton 1961: it holds below 0.842, 3.1 mm (σ 0.030) to 3.4 mm (0.035) of DOT 4.
  const withTension = (tensionNM: number) => ({ ...GLYCOL_FLUID, tensionNM });
  it('holds in a bore under the threshold and climbs over it', () => {
    const threshold = (tensionNM: number): number =>
      2000 * Math.sqrt((0.842 * tensionNM) / (1060 * 9.81));
    expect(threshold(0.03)).toBeCloseTo(3.12, 1);
    expect(threshold(0.035)).toBeCloseTo(3.37, 1);
    for (const tension of [0.03, 0.035]) {
      expect(climbMmS(threshold(tension) * 0.999, withTension(tension))).toBe(0);
      expect(climbMmS(threshold(tension) * 1.2, withTension(tension))).toBeGreaterThan(0.3);
    }
  });
  it('creeps in 3/16 in tube: where it climbs at all, by hundredths of a mm/s (practice value)', () => {
    expect(climbMmS(3.34, withTension(0.03))).toBeGreaterThan(0.005);
    expect(climbMmS(3.34, withTension(0.03))).toBeLessThan(0.1);
    expect(climbMmS(3.34, withTension(0.035))).toBe(0);
  });
  // Viana et al. (2003), worked for these fluids elsewhere (practice values): 16.0, 38.3 and 74.5 mm/s; water in 25 mm 168.
  it('meets the published relation in water and in glycol fluid', () => {
    const glycol = { densityKgM3: 1060, tensionNM: 0.033, viscosityPaS: 0.012 };
    const water = { densityKgM3: 998, tensionNM: 0.0728, viscosityPaS: 0.001 };
    expect(climbMmS(25, water)).toBeCloseTo(168, 0);
    const speeds = [4.93, 6, 8].map((bore) => climbMmS(bore, glycol));
    expect(speeds).toEqual([16, 38.3, 74.5].map((mmS) => expect.closeTo(mmS, 1) as number));
    // A wide bore of thin fluid: their 0.34·√(g·d), beside 0.35 of Dumitrescu (1943).
    expect(climbMmS(60, water) / (1000 * Math.sqrt(9.81 * 0.06))).toBeCloseTo(0.34, 3);
  });
  it('is spread by what is not known of the fluid: 9 to 24 mm/s in 1/4 in, 29 to 46 in 6 mm, 2 to 9 in 4 (practice values)', () => {
    for (const [bore, least, most] of [
      [4.928, 8.5, 24],
      [6, 28, 46],
      [4, 0.9, 9],
    ] as const) {
      const [fast, slow] = extremesOf(GLYCOL_FLUID).map((fluid) => climbMmS(bore, fluid));
      expect([bore, slow! > least, fast! < most, fast! > 1.4 * slow!]).toEqual([
        bore,
        true,
        true,
        true,
      ]);
    }
  });
  it('has no step where one law takes over from the other, and grows with the bore', () => {
    const bores = Array.from({ length: 400 }, (_, i) => 3.2 + i * 0.01);
    const speeds = bores.map((bore) => climbMmS(bore, GLYCOL_FLUID));
    speeds.slice(1).forEach((speed, i) => {
      expect(speed).toBeGreaterThanOrEqual(speeds[i]!);
      expect(speed - speeds[i]!).toBeLessThan(0.6);
    });
  });
  it('goes with the slope, and sooner on a slope than upright (Zukoski 1966)', () => {
    const upright = driftMmS(BORE_MM, 1, 1, GLYCOL_FLUID);
    expect(driftMmS(BORE_MM, -1, 1, GLYCOL_FLUID)).toBe(-upright);
    expect(driftMmS(BORE_MM, Math.SQRT1_2, 1, GLYCOL_FLUID)).toBeGreaterThan(1.3 * upright);
    expect(driftMmS(BORE_MM, 0, 1, GLYCOL_FLUID)).toBe(0);
  });
  it('does not drain a nearly level small tube by itself, and drains a wide one (Zukoski 1966)', () => {
    const nearly = (bore: number): number => driftMmS(bore, 0.02, 1, GLYCOL_FLUID);
    // Eo 8.25 is 5.08 mm of glycol fluid: (8.25 · 0.0325 / (1060 · 9.81))^½.
    expect(nearly(BORE_MM)).toBeLessThan(1.5);
    expect(nearly(3.34)).toBeLessThan(0.01);
    expect(nearly(8)).toBeGreaterThan(20);
    // Thin fluid in a wide bore at 45°: about 0.6·√(g·d), level about 0.5 (his figures, from memory).
    const water = { densityKgM3: 998, tensionNM: 0.0728, viscosityPaS: 0.001 };
    const froude = (slope: number): number =>
      driftMmS(100, slope, 1e4, water) / (1000 * Math.sqrt(9.81 * 0.1));
    expect(froude(Math.SQRT1_2)).toBeCloseTo(0.6, 1);
    expect(froude(0.06)).toBeCloseTo(0.54, 1);
  });
  it('lets a small ball rise where one that fills the bore holds', () => {
    const ball = (Math.PI / 6) * 1e-3; // 1 mm, in mL
    expect(climbMmS(3, GLYCOL_FLUID)).toBe(0);
    // Schiller and Naumann by hand: Re 1.78 (1060·0.0269·0.001/0.016) gives 18·Re·(1 + 0.15·Re^0.687) = 39.2 against
    // g·d³ρ²/μ² = 43.1; Re 1.93 gives 43.0, so 29.2 mm/s; the wall at 1/3 leaves ((2/3)/(1 − 0.475/3))^4 = 0.393 of it.
    expect(driftMmS(3, 1, ball, GLYCOL_FLUID)).toBeCloseTo(29.2 * 0.393, 0);
    // Much smaller it is Stokes' ball: 1060·9.81·(5e-5)²/(18·0.016) = 0.0903 mm/s at 0.05 mm, the wall 0.991^4.
    expect(driftMmS(3, 1, ball / 8000, GLYCOL_FLUID)).toBeCloseTo(0.0903 * 0.991 ** 4, 3);
  });
  it('Boyle and a column of fluid by hand', () => {
    expect(pressedMl(10, ATMOSPHERE_MPA)).toBeCloseTo(5, 12);
    expect(pressedMl(1, 6.9)).toBeCloseTo(0.101325 / 7.001325, 12);
    // 2 psi is 13.79 kPa: 1.33 m of brake fluid (practice value).
    expect(headMPa(1326, GLYCOL_FLUID)).toBeCloseTo(2 * 0.006894757, 4);
  });
});

describe('air carried by strokes', () => {
  it('22 mL of pipe take five strokes of 5 mL before fluid comes', () => {
    const sim = new AirSim(one(22));
    const out = [1, 2, 3, 4, 5].map(() => sim.stroke('W'));
    expect(out.slice(0, 4).map(({ fluidMl }) => fluidMl)).toEqual(
      [0, 0, 0, 0].map(() => expect.closeTo(0, 9)),
    );
    expect(out[4]!.airMl).toBeCloseTo(2, 9);
    expect(sim.airMl).toBeCloseTo(0, 9);
  });
  it('a line of twice the volume takes the strokes worked by hand', () => {
    // 20 mL at 5 mL a stroke: four of air, then two clear: 6. 40 mL: eight and two: 10.
    const strokes = (ml: number): number =>
      simulateBleed(one(ml), { order: ['W'], way: 'two-people' }).corners[0]!.strokes;
    expect([strokes(20), strokes(40)]).toEqual([6, 10]);
  });
  it('a cavity under a bleeder that is not on top keeps what lies over it', () => {
    const network = {
      ...one(10),
      bleeders: [{ id: 'W', at: 'w', cavityMl: 20, trapMl: 3, heightMm: 0 }],
    };
    const { leftMl, left, corners } = simulateBleed(network, { order: ['W'], way: 'two-people' });
    expect(leftMl).toBeCloseTo(3, 9);
    expect(left).toEqual([{ at: 'w', ml: expect.closeTo(3, 9) as number }]);
    expect(corners[0]!.airMl).toBeCloseTo(27, 9);
  });
  it('a master that is not bench-bled sends its air first; one that runs dry sends more', () => {
    const sim = new AirSim(one(10, [0, 0], { airMl: 8, reservoirMl: 12 }));
    for (let i = 0; i < 2; i++) sim.stroke('W');
    expect(sim.stroke('W').airMl).toBeCloseTo(5, 9); // the last of its own 8 mL still stands in the line
    expect(sim.masters[0]!.airMl).toBeCloseTo(3, 9); // 15 drawn of 12
    expect(sim.drawnMl).toBeCloseTo(3, 9);
    expect(balance(sim)).toBeCloseTo(18, 9);
  });
  it('brings a slug back on the return stroke, unless the bleeder is shut or lets nothing back', () => {
    const back = (how: 'shut' | 'under-fluid', keeps = false): number => {
      const network = one(30);
      const sim = new AirSim(
        { ...network, pipes: network.pipes.map((p) => ({ ...p, keeps })) },
        GLYCOL_FLUID,
        false,
      );
      sim.put(0, 10, 1);
      sim.stroke('W', { back: how });
      return sim.slugsOf(0)[0]!.from * 30;
    };
    expect(back('shut')).toBeCloseTo(15, 9);
    expect(back('under-fluid', true)).toBeCloseTo(15, 9);
    expect(back('under-fluid')).toBeLessThan(14);
  });
});

describe('air that climbs against the flow', () => {
  // Up 400 mm and down again over 30 mL.
  const hump = one(30, [0, 400, 0]);
  const leftIn = (mlPerS: number): number => {
    const sim = new AirSim(hump, GLYCOL_FLUID, false);
    sim.put(0, 14, 0.5);
    for (let i = 0; i < 30; i++) sim.stroke('W', { seconds: 5 / mlPerS });
    return sim.airMl;
  };
  it('a leg down in which fluid is slower than air climbs keeps the air', () => {
    // The climb on this slope is some tens of mm/s, 0.019 mL a mm: 0.2 mL/s goes 10 mm/s and keeps it, 5 mL/s goes 262 and sweeps it.
    expect(leftIn(0.2)).toBeCloseTo(0.5, 9);
    expect(leftIn(5)).toBeCloseTo(0, 9);
  });
  it('rests at the top of a hump, whichever side it began', () => {
    for (const at of [3, 25]) {
      const sim = new AirSim(hump, GLYCOL_FLUID, false);
      sim.put(0, at, 0.5);
      sim.rest(120);
      const [{ from, to }] = sim.slugsOf(0) as [{ from: number; to: number }];
      expect((from + to) / 2).toBeCloseTo(0.5, 1);
    }
  });
  it('goes up out of the system where the line rises to its reservoir', () => {
    const sim = new AirSim(one(10, [500, 0], { heightMm: 500 }), GLYCOL_FLUID, false);
    sim.put(0, 5, 0.5);
    sim.rest(600);
    expect([sim.airMl, sim.ventedMl]).toEqual([expect.closeTo(0, 9), expect.closeTo(0.5, 9)]);
  });
});

/** A trunk, a near bleeder on a branch and a far one: heights say what hangs where. */
const forked = (
  near: readonly number[],
  far: readonly number[],
  trunk: readonly number[],
): AirNetwork => ({
  pipes: [
    pipe('trunk', 'm', 'tee', 40, trunk),
    pipe('near', 'tee', 'n', 10, near),
    pipe('far', 'tee', 'f', 60, far),
  ],
  bleeders: [
    { id: 'N', at: 'n', cavityMl: 8, trapMl: 0, heightMm: near.at(-1)! },
    { id: 'F', at: 'f', cavityMl: 8, trapMl: 0, heightMm: far.at(-1)! },
  ],
  outlets: [outlet({ heightMm: trunk[0] })],
});
const left = (
  network: AirNetwork,
  order: readonly string[],
  more: Partial<BleedRun> = {},
): number => simulateBleed(network, { order, way: 'two-people', ...more }).leftMl;

describe('the schools', () => {
  it('furthest first leaves the least air on the common layout', () => {
    // The master on the bulkhead, its lines down to the frame, the far branch falling away aft: its air climbs into what is bled already.
    const common = forked([200, 450], [200, 150, 100], [800, 200]);
    expect(left(common, ['F', 'N'])).toBeLessThanOrEqual(left(common, ['N', 'F']) + 1e-9);
    expect(left(common, ['N', 'F'])).toBeGreaterThan(left(common, ['F', 'N']) + 0.1);
  });
  it('and does not where the near branch hangs and the far one rises', () => {
    // In 4 mm bore the near branch's air creeps up while the hose is moved over, into the far one that is bled already.
    const made = forked([600, 200], [600, 700, 900], [500, 600]);
    const hanging = {
      ...made,
      pipes: [made.pipes[0]!, pipe('near', 'tee', 'n', 10, [600, 200], 4), made.pipes[2]!],
    };
    expect(left(hanging, ['F', 'N'])).toBeGreaterThan(left(hanging, ['N', 'F']) + 0.1);
  });
  it('a pressure pot cannot pass a metering valve whose pin is not held', () => {
    const network = one(10);
    const valved = { ...network, pipes: network.pipes.map((p) => ({ ...p, holdsMPa: 0.5 })) };
    const run = (pinHeld: boolean) =>
      simulateBleed(valved, { order: ['W'], way: 'pressure', pinHeld }).corners[0]!;
    expect(run(false)).toMatchObject({ strokes: 0, clear: false });
    expect(run(true)).toMatchObject({ clear: true });
  });
  it('gravity asks for height: a bleeder over its reservoir runs nothing', () => {
    expect(
      simulateBleed(one(10, [300, 0], { heightMm: 300 }), { order: ['W'], way: 'gravity' })
        .corners[0]!.strokes,
    ).toBeGreaterThan(0);
    const above = {
      ...one(10, [0, 300]),
      bleeders: [{ id: 'W', at: 'w', cavityMl: 0, trapMl: 0, heightMm: 300 }],
    };
    expect(simulateBleed(above, { order: ['W'], way: 'gravity' }).corners[0]).toMatchObject({
      strokes: 0,
      clear: false,
    });
  });
});

describe('air is neither made nor lost', () => {
  it('over random networks, methods and acts, to 1e-9', () => {
    const random = seeded(7);
    const between = (a: number, b: number): number => a + (b - a) * random();
    for (let k = 0; k < 15; k++) {
      const heights = (): number[] =>
        Array.from({ length: 2 + Math.floor(between(0, 5)) }, () => between(0, 900));
      const bore = (): number => [3.34, 4.0, 4.928, 6.2][Math.floor(between(0, 4))]!;
      const network: AirNetwork = {
        pipes: [
          pipe('a', 'm', 't', between(2, 60), heights(), bore()),
          pipe('b', 't', 'x', between(2, 60), heights(), bore()),
          pipe('c', 'u', 't', between(2, 60), heights(), bore()),
          pipe('d', 'u', 'y', between(0.5, 20), heights(), bore()),
          pipe('e', 'z', 'u', between(0.5, 20), heights(), bore()),
        ],
        bleeders: ['x', 'y', 'z'].map((at) => ({
          id: at,
          at,
          cavityMl: between(0, 25),
          trapMl: between(0, 2),
          heightMm: between(0, 900),
        })),
        outlets: [
          outlet({
            airMl: between(0, 20),
            reservoirMl: between(20, 400),
            heightMm: between(0, 900),
          }),
        ],
      };
      const sim = new AirSim(network);
      const first = sim.airMl;
      for (let i = 0; i < 40; i++) {
        const at = ['x', 'y', 'z'][Math.floor(between(0, 3))]!;
        const act = between(0, 6);
        if (act < 3)
          sim.stroke(at, {
            seconds: between(0.5, 4),
            share: between(0.3, 1),
            back: (['shut', 'under-fluid', 'in-air'] as const)[Math.floor(between(0, 3))]!,
          });
        else if (act < 4) sim.rest(between(1, 90));
        else if (act < 4.6) sim.press(at, 0.12, between(1, 12));
        else if (act < 5.3) sim.draw(at, 0.06, between(1, 12));
        else sim.backFill(at, between(1, 12));
        expect(sim.airMl).toBeGreaterThanOrEqual(-1e-9);
      }
      expect(Math.abs(balance(sim) - first)).toBeLessThan(1e-9 * Math.max(1, first));
    }
  });
  it('large steps come to what steps of a hundredth of a second come to', () => {
    const network = forked([200, 450], [200, 150, 100], [800, 200]);
    const run: BleedRun = { order: ['F', 'N'], way: 'two-people' };
    const [quick, slow] = [
      simulateBleed(network, run),
      simulateBleed(network, run, GLYCOL_FLUID, 0.01),
    ];
    expect(quick.corners.map(({ strokes }) => strokes)).toEqual(
      slow.corners.map(({ strokes }) => strokes),
    );
    expect(quick.leftMl).toBeCloseTo(slow.leftMl, 1);
    expect(pipeMl(network.pipes[0]!)).toBeCloseTo(40, 9);
    expect(MM_PER_ML).toBeCloseTo(52.4, 1);
  });
});
