import { derive, derivePair, measureDerived } from './index.ts';

describe('a derived value', () => {
  const of = (name: string, at: number) => ({ name, at });
  test('is computed once for its inputs, and what is no input does not count', () => {
    const compute = jest.fn((_: object, at: number) => ({ twice: 2 * at }));
    const key = {};
    const twice = derive(
      'twice',
      (thing: { name: string; at: number }) => [key, thing.at] as const,
      compute,
    );
    const first = twice(of('left', 3));
    expect(twice(of('right', 3))).toBe(first);
    expect(compute).toHaveBeenCalledTimes(1);
    expect(twice(of('right', 4))).toEqual({ twice: 8 });
    expect(twice(of('right', 3))).toEqual({ twice: 6 });
    expect(compute).toHaveBeenCalledTimes(3);
  });

  test('keeps as many sets of inputs as it is told, the newest', () => {
    const compute = jest.fn((_: object, at: number) => at);
    const key = {};
    const kept = derive('kept', (at: number) => [key, at] as const, compute, 2);
    [1, 2, 1, 2, 3, 2].forEach((at) => kept(at));
    expect(compute).toHaveBeenCalledTimes(3);
    kept(1);
    expect(compute).toHaveBeenCalledTimes(4);
  });

  test('that throws is not kept; one computed elsewhere is', () => {
    let broken = true;
    const value = derive(
      'value',
      (key: object) => [key] as const,
      () => {
        if (broken) throw new Error('not yet');
        return 'here';
      },
    );
    const key = {};
    expect(() => value(key)).toThrow('not yet');
    broken = false;
    expect(value(key)).toBe('here');
    value.put('from a worker', key);
    expect(value(key)).toBe('from a worker');
  });

  test('not a number counts as the same as itself', () => {
    const compute = jest.fn((_: object, at: number) => at);
    const key = {};
    const value = derive('nan', (at: number) => [key, at] as const, compute);
    value(NaN);
    value(NaN);
    expect(compute).toHaveBeenCalledTimes(1);
  });

  test('what it costs is told in one place', () => {
    let now = 0;
    const spent = measureDerived(() => now);
    const slow = derive(
      'slow for the test',
      (key: object) => [key] as const,
      () => (now += 40),
    );
    const key = {};
    slow(key);
    slow(key);
    expect([...spent].find(({ name }) => name === 'slow for the test')).toMatchObject({
      computed: 1,
      kept: 1,
      ms: 40,
    });
  });

  test('of a pair is computed once for each pair, and anew for the pairs of one that changed', () => {
    const compute = jest.fn((a: { at: number }, b: { at: number }) => b.at - a.at);
    const apart = derivePair('apart', compute);
    const [a, b, c] = [{ at: 1 }, { at: 3 }, { at: 7 }];
    const all = (list: readonly { at: number }[]): number[] =>
      list.flatMap((one, i) => list.slice(i + 1).map((other) => apart(one, other)));
    expect(all([a, b, c])).toEqual([2, 6, 4]);
    expect(all([a, b, c])).toEqual([2, 6, 4]);
    expect(compute).toHaveBeenCalledTimes(3);
    expect(all([a, { at: 4 }, c])).toEqual([3, 6, 3]);
    expect(compute).toHaveBeenCalledTimes(5);
  });
});
