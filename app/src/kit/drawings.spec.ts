import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { type LineView } from '@firm-line/core/plan';
import { readPlan } from '@firm-line/core/plan/file';
import { viewPlan } from '@firm-line/core/plan/results';
import { polyline } from '@firm-line/core/shape/tube';
import fc from 'fast-check';
import { boxOfLabel, placeLabels, placesOf, projectFlat, ticks } from './flat-projection';
import { spread, stripLayout } from './strip-layout';

const view = viewPlan(
  readPlan(readFileSync(join(__dirname, '../../../demo/gannet.firmline.json'), 'utf8')),
);
const NUTS = { a: 16, b: 16 };

describe('card, strip and flat views of one line', () => {
  const projection = projectFlat(placesOf(view), { width: 900, height: 440 });

  /** Length of a drawn line, put together from the two flat views: x and y from above, z from the side. */
  const drawnMm = (line: LineView): number => {
    const points = polyline(line.pieces, 1).map((p) => {
      const [x, y] = projection.at('top', p);
      const [, z] = projection.at('side', p);
      return [
        x / projection.pxPerMm.top,
        y / projection.pxPerMm.top,
        z / projection.pxPerMm.top,
      ] as const;
    });
    return points
      .slice(1)
      .reduce((sum, p, i) => sum + Math.hypot(...p.map((v, k) => v - points[i]![k]!)), 0);
  };

  test.each(view.lines.map((line) => [line.line.name, line] as const))(
    '%s agrees to 0.1 mm',
    (_, line) => {
      const strip = stripLayout(line, 1000, NUTS, 60, (bend) => bend.markMm)!;
      const { card } = line;
      const extraA = card!.bends[0]!.markMm - card!.bends[0]!.feedMm;
      expect(strip.lengthMm).toBeCloseTo(card!.developedMm, 6);
      strip.bends.forEach((bend, i) => {
        expect(Math.abs(bend.startMm + extraA - card!.bends[i]!.markMm)).toBeLessThan(0.1);
        expect(bend.endMm - bend.startMm).toBeCloseTo(card!.bends[i]!.arcMm, 6);
        const fromPixels =
          ((bend.markX - strip.startX) / (strip.endX - strip.startX)) * strip.lengthMm;
        expect(Math.abs(fromPixels + extraA - card!.bends[i]!.markMm)).toBeLessThan(0.1);
      });
      expect(Math.abs(drawnMm(line) - card!.developedMm)).toBeLessThan(0.1);
    },
  );

  test('front is left in both, the right side is up from above, up is up from the side', () => {
    const [x0, y0] = projection.at('top', [0, 0, 0]);
    expect(projection.at('top', [100, 0, 0])[0]).toBeGreaterThan(x0);
    expect(projection.at('top', [0, 100, 0])[1]).toBeLessThan(y0);
    expect(projection.at('side', [0, 0, 100])[1]).toBeLessThan(projection.at('side', [0, 0, 0])[1]);
  });

  test('in a tall room the top view stands with its front up, its right to the right, and is drawn larger than lying', () => {
    const size = { width: 384, height: 740 };
    const p = projectFlat(placesOf(view), size);
    expect(p.stands).toBe(true);
    expect(p.at('top', [100, 0, 0])[1]).toBeGreaterThan(p.at('top', [0, 0, 0])[1]);
    expect(p.at('top', [0, 100, 0])[0]).toBeGreaterThan(p.at('top', [0, 0, 0])[0]);
    expect(p.pxPerMm.top).toBeGreaterThan(
      1.5 * projectFlat(placesOf(view), { width: 384, height: 400 }).pxPerMm.top,
    );
  });

  test('grids stand on round millimeters, or on whole inches and feet', () => {
    for (const width of [300, 600, 1200, 3000]) {
      const size = { width, height: 400 };
      const { gridMm } = projectFlat(placesOf(view), size, 'inch');
      const inches = Math.round(gridMm.top / 25.4);
      expect(Math.abs(gridMm.top / 25.4 - inches)).toBeLessThan(1e-9);
      expect(inches > 6 ? inches % 12 : 0).toBe(0);
      expect(projectFlat(placesOf(view), size).gridMm.top % 50).toBe(0);
    }
  });

  test('no label lies on another, nor on what is written already, wherever their places are', () => {
    const at = fc.record({
      x: fc.integer({ min: 20, max: 560 }),
      y: fc.integer({ min: 20, max: 380 }),
      text: fc.string({ minLength: 1, maxLength: 14 }),
    });
    const size = { width: 600, height: 400 };
    const taken = [{ text: 'From above', x: 48, y: 17, anchor: 'start' as const }];
    fc.assert(
      fc.property(fc.array(at, { maxLength: 40 }), (places) => {
        const labels = placeLabels(
          places.map((one) => ({ ...one, must: false })),
          size,
          taken,
        );
        const boxes = [...taken, ...labels].map(boxOfLabel);
        for (const [i, a] of boxes.entries())
          for (const b of boxes.slice(i + 1))
            expect(
              a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom,
            ).toBe(false);
        if (places.length === 1)
          expect(labels.length).toBeGreaterThanOrEqual(places[0]!.text.length > 13 ? 0 : 1);
      }),
      { seed: 8 },
    );
  });

  test('everything lies on the drawing, whatever its size', () => {
    for (const size of [
      { width: 900, height: 440 },
      { width: 384, height: 300 },
      { width: 700, height: 900 },
    ]) {
      const p = projectFlat(placesOf(view), size);
      for (const place of placesOf(view)) {
        for (const face of ['top', 'side'] as const) {
          const [x, y] = p.at(face, place);
          expect(x >= 0 && x <= size.width && y >= 0 && y <= size.height).toBe(true);
        }
      }
    }
    expect(projectFlat([], { width: 300, height: 300 }).pxPerMm.top).toBeGreaterThan(0);
  });

  test('labels keep their distance and their order', () => {
    expect(spread([100, 104, 108, 500], 60, 30, 970)).toEqual([100, 160, 220, 500]);
    expect(spread([900, 960, 965], 60, 30, 970)).toEqual([850, 910, 970]);
    expect(ticks(-520, 1100, 500)).toEqual([-500, 0, 500, 1000]);
  });
});
