import fc from 'fast-check';
import { dot, type Vec3 } from '../../lib/vec/index.ts';
import { eigen, invert, type Sym3 } from './linear.ts';

const figure = fc.double({ min: -100, max: 100, noNaN: true });
const symmetric: fc.Arbitrary<Sym3> = fc.tuple(figure, figure, figure, figure, figure, figure);
const times = ([xx, xy, xz, yy, yz, zz]: Sym3, [x, y, z]: Vec3): Vec3 => [
  xx * x + xy * y + xz * z,
  xy * x + yy * y + yz * z,
  xz * x + yz * y + zz * z,
];

/** By the definitions of an eigenvector and of an inverse, and by what both leave as it is (trace). */
describe('a symmetric 3×3', () => {
  test('each eigenvector is only stretched, by its value; they stand square to one another; the values rise', () => {
    fc.assert(
      fc.property(symmetric, (a) => {
        const { values, vectors } = eigen(a);
        for (const [i, vector] of vectors.entries()) {
          for (const [axis, turned] of times(a, vector).entries())
            expect(turned).toBeCloseTo(values[i]! * vector[axis]!, 8);
          for (const [k, other] of vectors.entries())
            expect(dot(vector, other)).toBeCloseTo(i === k ? 1 : 0, 10);
        }
        expect(values[0] <= values[1] && values[1] <= values[2]).toBe(true);
        expect(values[0] + values[1] + values[2]).toBeCloseTo(a[0] + a[3] + a[5], 8);
      }),
      { numRuns: 60 },
    );
  });
  test('worked by hand: [[2,1,0],[1,2,0],[0,0,5]] has 1, 3 and 5', () => {
    expect(eigen([2, 1, 0, 2, 0, 5]).values).toEqual([
      expect.closeTo(1, 12),
      expect.closeTo(3, 12),
      expect.closeTo(5, 12),
    ]);
  });
  test('its inverse undoes it; one that flattens space has none', () => {
    const a: Sym3 = [4, 1, -2, 3, 0.5, 5];
    const at: Vec3 = [0.3, -1.7, 2.2];
    for (const [axis, back] of times(invert(a)!, times(a, at)).entries())
      expect(back).toBeCloseTo(at[axis]!, 12);
    expect(invert([1, 1, 0, 1, 0, 1])).toBeNull();
  });
});
