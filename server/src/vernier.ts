import type { Request, Response } from 'express';

/**
 * A simulated vernier with a data output: it types readings as a serial vernier would, one line each,
 * while its jaws close on a piece from the bin, and then holds still. Pieces are made up; diameters are
 * such as a worn but sound thread shows, mm.
 */
export const PIECES: Readonly<
  Record<
    string,
    { readonly gender: 'male' | 'female'; readonly mm: number; readonly pitchMm: number }
  >
> = {
  a: { gender: 'male', mm: 9.44, pitchMm: 1.06 },
  b: { gender: 'male', mm: 9.89, pitchMm: 1.0 },
  c: { gender: 'female', mm: 8.63, pitchMm: 0.94 },
  d: { gender: 'female', mm: 10.06, pitchMm: 1.06 },
  e: { gender: 'male', mm: 11.9, pitchMm: 1.0 },
  f: { gender: 'male', mm: 13.0, pitchMm: 1.34 },
  g: { gender: 'female', mm: 9.03, pitchMm: 1.0 },
  h: { gender: 'female', mm: 8.51, pitchMm: 1.06 },
};

const EVERY_MS = 120;
/** Readings until the jaws touch, and readings held still after that. */
const CLOSING = 8;
const HELD = 6;
/** A vernier's last digit wanders. */
const FLICKER_MM = 0.01;

/** The readings of one measurement, in order, mm; `random` gives numbers from 0 to 1. */
export function readings(mm: number, gender: 'male' | 'female', random: () => number): number[] {
  const open = gender === 'male' ? 6 : -6;
  const closing = Array.from(
    { length: CLOSING },
    (_, i) => mm + open * (1 - (i + 1) / CLOSING) ** 2,
  );
  const held = Array.from({ length: HELD }, () => mm + FLICKER_MM * Math.round(2 * random() - 1));
  return [...closing, ...held].map((value) => Math.round(value * 100) / 100);
}

/** `GET /api/vernier/:piece`: server-sent events, one reading a line of data, then `done`. */
export function streamVernier(request: Request, response: Response): void {
  const piece = Object.hasOwn(PIECES, String(request.params['piece']))
    ? PIECES[String(request.params['piece'])]
    : undefined;
  if (!piece) return void response.status(404).json({ error: 'No piece by that name in the bin.' });
  response.writeHead(200, {
    'Content-Type': 'text/event-stream',
    'Cache-Control': 'no-cache, no-transform',
    Connection: 'keep-alive',
  });
  const left = readings(piece.mm, piece.gender, Math.random);
  const timer = setInterval(() => {
    const mm = left.shift();
    if (mm !== undefined) return void response.write(`data: ${mm.toFixed(2)}\n\n`);
    clearInterval(timer);
    response.end('event: done\ndata: \n\n');
  }, EVERY_MS);
  request.on('close', () => clearInterval(timer));
}
