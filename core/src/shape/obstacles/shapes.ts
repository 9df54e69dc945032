import type { Vec3 } from '../../lib/vec/index.ts';

export const SECTIONS = ['box', 'channel', 'round'] as const;
export type Section = (typeof SECTIONS)[number];

/** What a thing on the vehicle is made of, all in the vehicle's frame, mm. */
export type Shape =
  /** A rail, member or axle beam along its stations; the path runs through the middle of its section. */
  | {
      readonly kind: 'bar';
      readonly section: Section;
      readonly pathMm: readonly Vec3[];
      /** Across the path and level; for a round bar its diameter. */
      readonly widthMm: number;
      /** Across the path and upright; for a round bar left as the diameter. */
      readonly heightMm: number;
      readonly wallMm: number;
      /** Of a channel: the side its open face looks to. */
      readonly opens: 'left' | 'right';
    }
  | { readonly kind: 'block'; readonly minMm: Vec3; readonly maxMm: Vec3 }
  | { readonly kind: 'pipe'; readonly pathMm: readonly Vec3[]; readonly diameterMm: number }
  | {
      readonly kind: 'wheel';
      readonly centreMm: Vec3;
      readonly axis: Vec3;
      readonly radiusMm: number;
      readonly widthMm: number;
    }
  /** An imported mesh, kept as a file by its digest: its own points times `scale`, then moved. */
  | { readonly kind: 'mesh'; readonly digest: string; readonly scale: number; readonly atMm: Vec3 };
export type ShapeKind = Shape['kind'];

/** How a thing moves: up and down and rolling with an axle, turning with the steering. */
export interface Travel {
  readonly heaveMm: readonly [number, number];
  /** To either side. */
  readonly rollDeg: number;
  /** To either side, about an upright line. */
  readonly lockDeg: number;
  /** What it rolls and turns about. */
  readonly aboutMm: Vec3;
}

export const NATURES = ['solid', 'hot', 'moving', 'sharp', 'reserved'] as const;
/** What a thing is to a line that comes near it. */
export type Nature = (typeof NATURES)[number];

/**
 * How far a line keeps from a surface by its temperature, mm. Ours, said to be a judgement: 100 to 400 °C, 150 to
 * 650 °C, 200 above; the part makers' sheets come first.
 */
const heatKeepMm = (surfaceC: number): number =>
  surfaceC <= 400 ? 100 : surfaceC <= 650 ? 150 : 200;
/** How far a line keeps from a thing, surface to surface: as it is set down, and never nearer than its heat allows. */
export const keptFrom = ({
  nature,
  keepMm,
  surfaceC,
}: Pick<Thing, 'nature' | 'keepMm' | 'surfaceC'>): number =>
  nature === 'hot' && surfaceC !== null ? Math.max(keepMm, heatKeepMm(surfaceC)) : keepMm;

export const THING_KINDS = [
  'rail',
  'member',
  'axle',
  'wheel',
  'engine',
  'gearbox',
  'exhaust',
  'prop-shaft',
  'steering',
  'tank',
  'floor',
  'body',
  'zone',
  'mesh',
] as const;
export type ThingKind = (typeof THING_KINDS)[number];

export interface Thing {
  readonly id: string;
  readonly name: string;
  readonly kind: ThingKind;
  readonly shape: Shape;
  readonly nature: Nature;
  /** How far a line should keep from it, surface to surface. */
  readonly keepMm: number;
  /** A line may be clipped to it. */
  readonly holds: boolean;
  /** Of something hot; null where it is not known or not hot. */
  readonly surfaceC: number | null;
  readonly travel: Travel | null;
  /** The part whose body this is: it goes along with it. */
  readonly partId?: string | null;
  /** Holes that lines pass through. */
  readonly holes?: readonly Hole[];
}

export const LININGS = ['none', 'grommet', 'bulkhead'] as const;
/** A hole in a panel, and what lines its edge. */
export interface Hole {
  readonly atMm: Vec3;
  readonly diameterMm: number;
  readonly lined: (typeof LININGS)[number];
}

interface KindSpec {
  readonly name: string;
  readonly nature: Nature;
  readonly keepMm: number;
  readonly holds: boolean;
}
/** What a kind of thing is to begin with. Distances: common practice, the user's own figures come first. */
export const THING_SPECS: Record<ThingKind, KindSpec> = {
  rail: { name: 'Rail', nature: 'solid', keepMm: 0, holds: true },
  member: { name: 'Cross member', nature: 'solid', keepMm: 0, holds: true },
  axle: { name: 'Axle', nature: 'moving', keepMm: 25, holds: false },
  wheel: { name: 'Wheel', nature: 'moving', keepMm: 30, holds: false },
  engine: { name: 'Engine', nature: 'solid', keepMm: 15, holds: false },
  gearbox: { name: 'Gearbox', nature: 'solid', keepMm: 15, holds: false },
  exhaust: { name: 'Exhaust', nature: 'hot', keepMm: 150, holds: false },
  'prop-shaft': { name: 'Prop shaft', nature: 'moving', keepMm: 40, holds: false },
  steering: { name: 'Steering', nature: 'moving', keepMm: 30, holds: false },
  tank: { name: 'Tank', nature: 'solid', keepMm: 10, holds: false },
  floor: { name: 'Body floor', nature: 'solid', keepMm: 5, holds: true },
  body: { name: 'Body of a part', nature: 'solid', keepMm: 3, holds: false },
  zone: { name: 'Kept free', nature: 'reserved', keepMm: 0, holds: false },
  mesh: { name: 'Mesh', nature: 'solid', keepMm: 5, holds: false },
};
export const NATURE_NAMES: Record<Nature, string> = {
  solid: 'solid',
  hot: 'hot',
  moving: 'moving',
  sharp: 'sharp',
  reserved: 'kept free',
};
