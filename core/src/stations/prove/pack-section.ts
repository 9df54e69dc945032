import type { Circuit, Plan } from '../../plan/index.ts';
import type { PlanView } from '../../plan/results/index.ts';
import type { Vec3 } from '../../lib/vec/index.ts';
import type { Signoff } from './signoff.ts';

export interface PackTable {
  readonly head: readonly string[];
  readonly rows: readonly (readonly string[])[];
}
/** What is laid in the vehicle, mm, drawn to scale: lines and hoses by name, and the parts that they join, by their ports. */
export interface PackPicture {
  readonly runs: readonly {
    readonly name: string;
    readonly ink: Circuit['ink'];
    readonly dashed: boolean;
    readonly points: readonly Vec3[];
  }[];
  readonly places: readonly { readonly name: string; readonly ports: readonly Vec3[] }[];
}
/** A part of the pack: its heading, sentences, a picture, a table, a curve. */
export interface PackSection {
  readonly title: string;
  readonly words?: readonly string[];
  readonly picture?: PackPicture;
  readonly table?: PackTable;
  readonly curve?: {
    readonly name: string;
    readonly points: readonly { readonly pressureMPa: number; readonly travelMm: number }[];
  };
  /** Begins a page of its own. */
  readonly apart?: boolean;
}

/** What every page of the pack is made from. */
export interface PackContext {
  readonly view: PlanView;
  readonly plan: Plan;
  readonly signoff: Signoff;
  readonly madeAt: string;
  readonly length: (mm: number) => string;
  /** The name of a circuit. */
  readonly circuit: (id: string) => string;
  /** A port with its part. */
  readonly port: (id: string | null, none?: string) => string;
}
export type Pages = (context: PackContext) => PackSection[];
