import { GLYCOL_FLUID, headMPa, pressedMl, type AirFluid } from './drift.ts';
import { touchingOf, wayTo, type AirNetwork, type Leg, type Way } from './network.ts';
import { SlugPipe, TOUCH_ML, type Slug } from './slugs.ts';

/** What came out of a bleeder. */
export interface CameOut {
  readonly airMl: number;
  readonly fluidMl: number;
  readonly seconds: number;
}
/** What a return stroke draws through a bleeder that is left open. */
export type LeftOpen = 'shut' | 'under-fluid' | 'in-air';

/** Nothing further than this is carried in one step where air climbs as it goes, mm. */
const GRAIN_MM = 20;
/** Slower than this nothing is said to climb, mm/s. */
const STILL_MM_S = 0.05;
/** A climb under this share of the flow does not bend its way within a stroke. */
const SLIGHT = 0.02;
/** The lip of a master's cup lets fluid past it from this pressure, MPa. Common practice. */
const LIP_MPA = 0.02;
/** A bleeder's own bore and length, mm: it is never wholly free. Common practice. */
const BLEEDER = { boreMm: 2, lengthMm: 10 };
/** No hose passes more, mL/s. */
const MOST_ML_S = 20;

/** Resistance of so much of a bore full of fluid, MPa for each mL/s. Source: Hagen and Poiseuille. */
const resistance = (boreMm: number, mm: number, { viscosityPaS }: AirFluid): number =>
  (128 * viscosityPaS * mm * 1e-3 * 1e-12) / (Math.PI * (boreMm * 1e-3) ** 4);

/**
 * Air and fluid in a plan's pipes while it is bled: slugs go with the flow and climb against it, part where
 * pipes part, gather in the cavities under bleeders and leave by the one that is open. Air is counted as it is
 * at rest and is neither made nor lost: what is in it, less what came in, and what went out stay the same sum.
 */
export class AirSim {
  readonly #pipes: readonly SlugPipe[];
  readonly #touching: ReadonlyMap<string, readonly number[]>;
  readonly #ways = new Map<string, Way>();
  readonly #cavity = new Map<string, number>();
  /** Air under bleeders, by place; in masters, by outlet. */
  readonly #held = new Map<string, number>();
  readonly masters: { airMl: number; reservoirMl: number }[];
  outMl = 0;
  ventedMl = 0;
  drawnMl = 0;

  constructor(
    readonly network: AirNetwork,
    readonly fluid: AirFluid = GLYCOL_FLUID,
    /** Whether there is nothing but air in it yet. */
    dry = true,
    /** Steps of so many seconds whatever happens, as a check; 0: as long as the work allows. */
    private readonly fixedS = 0,
  ) {
    this.#pipes = network.pipes.map((pipe) => new SlugPipe(pipe, fluid, dry));
    this.#touching = touchingOf(network);
    for (const { at, cavityMl } of network.bleeders)
      this.#cavity.set(at, Math.max(this.#cavity.get(at) ?? 0, cavityMl));
    for (const [at, ml] of this.#cavity) this.#held.set(at, dry ? ml : 0);
    this.masters = network.outlets.map(({ airMl, reservoirMl }) => ({
      airMl: dry ? airMl : 0,
      reservoirMl,
    }));
  }

  /** Air in it, mL at rest. */
  get airMl(): number {
    const pipes = this.#pipes.reduce((sum, { airMl }) => sum + airMl, 0);
    const held = [...this.#held.values()].reduce((sum, ml) => sum + ml, 0);
    return pipes + held + this.masters.reduce((sum, { airMl }) => sum + airMl, 0);
  }
  /** Air per pipe and position, above the display threshold. */
  where(leastMl = 0.01): { readonly pipeId?: string; readonly at?: string; readonly ml: number }[] {
    const pipes = this.#pipes.map(({ pipe, airMl }) => ({ pipeId: pipe.id, ml: airMl }));
    const places = [...this.#held].map(([at, ml]) => ({ at, ml }));
    const masters = this.masters.map(({ airMl }, i) => ({
      at: this.network.outlets[i]!.at,
      ml: airMl,
    }));
    return [...pipes, ...places, ...masters]
      .filter(({ ml }) => ml > leastMl)
      .sort((a, b) => b.ml - a.ml);
  }
  /** Where air stands in each pipe, from 0 at its `from` to 1. */
  slugsOf(pipe: number): { readonly from: number; readonly to: number }[] {
    const { slugs, ml } = this.#pipes[pipe]!;
    return slugs.map((slug) => ({ from: slug.at / ml, to: (slug.at + slug.ml) / ml }));
  }
  heldAt(at: string): number {
    return this.#held.get(at) ?? 0;
  }
  /** Puts air somewhere, as a user knows of it. */
  put(pipe: number, at: number, ml: number): void {
    this.#pipes[pipe]!.slugs.push({ at, ml });
    this.#pipes[pipe]!.settle(1);
  }
  wayOf(bleederId: string): Way {
    let way = this.#ways.get(bleederId);
    if (!way) this.#ways.set(bleederId, (way = wayTo(this.network, bleederId, this.#touching)));
    return way;
  }

  /** What a way holds back, MPa for each mL/s: only what is full of fluid counts. */
  resistanceOf(bleederId: string): number {
    const own = resistance(BLEEDER.boreMm, BLEEDER.lengthMm, this.fluid);
    return this.wayOf(bleederId).legs.reduce((sum, { pipe }) => {
      const { pipe: of, wetMm } = this.#pipes[pipe]!;
      return sum + resistance(of.boreMm, wetMm, this.fluid);
    }, own);
  }
  /** Pressure that the height of the outlet over the bleeder gives, MPa. */
  headOf(bleederId: string): number {
    const bleeder = this.network.bleeders.find(({ id }) => id === bleederId)!;
    return headMPa(
      this.network.outlets[this.wayOf(bleederId).outlet]!.heightMm - bleeder.heightMm,
      this.fluid,
    );
  }

  /** The pedal goes down once with a bleeder open, and comes up with it shut, or open under fluid or in air. */
  stroke(bleederId: string, { seconds = 1, share = 1, back = 'shut' as LeftOpen } = {}): CameOut {
    const way = this.wayOf(bleederId);
    const master = this.masters[way.outlet]!;
    const ml = this.network.outlets[way.outlet]!.strokeMl * share;
    const out = this.#out(bleederId, way, ml, seconds);
    const keeps = way.legs.some(({ pipe }) => this.#pipes[pipe]!.pipe.keeps);
    // What the spring draws in comes past the lip of the cup, unless the line gives way sooner.
    const backMl =
      back === 'shut' || keeps
        ? 0
        : Math.min(
            ml,
            seconds *
              Math.max(0, (LIP_MPA - this.headOf(bleederId)) / this.resistanceOf(bleederId)),
          );
    if (backMl > 0) this.#back(bleederId, way, backMl, seconds, back === 'in-air');
    const wanted = ml - backMl;
    const short = Math.max(0, wanted - master.reservoirMl);
    master.reservoirMl -= wanted - short;
    master.airMl += short;
    this.drawnMl += short;
    return out;
  }
  /** Fluid goes by itself under a pressure on the reservoir, or its own height, until so much has come or nothing moves. */
  press(bleederId: string, gaugeMPa: number, ml: number, pinHeld = true): CameOut {
    const way = this.wayOf(bleederId);
    const holds = pinHeld
      ? 0
      : Math.max(0, ...way.legs.map(({ pipe }) => this.#pipes[pipe]!.pipe.holdsMPa ?? 0));
    const driveMPa = gaugeMPa + this.headOf(bleederId);
    let [airMl, fluidMl, seconds] = [0, 0, 0];
    if (driveMPa <= Math.max(holds, 1e-6)) return { airMl, fluidMl, seconds };
    for (let left = ml; left > TOUCH_ML;) {
      const rate = Math.min(MOST_ML_S, driveMPa / this.resistanceOf(bleederId));
      const portion = Math.min(left, 5);
      const out = this.#out(bleederId, way, portion, portion / rate);
      [airMl, fluidMl, seconds] = [airMl + out.airMl, fluidMl + out.fluidMl, seconds + out.seconds];
      left -= portion;
    }
    return { airMl, fluidMl, seconds };
  }
  /** Drawn by a pump at the bleeder: what hangs off the way swells and gives part of its air to it. */
  draw(bleederId: string, vacuumMPa: number, ml: number): CameOut {
    const way = this.wayOf(bleederId);
    const on = new Set(way.legs.map(({ pipe }) => pipe));
    const own = this.network.bleeders.find(({ id }) => id === bleederId)!.at;
    let swelled = 0;
    const share = 1 - pressedMl(1, 0) / pressedMl(1, -vacuumMPa);
    // Half of the vacuum is left half way along: that much reaches what hangs off it.
    for (const [i, pipe] of this.#pipes.entries())
      if (!on.has(i) && this.#reaches(i, on))
        for (const slug of pipe.slugs) {
          const part = (slug.ml * share) / 2;
          slug.ml -= part;
          swelled += part;
        }
    for (const [at, held] of this.#held)
      if (
        at !== own &&
        held > 0 &&
        (this.#touching.get(at) ?? []).some((pipe) => this.#reaches(pipe, on))
      ) {
        const part = (held * share) / 2;
        this.#held.set(at, held - part);
        swelled += part;
      }
    this.outMl += swelled;
    const out = this.press(bleederId, vacuumMPa, ml);
    return { ...out, airMl: out.airMl + swelled };
  }
  /** Fluid pushed in at a bleeder from below: it drives the air before it up to the reservoir. */
  backFill(bleederId: string, ml: number, seconds = 2): CameOut {
    const way = this.wayOf(bleederId);
    const { at } = this.network.bleeders.find(({ id }) => id === bleederId)!;
    const was = this.ventedMl;
    // Air of the cavity goes ahead of what is pushed in.
    this.#flow(
      {
        legs: turned(way.legs),
        mlPerS: ml / seconds,
        source: (wanted) => {
          const air = Math.min(this.#held.get(at)!, wanted);
          this.#held.set(at, this.#held.get(at)! - air);
          return air;
        },
        sink: (air) => {
          this.ventedMl += air;
          return air;
        },
        stepMl: 0,
        giveBack: (air) => this.#held.set(at, this.#held.get(at)! + air),
      },
      seconds,
    );
    const airMl = this.ventedMl - was;
    return { airMl, fluidMl: ml - airMl, seconds };
  }
  /** Nothing flows; air climbs. */
  rest(seconds: number): void {
    for (let left = seconds; left > 1e-9;) {
      const dt = Math.min(left, this.#pace(null));
      if (!this.#step(dt, null)) return;
      left -= dt;
    }
  }

  /** Whether a pipe is joined to the way by pipes that are not on it. */
  #reaches(start: number, on: ReadonlySet<number>): boolean {
    const seen = new Set([start]);
    const queue = [start];
    for (let pipe = queue.pop(); pipe !== undefined; pipe = queue.pop()) {
      const { from, to } = this.#pipes[pipe]!.pipe;
      for (const next of [from, to].flatMap((end) => this.#touching.get(end) ?? [])) {
        if (on.has(next)) return true;
        if (!seen.has(next)) queue.push(next);
        seen.add(next);
      }
    }
    return false;
  }

  #out(bleederId: string, way: Way, ml: number, seconds: number): CameOut {
    const { at, trapMl } = this.network.bleeders.find(({ id }) => id === bleederId)!;
    const master = this.masters[way.outlet]!;
    let airMl = 0;
    const flow: Flow = {
      legs: way.legs,
      mlPerS: ml / seconds,
      // Air in the chamber lies on top, at the outlet.
      source: (wanted) => {
        const air = Math.min(master.airMl, wanted);
        master.airMl -= air;
        return air;
      },
      // Air that climbs faster than the flow needs fluid to change places with.
      sink: (air, stepMl) => {
        const held = this.#held.get(at)!;
        const taken = Math.min(air, Math.max(0, this.#cavity.get(at)! + stepMl - held));
        this.#held.set(at, held + taken);
        return taken;
      },
      stepMl: 0,
      giveBack: (air) => (master.airMl += air),
    };
    this.#flow(flow, seconds, (dt) => {
      const held = this.#held.get(at)!;
      const out = Math.min(
        flow.mlPerS * dt,
        Math.max(0, held - Math.min(trapMl, this.#cavity.get(at)!)),
      );
      this.#held.set(at, held - out);
      this.outMl += out;
      airMl += out;
    });
    return { airMl, fluidMl: ml - airMl, seconds };
  }
  #back(bleederId: string, way: Way, ml: number, seconds: number, inAir: boolean): void {
    const { at } = this.network.bleeders.find(({ id }) => id === bleederId)!;
    const master = this.masters[way.outlet]!;
    const cavity = this.#cavity.get(at)!;
    const flow: Flow = {
      legs: turned(way.legs),
      mlPerS: ml / seconds,
      source: (wanted) => {
        const held = this.#held.get(at)!;
        const air = Math.max(0, wanted - Math.max(0, cavity - held));
        const drawn = inAir ? wanted : 0;
        this.drawnMl += drawn + Math.max(0, air - held - drawn);
        this.#held.set(at, Math.max(0, held + drawn - air));
        return air;
      },
      sink: (air) => {
        master.airMl += air;
        return air;
      },
      stepMl: 0,
      giveBack: (air) => this.#held.set(at, this.#held.get(at)! + air),
    };
    this.#flow(flow, seconds);
  }
  #flow(flow: Flow, seconds: number, after: (dt: number) => void = () => undefined): void {
    for (let left = seconds; left > 1e-9;) {
      const dt = Math.min(left, this.#pace(flow));
      this.#step(dt, flow);
      after(dt);
      left -= dt;
    }
  }

  /** Step limit: air rising faster than the threshold moves at most one grain (20 mm). */
  #pace(flow: Flow | null): number {
    if (this.fixedS) return this.fixedS;
    const on = new Set(flow?.legs.map(({ pipe }) => pipe));
    let most = Infinity;
    for (const [i, pipe] of this.#pipes.entries())
      for (const slug of pipe.slugs) {
        const climb = Math.abs(pipe.climbMmS(slug));
        if (climb < STILL_MM_S || pipe.isFull(slug)) continue;
        const flowing = on.has(i) ? flow!.mlPerS / pipe.mlPerMm : 0;
        if (climb > SLIGHT * flowing) most = Math.min(most, GRAIN_MM / Math.max(climb, flowing));
      }
    return most;
  }
  /** One step; says whether any air moved. */
  #step(dt: number, flow: Flow | null): boolean {
    let moved = false;
    const on = new Set<number>();
    if (flow) {
      flow.stepMl = flow.mlPerS * dt;
      // From the far end back, so that what comes after finds room.
      for (let k = flow.legs.length - 1; k >= 0; k--) {
        on.add(flow.legs[k]!.pipe);
        this.#carry(flow, k, dt);
      }
      const air = flow.source(flow.stepMl);
      if (air > 0) this.#deliver(flow, 0, flow.stepMl - air, flow.stepMl);
      this.#settleWay(flow);
      moved = true;
    }
    for (const [i, pipe] of this.#pipes.entries())
      if (!on.has(i) && pipe.climb(dt, (at, ml) => this.#accept(at, ml, i))) moved = true;
    return moved;
  }
  /** Carries the air of one leg along the flow, past its end into the next. */
  #carry(flow: Flow, k: number, dt: number): void {
    const { pipe: i, dir } = flow.legs[k]!;
    const pipe = this.#pipes[i]!;
    const slugs = pipe.slugs;
    if (!slugs.length) return;
    pipe.slugs = [];
    for (const slug of slugs) {
      const along = dir === 1 ? slug.at : pipe.ml - slug.at - slug.ml;
      const climb = dir * pipe.climbMmS(slug) * pipe.mlPerMm;
      const to = along + (flow.mlPerS + climb) * dt;
      // What climbs back against the flow goes up out of the leg where that leads up.
      const taken =
        to < 0 && k > 0
          ? this.#accept(dir === 1 ? pipe.pipe.from : pipe.pipe.to, Math.min(-to, slug.ml), i)
          : 0;
      this.#deliver(flow, k, Math.max(0, to), Math.max(0, to) + slug.ml - taken);
    }
  }
  /** Puts air into a leg, measured along the flow; what lies past its end into the next. */
  #deliver(flow: Flow, k: number, from: number, to: number): void {
    if (to - from <= 0) return;
    const leg = flow.legs[k];
    const pipe = this.#pipes[(leg ?? flow.legs[k - 1]!).pipe]!;
    if (!leg) {
      // The end of the way: what finds no room there stays before it.
      const rest = to - from - flow.sink(to - from, flow.stepMl);
      if (rest > 0) pipe.putIn(opposite(flow.legs[k - 1]!.dir), rest);
      return;
    }
    if (to > pipe.ml) this.#deliver(flow, k + 1, Math.max(0, from - pipe.ml), to - pipe.ml);
    const b = Math.min(to, pipe.ml);
    if (b > from) pipe.slugs.push({ at: leg.dir === 1 ? from : pipe.ml - b, ml: b - from });
  }
  /** Sets what lies over one another on a way side by side: on along the flow, and back where its end takes no more. */
  #settleWay(flow: Flow): void {
    for (const [k, { pipe, dir }] of flow.legs.entries()) {
      const over = this.#pipes[pipe]!.settle(dir);
      if (over > 0) this.#deliver(flow, k + 1, 0, over);
    }
    for (let k = flow.legs.length - 1; k >= 0; k--) {
      const { pipe: i, dir } = flow.legs[k]!;
      const over = this.#pipes[i]!.settle(opposite(dir));
      if (over <= 0) continue;
      const before = flow.legs[k - 1];
      if (!before) flow.giveBack(over);
      else this.#pipes[before.pipe]!.putIn(opposite(before.dir), over);
    }
  }
  /** How much of the air that stands at a place goes on up from it: into a cavity, a pipe that rises, out at the reservoir. */
  #accept(at: string, ml: number, from: number): number {
    if (this.network.outlets.some((outlet) => outlet.at === at)) {
      this.ventedMl += ml;
      return ml;
    }
    const cavity = this.#cavity.get(at);
    if (cavity !== undefined) {
      const held = this.#held.get(at)!;
      const taken = Math.min(ml, Math.max(0, cavity - held));
      this.#held.set(at, held + taken);
      return taken;
    }
    let best: { pipe: SlugPipe; dir: 1 | -1; speed: number; room: number } | null = null;
    for (const i of this.#touching.get(at) ?? []) {
      if (i === from) continue;
      const pipe = this.#pipes[i]!;
      const dir = pipe.pipe.from === at ? 1 : -1;
      const mouth: Slug = {
        at: dir === 1 ? 0 : Math.max(0, pipe.ml - ml),
        ml: Math.min(ml, pipe.ml),
      };
      const speed = dir * pipe.climbMmS(mouth);
      const room = pipe.roomIn(dir);
      if (speed > STILL_MM_S && room > TOUCH_ML && (!best || speed > best.speed))
        best = { pipe, dir, speed, room };
    }
    if (!best) return 0;
    const taken = Math.min(ml, best.room);
    // Next to what stands there already, so that nothing goes over the end.
    best.pipe.putIn(best.dir, taken);
    best.pipe.gather();
    return taken;
  }
}

interface Flow {
  readonly legs: readonly Leg[];
  readonly mlPerS: number;
  /** How much of what goes in is air; it goes ahead of the fluid. */
  readonly source: (ml: number) => number;
  /** How much air finds room where the flow ends, with so much going out in the same step. */
  readonly sink: (airMl: number, stepMl: number) => number;
  stepMl: number;
  /** What found no room on the way after all. */
  readonly giveBack: (airMl: number) => void;
}

const opposite = (dir: 1 | -1): 1 | -1 => (dir === 1 ? -1 : 1);
/** A way passed the other way round. */
const turned = (legs: readonly Leg[]): Leg[] =>
  legs.toReversed().map(({ pipe, dir }) => ({ pipe, dir: opposite(dir) }));
