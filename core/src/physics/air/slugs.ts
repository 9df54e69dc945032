import { climbOf, driftMmS, type AirFluid, type Climb } from './drift.ts';
import { lengthMm, pipeMl, type AirPipe } from './network.ts';

/** Air in a pipe: where it begins, mL of pipe from its `from`, and how much it is at rest. */
export interface Slug {
  at: number;
  ml: number;
}
/** Bubbles nearer to one another than this run together, mm. */
const JOIN_MM = 30;
/** Less than this is no air and no room, mL. */
export const TOUCH_ML = 1e-9;

/** A pipe with the air in it, in its order from `from`. */
export class SlugPipe {
  readonly ml: number;
  /** mL in each mm. */
  readonly mlPerMm: number;
  readonly #lengthMm: number;
  readonly #climb: Climb;
  slugs: Slug[];

  constructor(
    readonly pipe: AirPipe,
    readonly fluid: AirFluid,
    dry: boolean,
  ) {
    this.ml = pipeMl(pipe);
    this.#lengthMm = lengthMm(pipe);
    this.mlPerMm = Math.max(1e-9, this.ml / Math.max(this.#lengthMm, 1e-9));
    this.#climb = climbOf(pipe.boreMm, fluid);
    this.slugs = dry && this.ml > 0 ? [{ at: 0, ml: this.ml }] : [];
  }
  get airMl(): number {
    return this.slugs.reduce((sum, { ml }) => sum + ml, 0);
  }
  /** Its length that is full of fluid, mm. */
  get wetMm(): number {
    return this.#lengthMm * (this.ml > 0 ? Math.max(0, 1 - this.airMl / this.ml) : 0);
  }
  /** Whether air fills it from end to end: none of it can go anywhere. */
  isFull({ ml }: Slug): boolean {
    return ml >= this.ml - TOUCH_ML;
  }
  /** How fast air climbs towards its `to`, mm/s, by the mean slope under it. */
  climbMmS({ at, ml }: Slug): number {
    const { boreMm } = this.pipe;
    const [from, to] = [at / this.mlPerMm, (at + ml) / this.mlPerMm];
    const middle = (from + to) / 2;
    const half = Math.max((to - from) / 2, boreMm / 2);
    const [a, b] = [Math.max(0, middle - half), Math.min(this.#lengthMm, middle + half)];
    if (b - a < 1e-9) return 0;
    const slope = (heightAt(this.pipe, b) - heightAt(this.pipe, a)) / (b - a);
    return driftMmS(boreMm, slope, ml, this.fluid, this.#climb);
  }
  /** Puts air at one of its ends: at `from` on the way with it, at `to` on the way against it. */
  putIn(dir: 1 | -1, ml: number): void {
    this.slugs.push({ at: dir === 1 ? 0 : this.ml - ml, ml });
  }
  /** Fluid before the first air from one of its ends, mL. */
  roomIn(dir: 1 | -1): number {
    if (dir === 1) return this.slugs[0]?.at ?? this.ml;
    const last = this.slugs.at(-1);
    return this.ml - (last ? last.at + last.ml : 0);
  }
  /** In order, with what touches or nearly does as one. */
  gather(): void {
    this.slugs = gathered(
      this.slugs.sort((a, b) => a.at - b.at),
      JOIN_MM * this.mlPerMm,
    );
  }
  /** Sets slugs that lie over one another side by side, on along a direction; takes away what goes over that end, and says how much. */
  settle(dir: 1 | -1): number {
    const [only] = this.slugs;
    if (!only || (this.slugs.length === 1 && only.at >= 0 && only.at + only.ml <= this.ml))
      return 0;
    const turn = ({ at, ml }: Slug): Slug => ({ at: dir === 1 ? at : this.ml - at - ml, ml });
    const settled = gathered(
      this.slugs.map(turn).sort((a, b) => a.at - b.at),
      JOIN_MM * this.mlPerMm,
    );
    const last = settled.at(-1);
    if (!last) {
      this.slugs = [];
      return 0;
    }
    if (last.at < 0) last.at = 0;
    const over = Math.min(last.ml, Math.max(0, last.at + last.ml - this.ml));
    last.ml -= over;
    if (last.ml <= 0) settled.pop();
    this.slugs = settled.map(turn).sort((a, b) => a.at - b.at);
    return over;
  }
  /**
   * Where nothing flows its air climbs, as far as there is fluid to change places with. `accept` says how much of what
   * stands at an end goes on up from it. Says whether any air moved.
   */
  climb(dt: number, accept: (place: string, ml: number) => number): boolean {
    let moved = false;
    const speeds = this.slugs.map((slug) => this.climbMmS(slug) * this.mlPerMm * dt);
    for (const dir of [1, -1] as const) {
      const order = [...this.slugs.keys()].filter((k) => speeds[k]! * dir > 0);
      if (dir === 1) order.reverse();
      for (const k of order) {
        const slug = this.slugs[k]!;
        const beside = this.slugs[k + dir];
        const room =
          dir === 1
            ? (beside ? beside.at : this.ml) - slug.at - slug.ml
            : slug.at - (beside ? beside.at + beside.ml : 0);
        const go = Math.abs(speeds[k]!);
        slug.at += dir * Math.min(go, Math.max(0, room));
        if (Math.min(go, room) > TOUCH_ML) moved = true;
        if (beside || go <= room) continue;
        const taken = accept(
          dir === 1 ? this.pipe.to : this.pipe.from,
          Math.min(go - Math.max(0, room), slug.ml),
        );
        slug.ml -= taken;
        // What has gone up is followed by the rest.
        if (dir === 1) slug.at += taken;
        if (taken > TOUCH_ML) moved = true;
      }
    }
    if (moved) this.gather();
    return moved;
  }
}

/** Less air than this is none, mL: shares of it are lost in rounding. */
const LEAST_ML = 1e-12;

/** Slugs in their order, those that touch or nearly do as one where their middle is. */
function gathered(slugs: readonly Slug[], nearMl: number): Slug[] {
  const made: Slug[] = [];
  for (const { at, ml } of slugs) {
    if (ml < LEAST_ML) continue;
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
/** Height of a pipe at so many mm from its `from`. */
function heightAt({ profile }: AirPipe, mm: number): number {
  const at = mm + profile[0]![0];
  let k = 1;
  while (k < profile.length - 1 && profile[k]![0] < at) k++;
  const [[a, low], [b, high]] = [profile[k - 1]!, profile[k]!];
  return b - a < 1e-9 ? low : low + ((high - low) * (at - a)) / (b - a);
}
