import { obstacleOf } from './index.ts';
import { newThing } from './fresh.ts';

describe('a thing to begin with', () => {
  const box = (kind: Parameters<typeof newThing>[2]) => {
    const { boxes } = obstacleOf(newThing('t', 'T', kind));
    const of = (pick: (...mm: number[]) => number, end: 'min' | 'max') =>
      [0, 1, 2].map((i) => pick(...boxes.map((one) => one[end][i]!)));
    return { min: of(Math.min, 'min'), max: of(Math.max, 'max') };
  };
  test.each([
    'member',
    'axle',
    'engine',
    'gearbox',
    'prop-shaft',
    'tank',
    'floor',
    'zone',
  ] as const)('a %s lies on the middle of the vehicle', (kind) => {
    const { min, max } = box(kind);
    expect(min[1]! + max[1]!).toBeCloseTo(0, 6);
  });
  test('a wheel stands on the ground, and everything else is above it', () => {
    expect(box('wheel').min[2]).toBeCloseTo(0, 6);
    for (const kind of ['rail', 'member', 'axle', 'engine', 'gearbox', 'exhaust', 'tank'] as const)
      expect(box(kind).min[2]).toBeGreaterThan(0);
  });
  test('the gearbox begins where the engine ends, the shaft where the gearbox does, and it runs to the axle', () => {
    expect(box('gearbox').min[0]).toBe(box('engine').max[0]);
    expect(Math.abs(box('prop-shaft').min[0]! - box('gearbox').max[0]!)).toBeLessThan(50);
    expect(box('prop-shaft').max[0]).toBeLessThan(box('axle').max[0]!);
  });
});
