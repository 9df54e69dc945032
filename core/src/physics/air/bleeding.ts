import { GLYCOL_FLUID, type AirFluid } from './drift.ts';
import { pipeMl, type AirNetwork } from './network.ts';
import { AirSim, type CameOut } from './sim.ts';

/** How fluid is moved. */
export const WAYS_TO_BLEED = [
  'two-people',
  'one-way',
  'vacuum',
  'pressure',
  'gravity',
  'back-fill',
] as const;
export type WayToBleed = (typeof WAYS_TO_BLEED)[number];
/** Pressures of pot and pump, MPa. Common practice: 15 to 20 psi for a pot. */
export const POT_MPA = 0.12;
export const VACUUM_MPA = 0.06;

export interface BleedRun {
  /** Bleeders in their turn; one that stands twice is bled twice. */
  readonly order: readonly string[];
  readonly way: WayToBleed;
  /** Share of the stroke that is used: half of it on a used master. */
  readonly share?: number;
  /** A metering valve's pin is held. */
  readonly pinHeld?: boolean;
  readonly strokeS?: number;
  /** Between two strokes, s: shut, up, open again. */
  readonly pauseS?: number;
  /** Between two corners, s: hose over, wrench on. */
  readonly betweenS?: number;
}
export interface BledCorner {
  readonly id: string;
  /** Strokes, or portions of 5 mL where nobody strokes. */
  readonly strokes: number;
  readonly ml: number;
  readonly airMl: number;
  readonly seconds: number;
  /** It ran clear, and did not stop for want of flow or patience. */
  readonly clear: boolean;
}
export interface Bled {
  readonly corners: readonly BledCorner[];
  readonly leftMl: number;
  readonly left: ReturnType<AirSim['where']>;
  readonly seconds: number;
}
/** So little air is not seen in the hose, mL. Common practice. */
export const SEEN_ML = 0.02;
/** Clear so many times running is clear. Common practice. */
const CLEAR_TIMES = 2;
/** Fluid that goes by itself is looked at in portions of so much, mL. */
export const PORTION_ML = 5;
/** After the last corner, s: what is left gathers. */
const AFTER_S = 60;

/** One go at a bleeder: a stroke, or a portion that goes by itself. */
export function goOnce(
  sim: AirSim,
  id: string,
  { way, share = 1, pinHeld = true, strokeS = 1 }: Omit<BleedRun, 'order'>,
): CameOut {
  switch (way) {
    case 'two-people':
    case 'one-way':
      return sim.stroke(id, { seconds: strokeS, share });
    case 'pressure':
      return sim.press(id, POT_MPA, PORTION_ML, pinHeld);
    case 'vacuum':
      return sim.draw(id, VACUUM_MPA, PORTION_ML);
    case 'gravity':
      return sim.press(id, 0, PORTION_ML);
    case 'back-fill':
      return sim.backFill(id, PORTION_ML);
  }
}

/**
 * A bleed of every corner in its turn, each until it has run clear twice: strokes, fluid, and the air that is
 * left and where. Plug flow: froth and what clings to cavities are not in it, so that it says the least it takes.
 */
export function simulateBleed(
  network: AirNetwork,
  run: BleedRun,
  fluid: AirFluid = GLYCOL_FLUID,
  fixedS = 0,
): Bled {
  const sim = new AirSim(network, fluid, true, fixedS);
  const { order, pauseS = 2, betweenS = 60 } = run;
  const corners = order.map((id, i): BledCorner => {
    if (i) sim.rest(betweenS);
    const way = sim.wayOf(id);
    const wayMl = way.legs.reduce(
      (sum, { pipe }) => sum + pipeMl(network.pipes[pipe]!),
      network.bleeders.find((b) => b.id === id)!.cavityMl,
    );
    // Three times what is on its way, and ten goes over: whoever sees no end by then looks for the cause.
    const most =
      10 +
      Math.ceil(
        (3 * wayMl) /
          Math.min(PORTION_ML, network.outlets[way.outlet]!.strokeMl * (run.share ?? 1)),
      );
    let [strokes, ml, airMl, seconds, clear] = [0, 0, 0, 0, 0];
    while (clear < CLEAR_TIMES && strokes < most) {
      const out = goOnce(sim, id, run);
      if (out.airMl + out.fluidMl <= 0) break;
      strokes++;
      ml += out.fluidMl;
      airMl += out.airMl;
      seconds += out.seconds + pauseS;
      clear = out.airMl < SEEN_ML ? clear + 1 : 0;
      if (run.way !== 'pressure' && run.way !== 'gravity') sim.rest(pauseS);
    }
    return { id, strokes, ml, airMl, seconds, clear: clear >= CLEAR_TIMES };
  });
  sim.rest(AFTER_S);
  return {
    corners,
    leftMl: sim.airMl,
    left: sim.where(),
    seconds: corners.reduce((sum, c) => sum + c.seconds, 0) + betweenS * (order.length - 1),
  };
}
