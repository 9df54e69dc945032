import type { Request, Response } from 'express';
import {
  CURVE_MPA,
  readPedal,
  trueVehicle,
  TRUE_FAULT_NAMES,
  type BuiltTo,
  type TrueFault,
} from '@firm-line/core/stations/prove';
import { seeded } from '@firm-line/core/lib/random';

/**
 * Simulated instruments: a gauge at a bleeder and a sensor at the pedal of a vehicle whose fault nobody shows,
 * a probe for temperature, a scan tool. Each vehicle is made from its number, so that it comes again.
 */
const EVERY_MS = 150;
/** Readings after which a loose cable breaks off. */
const LOOSE_AFTER = 6;
/** Pressures at which the pedal is read again as it is let up. */
const BACK_MPA = [6, 5, 4, 3, 2, 1, 0.5, 0.3];

/** What a vehicle is and is built to, where it is not left to its number. */
interface Asked {
  readonly fault?: TrueFault;
  readonly to?: BuiltTo;
}
export const vehicleOf = (seed: number, { fault, to }: Asked = {}) =>
  trueVehicle(seeded(seed), fault && [fault], to);
/** One press of the pedal and its way back as gauge, sensor and probe type it. */
export function pressOf(
  seed: number,
  asked?: Asked,
): { pressureMPa: number; travelMm: number; back?: boolean; tempC: number }[] {
  const random = seeded(seed + 1);
  const vehicle = vehicleOf(seed, asked);
  const readings = [
    ...readPedal(vehicle, CURVE_MPA, random),
    ...readPedal(vehicle, BACK_MPA, random, 'back'),
  ];
  return readings.map((point, i) => ({
    ...point,
    tempC: Math.round((19 + 0.02 * i + 0.1 * random()) * 10) / 10,
  }));
}

const BUILT = ['ratio', 'boreMm', 't0Mm', 'gapMm', 'flexMmPerMPa'] as const;
/** The pedal that a vehicle is built to, out of a query that has all its figures; undefined where one is missing or no figure. */
function builtIn(query: Request['query']): BuiltTo | undefined {
  const figures = BUILT.map((name) => [name, Number(query[name] ?? NaN)] as const);
  return figures.every(([, figure]) => figure > 0 && figure <= 1000)
    ? (Object.fromEntries(figures) as unknown as BuiltTo)
    : undefined;
}

/**
 * `GET /api/pedal/:vehicle`, with the pedal it is built to in its query where a plan has one: server-sent events, each with its number as id, then `done`. A reader that lost the
 * connection says the last id it had and is given what comes after; the cable of every thirteenth vehicle is loose and breaks off once.
 */
export function streamPedal(request: Request, response: Response): void {
  const seed = Number(request.params['vehicle']);
  const fault = TRUE_FAULT_NAMES.find((one) => one === request.query['fault']);
  if (!Number.isInteger(seed) || seed < 0 || seed > 1_000_000)
    return void response.status(404).json({ error: 'No vehicle by that number.' });
  response.writeHead(200, {
    'Content-Type': 'text/event-stream',
    'Cache-Control': 'no-cache, no-transform',
    Connection: 'keep-alive',
  });
  response.write('retry: 500\n\n');
  const readings = pressOf(seed, { fault, to: builtIn(request.query) });
  const last = Number(request.headers['last-event-id'] ?? -1);
  let i = Number.isInteger(last) ? last + 1 : 0;
  const drop = i === 0 && seed % 13 === 0 ? LOOSE_AFTER : NaN;
  const timer = setInterval(() => {
    if (i === drop) {
      clearInterval(timer);
      return void response.destroy();
    }
    const reading = readings[i];
    if (reading) return void response.write(`id: ${i++}\ndata: ${JSON.stringify(reading)}\n\n`);
    clearInterval(timer);
    response.end('event: done\ndata: \n\n');
  }, EVERY_MS);
  request.on('close', () => clearInterval(timer));
}

/** `GET /api/scan/:part`: whether a scan tool cycles the valves of a modulator; every third one is not supported. */
export function scanModulator(request: Request, response: Response): void {
  const part = String(request.params['part']).slice(0, 80);
  const sum = [...part].reduce((s, c) => s + c.codePointAt(0)!, 0);
  response.json(
    sum % 3 === 0
      ? { supported: false, words: 'This tool has no bleeding routine for that modulator.' }
      : { supported: true, words: 'Valves cycled twelve times, pump run for ten seconds.' },
  );
}
