import { signal } from '@angular/core';
import fc from 'fast-check';
import { PanZoom } from './pan-zoom';

const make = (room = { width: 800, height: 500 }, drawing = { width: 1000, height: 400 }) =>
  new PanZoom(signal(room), signal(drawing));

describe('a drawing in its room', () => {
  test('it begins as large as fits, in the middle, and never too small to read', () => {
    expect(make({ width: 800, height: 500 }, { width: 700, height: 300 }).view()).toMatchObject({
      scale: 800 / 700,
      x: 0,
    });
    // 1000 wide in 800 would be drawn at 0.8: it is drawn at 1, from its left edge.
    expect(make().view()).toEqual({ scale: 1, x: 0, y: 50 });
    expect(make({ width: 4000, height: 4000 }, { width: 100, height: 100 }).view().scale).toBe(1.4);
  });
  test('what is under the pointer stays under it while it is sized', () => {
    const pan = make();
    const at = { x: 300, y: 200 };
    const under = () => [
      (at.x - pan.view().x) / pan.view().scale,
      (at.y - pan.view().y) / pan.view().scale,
    ];
    const before = under();
    pan.zoom(1, at);
    pan.zoom(1, at);
    under().forEach((v, i) => expect(v).toBeCloseTo(before[i]!, 9));
    pan.fit();
    expect(pan.view()).toEqual({ scale: 1, x: 0, y: 50 });
  });
  test('a press that goes on is a drag, one that does not is a tap', () => {
    const pan = make();
    const event = (clientX: number, clientY: number) =>
      ({ clientX, clientY, button: 0 }) as PointerEvent;
    pan.press(event(10, 10));
    pan.move(event(13, 12));
    expect(pan.dragged).toBe(false);
    pan.move(event(60, 40));
    pan.release();
    expect([pan.dragged, pan.view().x, pan.view().y]).toEqual([true, 50, 80]);
    pan.move(event(300, 300));
    expect(pan.view().x).toBe(50);
  });
  test('however it is moved and sized, some of it stays in the room', () => {
    const act = fc.oneof(
      fc.tuple(
        fc.constant('pan'),
        fc.integer({ min: -3000, max: 3000 }),
        fc.integer({ min: -3000, max: 3000 }),
      ),
      fc.tuple(fc.constant('zoom'), fc.constantFrom(1, -1), fc.constant(0)),
    );
    fc.assert(
      fc.property(fc.array(act, { maxLength: 30 }), (acts) => {
        const pan = make();
        for (const [what, a, b] of acts)
          what === 'pan' ? pan.pan(a as number, b as number) : pan.zoom(a as 1);
        const { scale, x, y } = pan.view();
        expect(x).toBeLessThanOrEqual(720);
        expect(x + 1000 * scale).toBeGreaterThanOrEqual(80 - 1e-9);
        expect(y).toBeLessThanOrEqual(420);
        expect(y + 400 * scale).toBeGreaterThanOrEqual(80 - 1e-9);
        expect(scale).toBeGreaterThanOrEqual(0.4);
        expect(scale).toBeLessThanOrEqual(3);
      }),
      { seed: 6 },
    );
  });
});
