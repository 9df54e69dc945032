/** Figures of a vehicle that its brakes must stop. */
export interface SizeVehicle {
  readonly massKg: number;
  /** Share of the static load on the front axle. */
  readonly frontFraction: number;
  readonly wheelbaseMm: number;
  readonly cgHeightMm: number;
  readonly tyreRadiusMm: { readonly front: number; readonly rear: number };
}
export interface Pedal {
  readonly forceN: number;
  readonly ratio: number;
  readonly efficiency: number;
  readonly strokeMm: number;
}
export interface Booster {
  readonly gain: number;
  readonly vacuumKPa: number;
  readonly diaphragmMm2: number;
  /** Help that comes at once, before its reaction disc pushes back; none where it is not there. */
  readonly jumpInN?: number;
}
export type Master =
  | {
      readonly kind: 'tandem';
      readonly boreMm: number;
      readonly strokeMm: number;
      readonly deadMm: number;
    }
  | {
      readonly kind: 'twin';
      readonly frontBoreMm: number;
      readonly rearBoreMm: number;
      readonly frontShare: number;
      readonly strokeMm: number;
      readonly deadMm: number;
    };
export interface Disc {
  readonly kind: 'disc';
  /** Diameters of the pistons on one side of the disc. */
  readonly pistonsMm: readonly number[];
  readonly opposed: boolean;
  readonly padMu: number;
  readonly effectiveRadiusMm: number;
  readonly clearanceMm: number;
  readonly complianceMmPerMPa: number;
}
export interface Drum {
  readonly kind: 'drum';
  readonly cylinderMm: number;
  /** Total drag at the drum's radius for one cylinder piston's force. */
  readonly brakeFactor: number;
  readonly drumRadiusMm: number;
  readonly travelMm: number;
}
export type Brake = Disc | Drum;
export interface RearValve {
  readonly kneeMPa: number;
  readonly slope: number;
}
/** Lines of one axle, both wheels together. */
export interface AxleLines {
  readonly tubeMm: number;
  readonly idMm: number;
  readonly odMm: number;
  readonly youngGPa: number;
  readonly poisson: number;
  readonly hoseMm: number;
  readonly hoseMlPerMPaM: number;
  readonly cavityMl?: number | null;
}
export interface SizeInput {
  readonly vehicle: SizeVehicle;
  readonly pedal: Pedal;
  readonly booster?: Booster | null;
  readonly master: Master;
  readonly front: Brake;
  readonly rear: Brake;
  readonly rearValve?: RearValve | null;
  readonly lines: { readonly front: AxleLines; readonly rear: AxleLines };
  readonly fluid: { readonly bulkGPa: number };
  readonly airMl: Axles<number>;
  readonly mu?: number | null;
}
export interface Axles<T> {
  readonly front: T;
  readonly rear: T;
}
export type Axle = 'front' | 'rear';
export const AXLES: readonly Axle[] = ['front', 'rear'];

/** Standard gravity, m/s². Source: ISO 80000-3. */
export const GRAVITY_MS2 = 9.80665;
/** Adhesion of a good dry road. Common practice. */
export const DEFAULT_MU = 0.8;

export const boreArea = (boreMm: number): number => (Math.PI / 4) * boreMm * boreMm;
export const perAxle = <T>(make: (axle: Axle) => T): Axles<T> => ({
  front: make('front'),
  rear: make('rear'),
});
