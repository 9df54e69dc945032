import fc from 'fast-check';
import { cases } from '../testing/cases.ts';
import { InputError } from '../lib/faults/index.ts';
import { runVerb, VERBS } from './index.ts';

type Json = null | boolean | number | string | Json[] | { [key: string]: Json };

/** Every place in a value, as a path. */
const pathsIn = (value: Json, path: (string | number)[] = []): (string | number)[][] => [
  path,
  ...(Array.isArray(value)
    ? value.flatMap((v, i) => pathsIn(v, [...path, i]))
    : value && typeof value === 'object'
      ? Object.entries(value).flatMap(([k, v]) => pathsIn(v, [...path, k]))
      : []),
];
const putAt = (value: Json, path: readonly (string | number)[], to: Json): Json => {
  if (!path.length) return to;
  const copy = structuredClone(value);
  const parent = path.slice(0, -1).reduce<any>((node, key) => node[key], copy);
  parent[path.at(-1)!] = to;
  return copy;
};
const numbersIn = (value: unknown): number[] =>
  typeof value === 'number'
    ? [value]
    : value && typeof value === 'object'
      ? Object.values(value).flatMap(numbersIn)
      : [];
const leavesOf = (value: Json): (string | number)[][] =>
  pathsIn(value).filter(
    (path) => typeof path.reduce<any>((node, key) => node[key], value) === 'number',
  );

const ODD: Json[] = [
  null,
  true,
  '',
  '15',
  [],
  {},
  -1,
  0,
  1e-300,
  1e300,
  1e5 + 1,
  200.5,
  [[1]],
  { x: 1 },
  'NaN',
  '__proto__',
];

describe.each(Object.keys(VERBS))('the verb %s', (verb) => {
  const example = VERBS[verb]!.example as Json;

  test('answers its example with finite numbers and never -0', () => {
    const numbers = numbersIn(runVerb(verb, example));
    expect(numbers.length).toBeGreaterThan(0);
    for (const n of numbers) {
      expect(Number.isFinite(n)).toBe(true);
      expect(JSON.stringify(n)).not.toBe('-0');
    }
  });

  test('answers or refuses with a place and a sentence, whatever is put where', () => {
    const paths = pathsIn(example);
    fc.assert(
      fc.property(fc.constantFrom(...paths), fc.constantFrom(...ODD), (path, odd) => {
        try {
          for (const n of numbersIn(runVerb(verb, putAt(example, path, odd))))
            expect(Number.isFinite(n)).toBe(true);
        } catch (error) {
          expect(error).toBeInstanceOf(InputError);
          expect((error as InputError).message).toMatch(/^[A-Z"0-9-].*[.?]$/s);
        }
      }),
      { numRuns: cases(150, 2000) },
    );
  });

  test('a fault in quotes is named at its own place', () => {
    for (const path of leavesOf(example)) {
      try {
        runVerb(verb, putAt(example, path, '1'));
        throw new Error(`${path.join('.')} was taken in quotes`);
      } catch (error) {
        expect(error).toBeInstanceOf(InputError);
        const shown = path.reduce<string>(
          (text, part) =>
            typeof part === 'number' ? `${text}[${part}]` : text ? `${text}.${part}` : part,
          '',
        );
        expect((error as InputError).path).toBe(shown);
      }
    }
  });

  test('a field that is not known is named', () => {
    expect(() => runVerb(verb, { ...(example as object), colour: 'red' })).toThrow(
      expect.objectContaining({ path: 'colour' }),
    );
  });

  test('its input is left as it was', () => {
    const before = JSON.stringify(example);
    runVerb(verb, example);
    expect(JSON.stringify(example)).toBe(before);
  });
});

describe('every figure moved a little', () => {
  test.each(['bend', 'offset', 'bleed', 'size', 'diagnose'])(
    '%s answers alike: no jump, nothing undefined',
    (verb) => {
      const example = VERBS[verb]!.example as Json;
      for (const path of leavesOf(example)) {
        const value = path.reduce<any>((node, key) => node[key], example) as number;
        if (value === 0) continue;
        let moved: unknown;
        try {
          moved = runVerb(verb, putAt(example, path, value * (1 + 1e-9)));
        } catch (error) {
          expect(error).toBeInstanceOf(InputError);
          continue;
        }
        const [a, b] = [numbersIn(runVerb(verb, example)), numbersIn(moved)];
        expect(b).toHaveLength(a.length);
        a.forEach((n, i) => expect(Math.abs(b[i]! - n)).toBeLessThan(1e-4 * (1 + Math.abs(n))));
      }
    },
  );
});
