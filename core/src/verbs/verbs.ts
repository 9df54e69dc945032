import Joi from 'joi';
import { correct, type CorrectInput } from '../shape/bending/index.ts';
import { bleed, type BleedInput } from '../physics/bleeding/index.ts';
import { clips, type ClipLimits } from '../shape/clips/index.ts';
import { adapt, type AdaptInput } from '../trade/ends/index.ts';
import { hose, type HoseInput } from '../shape/rod/index.ts';
import { shims, type ShimsInput } from '../physics/wheel-ends/index.ts';
import { nest, type NestInput } from '../physics/nesting/index.ts';
import { diagnose, size, type DiagnoseInput, type SizeInput } from '../physics/hydraulics/index.ts';
import {
  hold,
  leakdown,
  stoppingDistance,
  type HoldInput,
  type LeakdownInput,
  type StoppingInput,
} from '../physics/proof-tests/index.ts';
import { CORNERS, SPANS, survey, type SurveyInput } from '../shape/survey/index.ts';
import { square, type SquareInput } from '../shape/taping/index.ts';
import { mate, type MateInput } from '../trade/threads/index.ts';
import { identify, type ThreadInput } from '../trade/threads/identify.ts';
import {
  bendTable,
  offset,
  unbend,
  type BendInput,
  type OffsetInput,
  type UnbendInput,
} from '../shape/tube/index.ts';
import { adaptSchema, femaleSchema, maleSchema, threadSchema } from './joints.ts';
import * as s from './schema.ts';
import { sizeExample, sizeSchema } from './size.ts';

/** One headless verb: what it reads, what it does, and an input that works. */
export interface Verb {
  readonly summary: string;
  readonly schema: Joi.ObjectSchema;
  readonly run: (input: never, nowMs?: () => number) => unknown;
  readonly example: unknown;
}

const clamp = s.record({ pointMm: s.point, direction: s.direction });
const gap = Joi.number().min(0).max(100).required();
const sigma = Joi.number().greater(0).max(1000).optional();
const airReading = s.record({
  pressureMPa: s.pressure,
  tempC: Joi.number().min(-273).max(2000).required(),
});
/** A standard deviation that must be known. */
const known = Joi.number().greater(0).max(1000).required();
const speed = Joi.number().greater(0).max(1000);

/** The verbs that read one JSON object and write one. */
export const VERBS: Readonly<Record<string, Verb>> = {
  bend: {
    summary: 'a center line to a bend table',
    schema: s.record({
      nodesMm: s.list(s.point, 2),
      clrMm: s.radiusOrList,
      flareExtraMm: Joi.object({ a: s.optional(s.span), b: s.optional(s.span) }).optional(),
    }),
    run: (input: BendInput) => bendTable(input),
    example: {
      nodesMm: [
        [0, 0, 0],
        [200, 0, 0],
        [200, 150, 0],
        [200, 150, 120],
      ],
      clrMm: 15,
      flareExtraMm: { a: 2, b: 2 },
    },
  },
  unbend: {
    summary: 'a bend table to a center line',
    schema: s.record({
      startMm: s.point,
      direction: s.direction,
      normal: s.direction,
      clrMm: s.radiusOrList,
      bends: s.list(
        s.record({
          feedMm: s.span,
          rotateDeg: Joi.number().min(-360).max(360).required(),
          bendDeg: Joi.number().greater(0).max(179).required(),
        }),
      ),
      tailMm: s.span,
    }),
    run: (input: UnbendInput) => unbend(input),
    example: {
      startMm: [0, 0, 0],
      direction: [1, 0, 0],
      normal: [0, 0, 1],
      clrMm: 15,
      bends: [
        { feedMm: 185, rotateDeg: 0, bendDeg: 90 },
        { feedMm: 120, rotateDeg: -90, bendDeg: 45 },
      ],
      tailMm: 80,
    },
  },
  offset: {
    summary: 'two equal bends that step the line sideways',
    schema: s.record({
      riseMm: Joi.number().greater(0).max(100_000).required(),
      bendDeg: Joi.number().greater(0).max(90).required(),
      clrMm: s.radius,
    }),
    run: (input: OffsetInput) => offset(input),
    example: { riseMm: 40, bendDeg: 30, clrMm: 15 },
  },
  survey: {
    summary: 'a point from tape readings',
    schema: s.record({
      datumsMm: Joi.object().pattern(Joi.string().min(1), s.point).required(),
      tapes: s.list(
        s.record({
          from: s.name,
          readMm: Joi.number().greater(0).max(100_000).required(),
          sigmaMm: sigma,
        }),
      ),
      side: s.optional(s.oneOf('above', 'below')),
    }),
    run: (input: SurveyInput) => survey(input),
    example: {
      datumsMm: { A: [0, -400, 500], B: [0, 400, 500], C: [1200, -400, 500] },
      tapes: [
        { from: 'A', readMm: 766 },
        { from: 'B', readMm: 615 },
        { from: 'C', readMm: 856, sigmaMm: 3 },
      ],
      side: 'above',
    },
  },
  square: {
    summary: 'whether a frame is square, from six distances, and flat, from heights',
    schema: s.record({
      readMm: s.record(
        Object.fromEntries(
          SPANS.map((span) => [span, Joi.number().greater(0).max(100_000).required()]),
        ),
      ),
      sigmaMm: Joi.number().greater(0).max(100).optional(),
      rackLimitMm: Joi.number().greater(0).max(1000).optional(),
      heightsMm: Joi.object(Object.fromEntries(CORNERS.map((corner) => [corner, s.length])))
        .allow(null)
        .optional(),
      heightSigmaMm: Joi.number().greater(0).max(100).optional(),
      twistLimitMm: Joi.number().greater(0).max(1000).optional(),
    }),
    run: (input: SquareInput) => square(input),
    example: {
      readMm: {
        front: 800,
        rear: 801,
        left: 2400,
        right: 2401,
        diagonalLeft: 2530,
        diagonalRight: 2529,
      },
      sigmaMm: 2,
      rackLimitMm: 3,
      heightsMm: { frontLeft: 500, frontRight: 501, rearRight: 500, rearLeft: 502 },
      heightSigmaMm: 1,
      twistLimitMm: 5,
    },
  },
  thread: {
    summary: 'which thread it is, from vernier and pitch gauge readings',
    schema: threadSchema,
    run: (input: ThreadInput) => identify(input),
    example: {
      gender: 'male',
      diameterMm: 9.9,
      pitchMm: 1,
      taper: false,
      diameterSigmaMm: 0.05,
      pitchSigmaMm: 0.02,
    },
  },
  mate: {
    summary: 'whether two ends join and seal',
    schema: s.record({ male: maleSchema, female: femaleSchema }),
    run: (input: MateInput) => mate(input),
    example: {
      male: { thread: '3/8-24 UNF', end: 'double-flare-45' },
      female: { thread: 'M10x1', seat: 'bubble' },
    },
  },
  adapt: {
    summary: 'the shortest chains of adapters between two ports',
    schema: adaptSchema,
    run: (input: AdaptInput) => adapt(input),
    example: {
      from: { gender: 'female', thread: '1/8-27 NPT', seat: 'npt-taper' },
      to: { gender: 'female', thread: '3/8-24 UNF', seat: 'flare-37' },
      maxJoints: 4,
    },
  },
  correct: {
    summary: 'corrections for the remaining bends, from measurements after each bend',
    schema: s.record({
      nodesMm: s.list(s.point, 2),
      clrMm: s.radius,
      odMm: s.radius,
      cutMm: Joi.number().greater(0).max(100_000).required(),
      readings: s.list(s.record({ endToBendMm: s.span, heightMm: s.span, tipToTipMm: s.span }), 1),
      sigmaMm: Joi.number().greater(0).max(100).optional(),
      reachMm: Joi.number().min(0).max(1000).optional(),
    }),
    run: (input: CorrectInput) => correct(input),
    example: {
      nodesMm: [
        [0, 0, 0],
        [200, 0, 0],
        [200, 150, 0],
        [200, 150, 120],
        [420, 150, 160],
      ],
      clrMm: 15,
      odMm: 4.7625,
      cutMm: 696.6,
      readings: [
        { endToBendMm: 202.9, heightMm: 0, tipToTipMm: 536.3 },
        { endToBendMm: 146.9, heightMm: 200.2, tipToTipMm: 435.6 },
      ],
      sigmaMm: 0.5,
      reachMm: 2,
    },
  },
  nest: {
    summary: 'cuts from stock: least stock used, then the longest offcut',
    schema: s.record({
      stockMm: s.list(
        s.record({
          lengthMm: Joi.number().greater(0).max(100_000).required(),
          count: Joi.number().integer().min(1).max(1000).required(),
        }),
      ),
      partsMm: s.list(Joi.number().greater(0).max(100_000).required()),
      kerfMm: s.span,
      trimMm: s.span,
    }),
    run: (input: NestInput, nowMs) => nest(input, nowMs),
    example: {
      stockMm: [{ lengthMm: 7620, count: 2 }],
      partsMm: [2850, 1050, 912, 746, 622, 392, 1516],
      kerfMm: 0,
      trimMm: 10,
    },
  },
  shims: {
    summary: 'shims to center a caliper over its disc, and whether the bolt still engages',
    schema: s.record({
      innerGapMm: gap,
      outerGapMm: gap,
      stackMm: gap,
      moves: s.oneOf('out', 'in'),
      shimsMm: s.list(
        s.record({
          thicknessMm: Joi.number().greater(0).max(20).required(),
          count: Joi.number().integer().min(1).max(100).required(),
        }),
      ),
      toleranceMm: Joi.number().min(0).max(1000).optional(),
      bolt: s
        .record({
          lengthMm: s.span,
          gripMm: s.span,
          washerMm: s.span,
          needMm: s.span,
          depthMm: s.span.optional().allow(null),
          shankMm: s.span.optional(),
        })
        .optional()
        .allow(null),
    }),
    run: (input: ShimsInput) => shims(input),
    example: {
      innerGapMm: 4.2,
      outerGapMm: 2.6,
      stackMm: 1.5,
      moves: 'out',
      shimsMm: [
        { thicknessMm: 0.5, count: 4 },
        { thicknessMm: 1, count: 2 },
      ],
    },
  },
  bleed: {
    summary: 'bleeding order and volumes',
    schema: s.record({
      pipes: s.list(s.record({ from: s.name, to: s.name, lengthMm: s.span, volumeMl: s.volume })),
      outlets: s.list(s.name, 1).unique(),
      bleeders: s.list(s.record({ id: s.name, at: s.name, cavityMl: s.volume }), 1, 'id'),
      school: s.oneOf('farthest-first', 'nearest-first', 'as-listed'),
      listed: s.optional(s.list(s.name)),
      wetMl: s.optional(s.volume),
      purge: Joi.number().min(0).max(1000).optional(),
    }),
    run: (input: BleedInput) => bleed(input),
    example: {
      pipes: [
        { from: 'mc-rear', to: 'tee', lengthMm: 2600, volumeMl: 22 },
        { from: 'tee', to: 'rl', lengthMm: 620, volumeMl: 5.4 },
        { from: 'tee', to: 'rr', lengthMm: 905, volumeMl: 7.9 },
      ],
      outlets: ['mc-rear'],
      bleeders: [
        { id: 'RL', at: 'rl', cavityMl: 6 },
        { id: 'RR', at: 'rr', cavityMl: 6 },
      ],
      school: 'farthest-first',
      wetMl: 180,
      purge: 3,
    },
  },
  clips: {
    summary: 'clip positions: fewest clips, most even spans',
    schema: s.record({
      lengthMm: Joi.number().greater(0).max(100_000).required(),
      odMm: s.radius,
      wallMm: s.radius,
      youngGPa: Joi.number().greater(0).max(1000).required(),
      densityKgM3: Joi.number().greater(0).max(25_000).required(),
      fluidKgM3: Joi.number().min(0).max(25_000).required(),
      excitationHz: Joi.number().min(0).max(100_000).required(),
      margin: Joi.number().min(1).max(1000).required(),
      maxSpanMm: Joi.number().greater(0).max(100_000).required(),
      endMm: Joi.number().greater(0).max(100_000).required(),
      forbiddenMm: s.optional(s.list(Joi.array().ordered(s.length, s.length).length(2).required())),
    }),
    run: (input: ClipLimits) => clips(input),
    example: {
      lengthMm: 1850,
      odMm: 4.7625,
      wallMm: 0.7112,
      youngGPa: 207,
      densityKgM3: 7850,
      fluidKgM3: 1060,
      excitationHz: 120,
      margin: 1.2,
      maxSpanMm: 450,
      endMm: 100,
      forbiddenMm: [[420, 520]],
    },
  },
  hose: {
    summary: 'the shape of a flexible line through its travel',
    schema: s.record({
      lengthMm: Joi.number().greater(0).max(100_000).optional(),
      find: s.optional(
        Joi.object({
          stepMm: Joi.number().greater(0).max(100_000).required(),
          maxMm: Joi.number().greater(0).max(100_000).required(),
        }),
      ),
      endA: clamp,
      states: s.list(s.record({ name: s.name, endB: clamp }), 1, 'name'),
      minRadiusMm: s.radius,
    }),
    run: (input: HoseInput) => hose(input),
    example: {
      lengthMm: 340,
      endA: { pointMm: [0, 0, 0], direction: [1, 0, 0] },
      states: [
        { name: 'ride', endB: { pointMm: [220, 120, -40], direction: [0, -1, 0] } },
        { name: 'droop', endB: { pointMm: [220, 120, -140], direction: [0, -1, 0] } },
      ],
      minRadiusMm: 38,
    },
  },
  size: {
    summary: 'from foot to road: pressures, forces, balance and pedal travel',
    schema: sizeSchema,
    run: (input: SizeInput) => size(input),
    example: sizeExample,
  },
  hold: {
    summary: 'a hydraulic hold: did the pressure hold, temperature allowed for',
    schema: s.record({
      start: airReading,
      end: airReading,
      minutes: Joi.number().greater(0).max(1e6).required(),
      stiffnessMPaPerK: Joi.number().min(0).max(100).required(),
      limitMPa: Joi.number().greater(0).max(200).required(),
      pressureSigmaMPa: Joi.number().min(0).max(200).optional(),
      stiffnessSigmaMPaPerK: Joi.number().min(0).max(100).optional(),
      tempSigmaC: Joi.number().min(0).max(1000).optional(),
    }),
    run: (input: HoldInput) => hold(input),
    example: {
      start: { pressureMPa: 9, tempC: 19 },
      end: { pressureMPa: 8.7, tempC: 22 },
      minutes: 5,
      stiffnessMPaPerK: 0.35,
      limitMPa: 0.2,
      pressureSigmaMPa: 0.03,
      stiffnessSigmaMPaPerK: 0.08,
      tempSigmaC: 0.2,
    },
  },
  leakdown: {
    summary: 'an air test of dry, plugged lines',
    schema: s.record({
      volumeMl: Joi.number().greater(0).max(1e6).required(),
      start: airReading,
      end: airReading,
      minutes: Joi.number().greater(0).max(1e6).required(),
      limitMlPerMin: Joi.number().greater(0).max(1e6).optional(),
      pressureSigmaMPa: Joi.number().min(0).max(200).optional(),
      tempSigmaC: Joi.number().min(0).max(1000).optional(),
    }),
    run: (input: LeakdownInput) => leakdown(input),
    example: {
      volumeMl: 60,
      start: { pressureMPa: 0.62, tempC: 18 },
      end: { pressureMPa: 0.61, tempC: 21 },
      minutes: 30,
      limitMlPerMin: 0.1,
      pressureSigmaMPa: 0.003,
      tempSigmaC: 0.5,
    },
  },
  stop: {
    summary: 'a stopping test: mean deceleration, and distance from another speed',
    schema: s.record({
      fromKmh: speed.required(),
      distanceM: Joi.number().greater(0).max(100_000).required(),
      compareKmh: speed.optional(),
    }),
    run: (input: StoppingInput) => stoppingDistance(input),
    example: { fromKmh: 96.6, distanceM: 41, compareKmh: 100 },
  },
  diagnose: {
    summary: 'whether a soft pedal is air or flex',
    schema: s.record({
      ratio: Joi.number().greater(0).max(100).required(),
      boreMm: s.radius,
      travelSigmaMm: Joi.number().min(0).max(1000).optional(),
      points: s.list(s.record({ pressureMPa: s.pressure, travelMm: s.length })),
      expected: s
        .record({
          t0Mm: s.length,
          flexMmPerMPa: Joi.number().min(-1000).max(1000).required(),
          padMm: s.length,
          padMPa: Joi.number().greater(0).max(200).required(),
          sigma: s.record({ t0Mm: known, flexMmPerMPa: known, padMm: known }),
        })
        .optional(),
      referenceMPa: Joi.number().greater(0).max(200).optional(),
      limitMm: Joi.number().greater(0).max(1000).optional(),
    }),
    run: (input: DiagnoseInput) => diagnose(input),
    example: {
      ratio: 6,
      boreMm: 22.22,
      travelSigmaMm: 0.3,
      points: [
        { pressureMPa: 0.05, travelMm: 13.1 },
        { pressureMPa: 0.2, travelMm: 25.3 },
        { pressureMPa: 0.5, travelMm: 33.2 },
        { pressureMPa: 1, travelMm: 37.4 },
        { pressureMPa: 4, travelMm: 48.1 },
        { pressureMPa: 7, travelMm: 56.4 },
      ],
    },
  },
};
