import Joi from 'joi';
import { list, oneOf, pressure, radius, record, span, volume } from './schema.ts';

const over = (most: number): Joi.NumberSchema => Joi.number().greater(0).max(most).required();
const upTo = (most: number): Joi.NumberSchema => Joi.number().min(0).max(most).required();
const share = Joi.number().min(0).max(1).required();
const orNull = (schema: Joi.Schema): Joi.Schema => schema.optional().allow(null);
const gap = upTo(1000);

/** Chooses the shape of a record by its `kind`; one of no kind is told which there are. */
function byKind(shapes: Readonly<Record<string, Joi.SchemaMap>>): Joi.Schema {
  const kinds = Object.keys(shapes);
  const none = record({ kind: oneOf(...kinds) });
  return kinds
    .reduceRight<Joi.Schema>((otherwise, kind) => {
      const isKind = Joi.object({ kind: Joi.any().valid(kind).required() })
        .unknown(true)
        .required();
      return Joi.alternatives().conditional(isKind, {
        then: record({ kind: Joi.any(), ...shapes[kind] }),
        otherwise,
      });
    }, none)
    .required();
}

const brake = byKind({
  disc: {
    pistonsMm: list(radius, 1),
    opposed: Joi.boolean().required(),
    padMu: over(10),
    effectiveRadiusMm: radius,
    clearanceMm: gap,
    complianceMmPerMPa: gap,
  },
  drum: { cylinderMm: radius, brakeFactor: over(100), drumRadiusMm: radius, travelMm: gap },
});
const lines = record({
  tubeMm: span,
  idMm: radius,
  odMm: radius,
  youngGPa: over(10_000),
  poisson: Joi.number().min(0).max(0.5).required(),
  hoseMm: span,
  hoseMlPerMPaM: upTo(1000),
  cavityMl: orNull(Joi.number().min(0).max(1_000_000)),
});

export const sizeSchema = record({
  vehicle: record({
    massKg: over(100_000),
    frontFraction: share,
    wheelbaseMm: over(100_000),
    cgHeightMm: span,
    tyreRadiusMm: record({ front: radius, rear: radius }),
  }),
  pedal: record({
    forceN: over(10_000),
    ratio: over(100),
    efficiency: Joi.number().greater(0).max(1).required(),
    strokeMm: radius,
  }),
  booster: orNull(
    Joi.object({
      gain: Joi.number().min(1).max(100).required(),
      vacuumKPa: upTo(1000),
      diaphragmMm2: upTo(1_000_000),
    }),
  ),
  master: byKind({
    tandem: { boreMm: radius, strokeMm: radius, deadMm: gap },
    twin: {
      frontBoreMm: radius,
      rearBoreMm: radius,
      frontShare: Joi.number().greater(0).less(1).required(),
      strokeMm: radius,
      deadMm: gap,
    },
  }),
  front: brake,
  rear: brake,
  rearValve: orNull(Joi.object({ kneeMPa: pressure, slope: upTo(10) })),
  lines: record({ front: lines, rear: lines }),
  fluid: record({ bulkGPa: over(1000) }),
  airMl: record({ front: volume, rear: volume }),
  mu: orNull(Joi.number().greater(0).max(10)),
});

export const sizeExample = {
  vehicle: {
    massKg: 1850,
    frontFraction: 0.48,
    wheelbaseMm: 3050,
    cgHeightMm: 720,
    tyreRadiusMm: { front: 335, rear: 335 },
  },
  pedal: { forceN: 450, ratio: 6.2, efficiency: 0.9, strokeMm: 150 },
  booster: null,
  master: { kind: 'tandem', boreMm: 22.225, strokeMm: 32, deadMm: 1.5 },
  front: {
    kind: 'disc',
    pistonsMm: [38.1, 34.9],
    opposed: true,
    padMu: 0.4,
    effectiveRadiusMm: 122,
    clearanceMm: 0.12,
    complianceMmPerMPa: 0.012,
  },
  rear: { kind: 'drum', cylinderMm: 20.64, brakeFactor: 2.4, drumRadiusMm: 127, travelMm: 2.2 },
  rearValve: { kneeMPa: 3, slope: 0.4 },
  lines: {
    front: {
      tubeMm: 2176,
      idMm: 3.34,
      odMm: 4.7625,
      youngGPa: 120,
      poisson: 0.34,
      hoseMm: 820,
      hoseMlPerMPaM: 0.12,
    },
    rear: {
      tubeMm: 4369,
      idMm: 3.34,
      odMm: 4.7625,
      youngGPa: 120,
      poisson: 0.34,
      hoseMm: 360,
      hoseMlPerMPaM: 0.31,
    },
  },
  fluid: { bulkGPa: 1.7 },
  airMl: { front: 0, rear: 0.4 },
};
