import fc from 'fast-check';
import { cases } from '../../testing/cases.ts';
import { SPANS } from '../survey/index.ts';
import { suspectTapes, square, type SquareInput } from './index.ts';

/** A general minimizer, of npm's `fmin`. */
type Minimise = (
  f: (x: number[]) => number,
  start: number[],
  limits: { maxIterations: number },
) => { x: number[]; fx: number };
const { nelderMead } = jest.requireActual<{ nelderMead: Minimise }>('fmin');

type Corners = readonly (readonly [number, number])[];
const lengths = ([fl, fr, rr, rl]: Corners): SquareInput['readMm'] => {
  const span = (a: readonly [number, number], b: readonly [number, number]): number =>
    Math.hypot(a[0] - b[0], a[1] - b[1]);
  return {
    front: span(fl!, fr!),
    rear: span(rl!, rr!),
    left: span(fl!, rl!),
    right: span(fr!, rr!),
    diagonalLeft: span(fl!, rr!),
    diagonalRight: span(fr!, rl!),
  };
};
const LADDER: SquareInput['readMm'] = {
  front: 800,
  rear: 800,
  left: 2400,
  right: 2400,
  diagonalLeft: Math.hypot(800, 2400),
  diagonalRight: Math.hypot(800, 2400),
};

describe('is the frame square', () => {
  test('a true rectangle is square to nought, and its corners are its own', () => {
    const found = square({ readMm: LADDER });
    expect(found).toMatchObject({
      verdict: 'square',
      twistMm: null,
      twistSigmaMm: null,
      flat: null,
    });
    for (const value of [found.rackMm, found.taperMm, found.misfit])
      expect(value).toBeCloseTo(0, 6);
    expect(found.cornersMm.rearRight[0]).toBeCloseTo(2400, 6);
    expect(found.cornersMm.rearRight[1]).toBeCloseTo(800, 6);
  });
  test('a frame pushed back by 8 mm on one side racks by 8 mm', () => {
    // Both marks of the right rail 8 mm further back: the middles of the rails lie 8 mm apart along the frame.
    const found = square({
      readMm: lengths([
        [0, 0],
        [8, 800],
        [2408, 800],
        [2400, 0],
      ]),
    });
    // The middle line leans by nothing: front and rear lean alike.
    expect(found.rackMm).toBeCloseTo(8, 6);
    expect(found.verdict).toBe('racked');
  });
  test('any frame is found again from its own six lengths, wherever it stood', () => {
    const off = fc.double({ min: -150, max: 150, noNaN: true });
    fc.assert(
      fc.property(off, off, off, off, off, (a, b, c, d, e) => {
        const readMm = lengths([
          [0, 0],
          [0, 800 + a],
          [2400 + b, 800 + c],
          [2400 + d, e],
        ]);
        const { cornersMm, misfit } = square({ readMm });
        expect(misfit).toBeLessThan(1e-6);
        expect(cornersMm.frontRight[1]).toBeCloseTo(800 + a, 5);
        expect(cornersMm.rearRight[0]).toBeCloseTo(2400 + b, 5);
        expect(cornersMm.rearLeft[1]).toBeCloseTo(e, 5);
      }),
      { numRuns: cases(40, 1000) },
    );
  });
  test('readings that do not fit are shared out as a general minimizer does', () => {
    const readMm = { ...LADDER, front: 803, diagonalLeft: 2536 };
    const cost = ([y, xr, yr, xl, yl]: number[]): number => {
      const fitted = lengths([
        [0, 0],
        [0, y!],
        [xr!, yr!],
        [xl!, yl!],
      ]);
      return SPANS.reduce((sum, span) => sum + (readMm[span] - fitted[span]) ** 2, 0);
    };
    const outside = nelderMead(cost, [801, 2401, 803, 2399, 2], { maxIterations: 20_000 });
    const { cornersMm, residualsMm } = square({ readMm });
    expect(SPANS.reduce((sum, span) => sum + residualsMm[span] ** 2, 0)).toBeCloseTo(outside.fx, 4);
    expect(cornersMm.frontRight[1]).toBeCloseTo(outside.x[0]!, 2);
    expect(cornersMm.rearRight[0]).toBeCloseTo(outside.x[1]!, 2);
  });
  test('a slip at an end of 800 mm stays unseen to 42 mm, along a rail of 2,400 to 14, on a diagonal to 13', () => {
    // By hand: of a rectangle a × b the six readings' redundancies are a²/(4d²)… ends 0.024, rails 0.22, diagonals 0.25, at sigma 2.
    const found = suspectTapes({ readMm: LADDER });
    expect(found.front.unseenMm).toBeCloseTo(41.6, 0);
    expect(found.left.unseenMm).toBeCloseTo(13.9, 0);
    expect(found.diagonalLeft.unseenMm).toBeCloseTo(13.2, 0);
    // The redundancies of all readings add up to the one that is spare: 3.29·σ over each, squared.
    expect(
      SPANS.reduce((sum, span) => sum + (3.29 * 2) ** 2 / found[span].unseenMm ** 2, 0),
    ).toBeCloseTo(1, 6);
  });
  test('the slip that explains the misfit does: removed, the readings agree', () => {
    const readMm = { ...LADDER, right: 2418 };
    const { explainsMm } = suspectTapes({ readMm }).right;
    expect(square({ readMm }).verdict).toBe('tapes-disagree');
    expect(square({ readMm: { ...readMm, right: readMm.right - explainsMm } }).misfit).toBeLessThan(
      0.05,
    );
  });
  test('flat by four heights: two sigma on either side of the limit cannot be told', () => {
    const at = (frontLeft: number) =>
      square({
        readMm: LADDER,
        heightsMm: { frontLeft, frontRight: 500, rearRight: 500, rearLeft: 500 },
      });
    expect([at(501).flat, at(505).flat, at(509.5).flat]).toEqual([
      'flat',
      'cannot-tell',
      'twisted',
    ]);
    expect(at(509.5)).toMatchObject({ twistMm: 9.5, twistSigmaMm: 2 });
    // A frame that leans as a whole is not twisted.
    expect(
      square({
        readMm: LADDER,
        heightsMm: { frontLeft: 510, frontRight: 500, rearRight: 500, rearLeft: 510 },
      }).twistMm,
    ).toBe(0);
  });
  test.each<[string, Partial<SquareInput['readMm']>, RegExp]>([
    ['a rail far too long', { left: 4000 }, /the closest misses by \d+ mm/],
    [
      'sides and diagonals swapped',
      {
        left: Math.hypot(800, 2400),
        right: Math.hypot(800, 2400),
        diagonalLeft: 2400,
        diagonalRight: 2400,
      },
      /fold the frame over itself/,
    ],
    [
      'all in one line',
      { front: 800, rear: 800, left: 2400, right: 2400, diagonalLeft: 3200, diagonalRight: 1600 },
      /in one line/,
    ],
  ])('%s is refused at its readings', (_, patch, message) => {
    expect(() => square({ readMm: { ...LADDER, ...patch } })).toThrow(
      expect.objectContaining({
        path: 'readMm',
        message: expect.stringMatching(message) as string,
      }),
    );
  });
});
