import { climbMmS, driftMmS, GLYCOL_FLUID, headMPa, pressedMl, type AirFluid } from './drift.ts';
import { lengthMm, pipeMl, touchingOf, wayTo, type AirNetwork, type AirPipe, type Leg, type Way } from './network.ts';

/** Air in a pipe: where it begins, mL of pipe from its `from`, and how much it is at rest. */
export interface Slug {
  at: number;
  ml: number;
}
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
const TOUCH_ML = 1e-9;
/** Bubbles nearer to one another than this run together, mm. */
const JOIN_MM = 30;

/** Resistance of so much of a bore full of fluid, MPa for each mL/s. Source: Hagen and Poiseuille. */
const resistance = (boreMm: number, mm: number, { viscosityPaS }: AirFluid): number =>
  (128 * viscosityPaS * mm * 1e-3 * 1e-12) / (Math.PI * (boreMm * 1e-3) ** 4);

interface Pipe {
  readonly pipe: AirPipe;
  readonly ml: number;
  /** mL in each mm. */
  readonly mlPerMm: number;
  readonly climb: number;
  slugs: Slug[];
}

/**
 * Air and fluid in a plan's pipes while it is bled: slugs go with the flow and climb against it, part where
 * pipes part, gather in the cavities under bleeders and leave by the one that is open. Air is counted as it is
 * at rest and is neither made nor lost: what is in it, less what came in, and what went out stay the same sum.
 */
export class AirSim {
  readonly #pipes: Pipe[];
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
    const climbs = new Map<number, number>();
    this.#pipes = network.pipes.map((pipe) => {
      const ml = pipeMl(pipe);
      if (!climbs.has(pipe.boreMm)) climbs.set(pipe.boreMm, climbMmS(pipe.boreMm, fluid));
      return {
        pipe,
        ml,
        mlPerMm: Math.max(1e-9, ml / Math.max(lengthMm(pipe), 1e-9)),
        climb: climbs.get(pipe.boreMm)!,
        slugs: dry && ml > 0 ? [{ at: 0, ml }] : [],
      };
    });
    this.#touching = touchingOf(network);
    for (const { at, cavityMl } of network.bleeders) this.#cavity.set(at, Math.max(this.#cavity.get(at) ?? 0, cavityMl));
    for (const [at, ml] of this.#cavity) this.#held.set(at, dry ? ml : 0);
    this.masters = network.outlets.map(({ airMl, reservoirMl }) => ({ airMl: dry ? airMl : 0, reservoirMl }));
  }

  /** Air in it, mL at rest. */
  get airMl(): number {
    const pipes = this.#pipes.reduce((sum, { slugs }) => slugs.reduce((s, { ml }) => s + ml, sum), 0);
    const held = [...this.#held.values()].reduce((sum, ml) => sum + ml, 0);
    return pipes + held + this.masters.reduce((sum, { airMl }) => sum + airMl, 0);
  }
  /** Air by pipe and by place, where there is any worth a word. */
  where(leastMl = 0.01): { readonly pipeId?: string; readonly at?: string; readonly ml: number }[] {
    const pipes = this.#pipes.map(({ pipe, slugs }) => ({ pipeId: pipe.id, ml: slugs.reduce((sum, { ml }) => sum + ml, 0) }));
    const places = [...this.#held].map(([at, ml]) => ({ at, ml }));
    const masters = this.masters.map(({ airMl }, i) => ({ at: this.network.outlets[i]!.at, ml: airMl }));
    return [...pipes, ...places, ...masters].filter(({ ml }) => ml > leastMl).sort((a, b) => b.ml - a.ml);
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
    this.#settle(pipe, 1);
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
      const { pipe: of, ml, slugs } = this.#pipes[pipe]!;
      const air = slugs.reduce((s, slug) => s + slug.ml, 0);
      return sum + resistance(of.boreMm, lengthMm(of) * (ml > 0 ? Math.max(0, 1 - air / ml) : 0), this.fluid);
    }, own);
  }
  /** Pressure that the height of the outlet over the bleeder gives, MPa. */
  headOf(bleederId: string): number {
    const bleeder = this.network.bleeders.find(({ id }) => id === bleederId)!;
    return headMPa(this.network.outlets[this.wayOf(bleederId).outlet]!.heightMm - bleeder.heightMm, this.fluid);
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
        : Math.min(ml, seconds * Math.max(0, (LIP_MPA - this.headOf(bleederId)) / this.resistanceOf(bleederId)));
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
    const holds = pinHeld ? 0 : Math.max(0, ...way.legs.map(({ pipe }) => this.#pipes[pipe]!.pipe.holdsMPa ?? 0));
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
      if (at !== own && held > 0 && (this.#touching.get(at) ?? []).some((pipe) => this.#reaches(pipe, on))) {
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
      const out = Math.min(flow.mlPerS * dt, Math.max(0, held - Math.min(trapMl, this.#cavity.get(at)!)));
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

  /** How long a step may be: no air goes further than a grain where it climbs to some purpose. */
  #pace(flow: Flow | null): number {
    if (this.fixedS) return this.fixedS;
    const on = new Set(flow?.legs.map(({ pipe }) => pipe));
    let most = Infinity;
    for (const [i, pipe] of this.#pipes.entries())
      for (const slug of pipe.slugs) {
        const climb = Math.abs(this.#climbOf(pipe, slug));
        if (climb < STILL_MM_S || slug.ml >= pipe.ml - TOUCH_ML) continue;
        const flowing = on.has(i) ? flow!.mlPerS / pipe.mlPerMm : 0;
        if (climb > SLIGHT * flowing) most = Math.min(most, GRAIN_MM / Math.max(climb, flowing));
      }
    return most;
  }
  /** How fast air climbs towards a pipe's `to`, mm/s, by the mean slope under it. */
  #climbOf({ pipe, climb, mlPerMm }: Pipe, { at, ml }: Slug): number {
    const [from, to] = [at / mlPerMm, (at + ml) / mlPerMm];
    const middle = (from + to) / 2;
    const half = Math.max((to - from) / 2, pipe.boreMm / 2);
    const [a, b] = [Math.max(0, middle - half), Math.min(lengthMm(pipe), middle + half)];
    return b - a < 1e-9 ? 0 : driftMmS(pipe.boreMm, (heightAt(pipe, b) - heightAt(pipe, a)) / (b - a), ml, this.fluid, climb);
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
    for (const i of this.#pipes.keys()) if (!on.has(i) && this.#climb(i, dt)) moved = true;
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
      const climb = dir * this.#climbOf(pipe, slug) * pipe.mlPerMm;
      const to = along + (flow.mlPerS + climb) * dt;
      // What climbs back against the flow goes up out of the leg where that leads up.
      const taken = to < 0 && k > 0 ? this.#accept(dir === 1 ? pipe.pipe.from : pipe.pipe.to, Math.min(-to, slug.ml), i) : 0;
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
      if (rest > 0) pipe.slugs.push({ at: flow.legs[k - 1]!.dir === 1 ? pipe.ml - rest : 0, ml: rest });
      return;
    }
    if (to > pipe.ml) this.#deliver(flow, k + 1, Math.max(0, from - pipe.ml), to - pipe.ml);
    const b = Math.min(to, pipe.ml);
    if (b > from) pipe.slugs.push({ at: leg.dir === 1 ? from : pipe.ml - b, ml: b - from });
  }
  /** Sets what lies over one another on a way side by side: on along the flow, and back where its end takes no more. */
  #settleWay(flow: Flow): void {
    for (const [k, { pipe, dir }] of flow.legs.entries()) {
      const over = this.#settle(pipe, dir);
      if (over > 0) this.#deliver(flow, k + 1, 0, over);
    }
    for (let k = flow.legs.length - 1; k >= 0; k--) {
      const { pipe: i, dir } = flow.legs[k]!;
      const over = this.#settle(i, dir === 1 ? -1 : 1);
      if (over <= 0) continue;
      const before = flow.legs[k - 1];
      if (!before) flow.giveBack(over);
      else this.#pipes[before.pipe]!.slugs.push({ at: before.dir === 1 ? this.#pipes[before.pipe]!.ml - over : 0, ml: over });
    }
  }
  /** Sets slugs that lie over one another side by side, on along a direction; takes away what goes over that end, and says how much. */
  #settle(i: number, dir: 1 | -1): number {
    const pipe = this.#pipes[i]!;
    const [only] = pipe.slugs;
    if (!only || (pipe.slugs.length === 1 && only.at >= 0 && only.at + only.ml <= pipe.ml)) return 0;
    const turn = ({ at, ml }: Slug): Slug => ({ at: dir === 1 ? at : pipe.ml - at - ml, ml });
    const settled = gathered(pipe.slugs.map(turn).sort((a, b) => a.at - b.at), JOIN_MM * pipe.mlPerMm); // prettier-ignore
    const last = settled.at(-1)!;
    if (last.at < 0) last.at = 0;
    const over = Math.min(last.ml, Math.max(0, last.at + last.ml - pipe.ml));
    last.ml -= over;
    if (last.ml <= 0) settled.pop();
    pipe.slugs = settled.map(turn).sort((a, b) => a.at - b.at);
    return over;
  }

  /** Air of a pipe in which nothing flows climbs, as far as there is fluid to change places with. */
  #climb(i: number, dt: number): boolean {
    const pipe = this.#pipes[i]!;
    let moved = false;
    const speeds = pipe.slugs.map((slug) => this.#climbOf(pipe, slug) * pipe.mlPerMm * dt);
    for (const dir of [1, -1] as const) {
      const order = [...pipe.slugs.keys()].filter((k) => speeds[k]! * dir > 0);
      if (dir === 1) order.reverse();
      for (const k of order) {
        const slug = pipe.slugs[k]!;
        const beside = pipe.slugs[k + dir];
        const room =
          dir === 1 ? (beside ? beside.at : pipe.ml) - slug.at - slug.ml : slug.at - (beside ? beside.at + beside.ml : 0);
        const go = Math.abs(speeds[k]!);
        slug.at += dir * Math.min(go, Math.max(0, room));
        if (Math.min(go, room) > TOUCH_ML) moved = true;
        if (beside || go <= room) continue;
        const taken = this.#accept(dir === 1 ? pipe.pipe.to : pipe.pipe.from, Math.min(go - Math.max(0, room), slug.ml), i);
        slug.ml -= taken;
        // What has gone up is followed by the rest.
        if (dir === 1) slug.at += taken;
        if (taken > TOUCH_ML) moved = true;
      }
    }
    if (moved) pipe.slugs = gathered(pipe.slugs, JOIN_MM * pipe.mlPerMm);
    return moved;
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
    let best: { i: number; dir: 1 | -1; speed: number; room: number } | null = null;
    for (const i of this.#touching.get(at) ?? []) {
      if (i === from) continue;
      const pipe = this.#pipes[i]!;
      const dir = pipe.pipe.from === at ? 1 : -1;
      const mouth: Slug = { at: dir === 1 ? 0 : Math.max(0, pipe.ml - ml), ml: Math.min(ml, pipe.ml) };
      const speed = dir * this.#climbOf(pipe, mouth);
      const room =
        dir === 1
          ? (pipe.slugs[0]?.at ?? pipe.ml)
          : pipe.ml - (pipe.slugs.length ? pipe.slugs.at(-1)!.at + pipe.slugs.at(-1)!.ml : 0);
      if (speed > STILL_MM_S && room > TOUCH_ML && (!best || speed > best.speed)) best = { i, dir, speed, room };
    }
    if (!best) return 0;
    const pipe = this.#pipes[best.i]!;
    const taken = Math.min(ml, best.room);
    // Next to what stands there already, so that nothing goes over the end.
    pipe.slugs.push({ at: best.dir === 1 ? 0 : pipe.ml - taken, ml: taken });
    pipe.slugs = gathered(pipe.slugs.sort((a, b) => a.at - b.at), JOIN_MM * pipe.mlPerMm); // prettier-ignore
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

/** Slugs in their order, those that touch or nearly do as one where their middle is. */
function gathered(slugs: readonly Slug[], nearMl: number): Slug[] {
  const made: Slug[] = [];
  for (const { at, ml } of slugs) {
    if (ml <= 0) continue;
    const last = made.at(-1);
    const gap = last ? at - last.at - last.ml : Infinity;
    if (!last || gap > nearMl) {
      made.push({ at, ml });
      continue;
    }
    // Each keeps its share of the gap; what lay over the other is pushed on.
    if (gap > 0) last.at += (gap * ml) / (last.ml + ml);
    last.ml += ml;
  }
  return made;
}
/** A way passed the other way round. */
const turned = (legs: readonly Leg[]): Leg[] => legs.toReversed().map(({ pipe, dir }) => ({ pipe, dir: dir === 1 ? -1 : 1 }));

/** Height of a pipe at so many mm from its `from`. */
function heightAt({ profile }: AirPipe, mm: number): number {
  const at = mm + profile[0]![0];
  let k = 1;
  while (k < profile.length - 1 && profile[k]![0] < at) k++;
  const [[a, low], [b, high]] = [profile[k - 1]!, profile[k]!];
  return b - a < 1e-9 ? low : low + ((high - low) * (at - a)) / (b - a);
}
