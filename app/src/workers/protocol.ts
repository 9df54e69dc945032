import type { Fault } from '@firm-line/core/fault';
import type { Alike, BracketPlace, Lengths } from '@firm-line/core/hose-travel';
import type { MeshData } from '@firm-line/core/mesh';
import type { Around, LineSpace, LineView, Plan } from '@firm-line/core/plan';

/** What the plan worker is asked: to read the text of a plan file, or to check a plan out of the store. */
export type PlanRequest =
  | { readonly kind: 'read'; readonly id: number; readonly text: string }
  | { readonly kind: 'check'; readonly id: number; readonly plan: unknown };

/** A mesh file to be read, and what comes of it: its triangles with their tree, or one sentence. */
export interface MeshRequest {
  readonly name: string;
  readonly bytes: ArrayBuffer;
}
export type MeshAnswer =
  ({ readonly kind: 'mesh'; readonly digest: string } & MeshData) | { readonly kind: 'refused'; readonly message: string };

/** What the way-finder is asked; it answers with how far it is, then once with the ways or why there are none (`SearchAnswer`). */
export interface WayRequest {
  readonly plan: Plan;
  readonly lineId: string;
  readonly pitchMm: number;
}

/** What the worker beside a drag is told: once what a line is among, then a line as it stands. It answers each line with its space. */
export type SpaceRequest = ({ readonly kind: 'around' } & Around) | { readonly kind: 'line'; readonly view: LineView };
export type SpaceAnswer = LineSpace | null;

/** What is asked about hoses of a plan: lengths and bracket places of one, or one length for several. */
export interface HoseRequest {
  readonly kind: 'lengths' | 'alike' | 'bracket';
  readonly plan: Plan;
  readonly ids: readonly string[];
}
export type HoseFound =
  | ({ readonly kind: 'lengths' } & Lengths)
  | ({ readonly kind: 'alike' } & Alike)
  | { readonly kind: 'bracket'; readonly places: readonly BracketPlace[] };

/** What it answers: the plan, or every fault of it. */
export type PlanAnswer =
  | { readonly kind: 'plan'; readonly id: number; readonly plan: Plan }
  | { readonly kind: 'refused'; readonly id: number; readonly faults: readonly Fault[] }
  | { readonly kind: 'failed'; readonly id: number; readonly message: string };
