import Joi from 'joi';
import { CATEGORIES } from '../hydraulics/index.ts';
import { NATURES, SECTIONS, THING_KINDS } from '../frame/index.ts';
import { END_FORMS, SEAT_FORMS } from '../stock/index.ts';
import { PART_FIGURES } from './part-figures.ts';
import { CIRCUIT_INKS, HOSE_FIXINGS, LINE_ORIGINS, PART_KINDS, PLAN_FORMAT, PLAN_VERSION, PORT_ROLES } from './types.ts';

/** Limits of a plan file; far over any vehicle, so that a hostile file ends in a sentence. */
const MOST_RECORDS = 5000;
const MOST_CORNERS = 500;

const id = Joi.string().min(1).max(80).required();
const text = Joi.string().max(10_000).allow('').required();
const name = Joi.string().min(1).max(200).required();
const time = Joi.string().isoDate().required();
const number = (min: number, max: number): Joi.NumberSchema => Joi.number().min(min).max(max).required();
const vector = (least: number, most: number): Joi.ArraySchema =>
  Joi.array().ordered(number(least, most), number(least, most), number(least, most)).length(3).required();
const place = vector(-100_000, 100_000);
const list = (item: Joi.Schema, most = MOST_RECORDS): Joi.ArraySchema => Joi.array().items(item).max(most).required();
const record = (keys: Joi.SchemaMap): Joi.ObjectSchema => Joi.object(keys).unknown(true).required();
const oneOf = (values: readonly (string | number | null)[]): Joi.Schema =>
  Joi.any()
    .valid(...values)
    .required();
const inList = (schema: Joi.Schema): Joi.Schema => schema.optional();

const known = record({
  how: oneOf(['guessed', 'typed', 'sheet', 'taped']),
  atMm: place,
  sigmaMm: vector(0, 100_000),
  tapes: list(
    inList(record({ from: id, readMm: number(0, 100_000).greater(0), sigmaMm: number(0, 1000).greater(0).optional() })),
    200,
  ).optional(),
  side: oneOf(['above', 'below']).optional(),
});

/** One of several shapes, told apart by a field. */
const byKind = (shapes: Readonly<Record<string, Joi.SchemaMap>>, field = 'kind'): Joi.Schema => {
  const otherwise: Joi.Schema = record({ [field]: oneOf(Object.keys(shapes)) });
  return Object.entries(shapes).reduce(
    (rest, [kind, keys]) =>
      Joi.alternatives().conditional(
        Joi.object({ [field]: Joi.any().valid(kind).required() })
          .unknown(true)
          .required(),
        { then: record(keys), otherwise: rest },
      ),
    otherwise,
  );
};
/** A half of a joint; that its thread is one and comes with its form is for `validatePlan`. */
const half = byKind({ male: { thread: id, end: oneOf(END_FORMS) }, female: { thread: id, seat: oneOf(SEAT_FORMS) } }, 'gender');
const port = record({
  id,
  name,
  role: oneOf(PORT_ROLES),
  direction: vector(-1e6, 1e6),
  known,
  residualMPa: number(0, 1).optional(),
  fitting: record({
    half,
    how: oneOf(['measured', 'sheet', 'trusted']),
    readings: record({ diameterMm: number(0, 1000).greater(0), pitchMm: number(0, 100).greater(0).allow(null) }).allow(null),
  }).allow(null),
});
const figures = record(
  Object.fromEntries(Object.entries(PART_FIGURES).map(([name, { least, most }]) => [name, number(least, most).optional()])),
);
const flareForm = oneOf(['double-flare-45', 'bubble', 'cone-37']);
const joint = record({
  made: oneOf(['flared', 'compression', 'rubber-hose']),
  sealant: oneOf(['none', 'paste', 'tape']),
  washers: oneOf(['none', 'new', 'used']),
  opened: number(0, 1000).integer(),
  torqueNm: number(0, 10_000).greater(0).allow(null),
  torqueSource: text,
});
const end = record({
  portId: id.allow(null),
  open: record({ atMm: place, slackMm: number(0, 10_000), capped: Joi.boolean().required(), waitsFor: text }).allow(null),
  flare: flareForm,
  nutId: id,
  adapters: list(inList(id), 8),
  standoffMm: number(0, 1000),
  joint,
});
const flare = record({
  clampMm: number(0, 1000),
  flareExtraMm: number(0, 100),
  owned: Joi.boolean().required(),
  provenOn: list(inList(id), 20),
});
const adapter = record({
  id,
  name,
  family: id,
  halves: list(inList(half), 4).min(1),
  material: id,
  costMinor: number(0, 1e9),
});
const bender = record({
  id,
  name,
  kind: oneOf(['fixed', 'hand']),
  tubeOdMm: number(0, 100).greater(0),
  dieRadiusMm: number(0, 1000).greater(0),
  referenceMm: number(-1000, 1000),
  clampSide: oneOf(['a', 'b']),
  leastFeedMm: number(0, 1000),
  shoeMm: number(0, 1000),
  testBends: list(inList(record({ dialDeg: number(0, 200).greater(0), gotDeg: number(0, 180).greater(0) })), 200),
});

const axles = (item: Joi.Schema): Joi.ObjectSchema => record({ front: item, rear: item });
const load = record({ massKg: number(0, 100_000).greater(0), frontFraction: number(0, 1), cgHeightMm: number(0, 100_000) });
const over = (most: number): Joi.NumberSchema => number(0, most).greater(0);
const brake = byKind({
  disc: {
    pistonsMm: list(inList(over(1000)), 20).min(1),
    opposed: Joi.boolean().required(),
    padMu: over(10),
    effectiveRadiusMm: over(1000),
    clearanceMm: number(0, 1000),
    complianceMmPerMPa: number(0, 1000),
  },
  drum: { cylinderMm: over(1000), brakeFactor: over(100), drumRadiusMm: over(1000), travelMm: number(0, 1000) },
});
const open = list(inList(id), 500);
const pedal = record({ forceN: over(10_000), ratio: over(100), efficiency: over(1), strokeMm: over(1000) });
const hose = record({ hoseMm: number(0, 100_000), hoseMlPerMPaM: number(0, 1000) });
const sizing = record({
  category: oneOf(CATEGORIES),
  wheelbaseMm: over(100_000),
  tyreRadiusMm: axles(over(1000)),
  empty: load,
  laden: load,
  pedal,
  booster: record({ gain: number(1, 100), vacuumKPa: number(0, 1000), diaphragmMm2: number(0, 1e6) }).allow(null),
  master: byKind({
    tandem: { boreMm: over(1000), strokeMm: over(1000), deadMm: number(0, 1000) },
    twin: {
      frontBoreMm: over(1000),
      rearBoreMm: over(1000),
      frontShare: over(1).less(1),
      strokeMm: over(1000),
      deadMm: number(0, 1000),
    },
  }),
  front: brake,
  rear: brake,
  rearValve: record({ kneeMPa: number(0, 200), slope: number(0, 10) }).allow(null),
  kneePerTurnMPa: over(200).allow(null),
  combination: record({ holdOffMPa: over(200), differentialMPa: over(200) }).allow(null),
  hoses: axles(hose),
  bulkGPa: over(1000),
  airMl: axles(number(0, 1e6)),
  mu: over(10),
  wearMm: axles(number(0, 100)),
  open,
}).allow(null);
const trailer = record({
  actuatorMPa: over(200),
  actuatorMl: over(100_000),
  axles: list(inList(record({ brake, tyreRadiusMm: over(1000), emptyKg: over(100_000), ladenKg: over(100_000) })), 3).min(1),
  hose,
  airMl: number(0, 1e6),
  mu: over(10),
  open,
}).allow(null);
const single = record({
  name,
  circuitId: id.allow(null),
  lever: pedal,
  boreMm: over(1000),
  strokeMm: over(1000),
  deadMm: number(0, 1000),
  brake,
  wheels: oneOf([1, 2]),
  tyreRadiusMm: over(1000),
  loadKg: over(100_000),
  hose,
  airMl: number(0, 1e6),
  open,
});
const clutch = record({
  pedal,
  masterBoreMm: over(1000),
  strokeMm: over(1000),
  deadMm: number(0, 1000),
  slaveBoreMm: over(1000),
  forkRatio: over(100),
  bearingLoadN: over(100_000),
  releaseMm: over(1000),
  mostMm: over(1000),
  hose,
  open,
}).allow(null);
const parking = byKind(
  {
    hydraulic: { open },
    lever: {
      handN: over(10_000),
      leverRatio: over(100),
      efficiency: over(1),
      shoeRatio: over(100),
      brakeFactor: over(100),
      drumRadiusMm: over(1000),
      open,
    },
  },
  'by',
).allow(null);

const shape = byKind({
  bar: {
    section: oneOf(SECTIONS),
    pathMm: list(inList(place), 200).min(2),
    widthMm: over(10_000),
    heightMm: over(10_000),
    wallMm: over(1000),
    opens: oneOf(['left', 'right']),
  },
  block: { minMm: place, maxMm: place },
  pipe: { pathMm: list(inList(place), 200).min(2), diameterMm: over(10_000) },
  wheel: { centreMm: place, axis: vector(-1e6, 1e6), radiusMm: over(10_000), widthMm: over(10_000) },
  mesh: { digest: id, scale: over(1000), atMm: place },
});
const travel = record({
  heaveMm: Joi.array().ordered(number(-2000, 0), number(0, 2000)).length(2).required(),
  rollDeg: number(0, 45),
  lockDeg: number(0, 80),
  aboutMm: place,
});
const thing = record({
  id,
  name,
  kind: oneOf(THING_KINDS),
  shape,
  nature: oneOf(NATURES),
  keepMm: number(0, 10_000),
  holds: Joi.boolean().required(),
  surfaceC: number(-100, 2000).allow(null),
  travel: travel.allow(null),
});
const axis = vector(-1e6, 1e6);
const hoseEnd = record({
  portId: id.allow(null),
  through: Joi.boolean().required(),
  atMm: place,
  direction: axis,
  fittingId: id,
  turnDeg: number(-360, 360),
});
const motion = record({
  kind: oneOf(['axle', 'corner', 'still']),
  heaveMm: Joi.array().ordered(number(-2000, 0), number(0, 2000)).length(2).required(),
  aboutMm: place,
  axis,
  measuredAtMm: place,
  rollDeg: number(0, 45),
  steer: record({
    aboutMm: place,
    axis,
    lockDeg: Joi.array().ordered(number(-80, 0), number(0, 80)).length(2).required(),
  }).allow(null),
  floatMm: number(0, 200),
  floatAxis: axis,
});
const hoseRun = record({
  id,
  name,
  title: text,
  circuitId: id,
  stockId: id,
  service: oneOf(['pressure', 'feed']),
  ends: record({ a: hoseEnd, b: hoseEnd }),
  orderMm: over(20_000),
  motion,
  fixing: oneOf(HOSE_FIXINGS),
  locked: Joi.boolean().required(),
  gauze: Joi.boolean().required(),
  madeOn: Joi.string()
    .pattern(/^\d{4}-(0[1-9]|1[0-2])$/, 'year and month')
    .allow(null)
    .required(),
});
const gate = record({ id, name, minMm: place, maxMm: place, closed: Joi.boolean().required() });
const holding = record({
  frameHz: number(0, 100_000),
  engineHz: number(0, 100_000),
  nearMm: number(0, 10_000),
  margin: number(1, 100),
  maxSpanMm: over(100_000),
  endMm: over(100_000),
  reachMm: number(0, 10_000),
});

/** Shape of a plan file of the present version. Unknown fields are kept. */
export const planSchema = record({
  format: oneOf([PLAN_FORMAT]),
  version: oneOf([PLAN_VERSION]),
  id,
  name,
  notes: text,
  createdAt: time,
  changedAt: time,
  units: oneOf(['metric', 'inch']),
  points: list(inList(record({ id, name, known }))),
  parts: list(
    inList(
      record({
        id,
        name,
        kind: oneOf(PART_KINDS),
        cavityMl: number(0, 1e6),
        figures,
        family: oneOf(['glycol', 'silicone', 'mineral', null]),
        ports: list(inList(port), 200),
      }),
    ),
  ),
  circuits: list(
    inList(
      record({ id, name, work: oneOf(['brake', 'clutch']), ink: oneOf(CIRCUIT_INKS), axle: oneOf(['front', 'rear', null]) }),
    ),
  ),
  lines: list(
    inList(
      record({
        id,
        name,
        title: text,
        circuitId: id,
        tubeId: id,
        benderId: id,
        ends: record({ a: end, b: end }),
        cornersMm: list(inList(place), MOST_CORNERS),
        origin: oneOf(LINE_ORIGINS),
        clipsMm: list(inList(number(0, 100_000)), 1000),
        sleeves: list(
          inList(record({ fromMm: number(0, 100_000), toMm: number(0, 100_000), kind: oneOf(['heat', 'chafe']) })),
          100,
        ),
        shakes: list(inList(record({ fromMm: number(0, 100_000), toMm: number(0, 100_000), hz: over(100_000) })), 100),
        ticks: list(inList(record({ step: id, digest: id, at: time })), 1000),
      }),
    ),
  ),
  hoses: list(inList(hoseRun), 500),
  things: list(inList(thing)),
  gates: list(inList(gate), 200),
  holding,
  bench: record({
    benders: list(inList(bender), 100),
    flares: record({ 'double-flare-45': flare, bubble: flare, 'cone-37': flare }),
    adapters: list(inList(adapter), 500),
    nutLengthMm: Joi.object().pattern(Joi.string().max(80), Joi.number().min(0).max(1000)).required(),
    trimMm: number(0, 1000),
  }),
  bleeding: record({
    school: oneOf(['farthest-first', 'nearest-first', 'as-listed']),
    listed: list(inList(id)),
    purge: number(0, 1000),
    fluidId: id,
  }),
  sizing,
  trailer,
  singles: list(inList(single), 4),
  clutch,
  parking,
});
