import { AirSim, simulateBleed, type AirNetwork, type CameOut } from '../../physics/air/index.ts';

/** An invented vehicle to learn bleeding on: one circuit, a trunk aft with branches, seen from above. */
export interface DrillVehicle {
  readonly network: AirNetwork;
  readonly names: Readonly<Record<string, string>>;
  /** Where each place lies in a picture of 320 by 340. */
  readonly at: Readonly<Record<string, readonly [number, number]>>;
}
export const DRILL_ACTS = ['stroke', 'stroke-open', 'gravity', 'wait', 'top-up'] as const;
export type DrillAct = (typeof DRILL_ACTS)[number];
const RESERVOIR_ML = 90;
const CORNERS = ['FL', 'FR', 'RL', 'RR'] as const;
const FAULT_NAMES: Record<string, string> = {
  FL: 'Front left',
  FR: 'Front right',
  RL: 'Rear left',
  RR: 'Rear right',
};

/** A vehicle out of random numbers in [0, 1): lengths, bores and heights differ, and with them what order serves. */
export function drillVehicle(random: () => number): DrillVehicle {
  const between = (a: number, b: number): number => a + (b - a) * random();
  const bore = random() < 0.5 ? 4.928 : 4.5;
  const [masterZ, frameZ] = [between(600, 850), between(250, 450)];
  const caliperZ = (): number => between(300, 520);
  const z: Record<string, number> = {
    m: masterZ,
    f: frameZ,
    r: frameZ + between(-60, 60),
    FL: caliperZ(),
    FR: caliperZ(),
    RL: caliperZ(),
    RR: caliperZ(),
  };
  const pipe = (id: string, from: string, to: string, mm: number, over = 0) => ({
    id,
    from,
    to,
    boreMm: id === 'trunk' || id === 'down' ? bore : 3.34,
    profile: [
      [0, z[from]!],
      [mm / 2, Math.max((z[from]! + z[to]!) / 2, over)],
      [mm, z[to]!],
    ] as [number, number][],
  });
  return {
    network: {
      pipes: [
        pipe('down', 'm', 'f', between(700, 1100)),
        pipe(
          'trunk',
          'f',
          'r',
          between(2200, 3400),
          random() < 0.5 ? frameZ + between(60, 200) : 0,
        ),
        pipe('fl', 'f', 'FL', between(400, 700)),
        pipe('fr', 'f', 'FR', between(900, 1500)),
        pipe('rl', 'r', 'RL', between(400, 700)),
        pipe('rr', 'r', 'RR', between(900, 1400)),
      ],
      bleeders: CORNERS.map((id) => ({
        id,
        at: id,
        cavityMl: id.startsWith('F') ? 18 : 8,
        trapMl: 0,
        heightMm: z[id]!,
      })),
      outlets: [
        { at: 'm', heightMm: masterZ + 60, strokeMl: 6, airMl: 0, reservoirMl: RESERVOIR_ML },
      ],
    },
    names: FAULT_NAMES,
    at: {
      m: [110, 60],
      f: [150, 95],
      r: [170, 270],
      FL: [40, 95],
      FR: [280, 95],
      RL: [40, 285],
      RR: [280, 285],
    },
  };
}

/** What a learner did so far, and what came of it. */
export interface DrillScore {
  readonly leftMl: number;
  readonly spentMl: number;
  readonly strokes: number;
  /** What the same vehicle takes furthest first, two people, shut before each return: air left and fluid spent. */
  readonly best: { readonly leftMl: number; readonly spentMl: number; readonly strokes: number };
  readonly ranDry: boolean;
  readonly words: string;
}
export class BleedDrill {
  readonly sim: AirSim;
  readonly firstMl: number;
  #spentMl = 0;
  #strokes = 0;
  #at: string | null = null;
  constructor(readonly vehicle: DrillVehicle) {
    this.sim = new AirSim(vehicle.network);
    this.firstMl = this.sim.airMl;
  }
  get reservoirMl(): number {
    return this.sim.masters[0]!.reservoirMl;
  }
  get spentMl(): number {
    return this.#spentMl;
  }
  get strokes(): number {
    return this.#strokes;
  }
  /** One act at a bleeder; says what came out. Going to another takes a minute. */
  act(act: DrillAct, bleeder: string): CameOut {
    if (act === 'top-up') {
      this.sim.masters[0]!.reservoirMl = RESERVOIR_ML;
      return { airMl: 0, fluidMl: 0, seconds: 0 };
    }
    if (act === 'wait') {
      this.sim.rest(60);
      return { airMl: 0, fluidMl: 0, seconds: 60 };
    }
    if (this.#at !== null && this.#at !== bleeder) this.sim.rest(60);
    this.#at = bleeder;
    let out: CameOut;
    if (act === 'gravity') {
      out = this.sim.press(bleeder, 0, 6);
      const master = this.sim.masters[0]!;
      const drawn = out.airMl + out.fluidMl;
      const short = Math.max(0, drawn - master.reservoirMl);
      master.reservoirMl -= drawn - short;
      master.airMl += short;
      this.sim.drawnMl += short;
    } else {
      out = this.sim.stroke(bleeder, { back: act === 'stroke-open' ? 'under-fluid' : 'shut' });
      this.#strokes++;
      this.sim.rest(2);
    }
    this.#spentMl += out.fluidMl;
    return out;
  }
  /** How it was done: by what stays behind and what was spent, beside the usual way on the same vehicle. */
  score(): DrillScore {
    const network = {
      ...this.vehicle.network,
      outlets: this.vehicle.network.outlets.map((outlet) => ({ ...outlet, reservoirMl: 1e9 })),
    };
    const usual = simulateBleed(network, { order: ['RR', 'RL', 'FR', 'FL'], way: 'two-people' });
    const best = {
      leftMl: usual.leftMl,
      spentMl: usual.corners.reduce((sum, { ml }) => sum + ml, 0),
      strokes: usual.corners.reduce((sum, { strokes }) => sum + strokes, 0),
    };
    const [leftMl, ranDry] = [this.sim.airMl, this.sim.drawnMl > 1e-9];
    const words = ranDry
      ? 'The reservoir ran dry. Air entered at the top, so you started over.'
      : leftMl > best.leftMl + 0.5
        ? 'Air is left. See where, and bleed that wheel again.'
        : this.#spentMl > 2 * best.spentMl
          ? 'As clear as the usual method, with twice the fluid.'
          : 'As clear as the usual method.';
    return { leftMl, spentMl: this.#spentMl, strokes: this.#strokes, best, ranDry, words };
  }
}
