import fc from 'fast-check';
import { cases } from '../testing/cases.ts';
import { demo } from '../testing/demo-plans.ts';
import { places, put } from '../testing/odd-values.ts';
import { applyEdit, deltaOf, withDelta, type Plan } from './index.ts';
import { viewPlan } from './results/index.ts';

/** As a worker is handed it: nothing of it is the same object any more. */
const sent = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;

describe('what an edit did, handed on', () => {
  const plan = demo('wheatear');
  test('turns the old plan into the new one, whatever was changed', () => {
    const where = places(plan).filter((path) => path.length > 1);
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.nat(), fc.oneof(fc.integer(), fc.string())), {
          minLength: 1,
          maxLength: 5,
        }),
        (changes) => {
          const after = changes.reduce((now, [seed, to]) => {
            const path = where[seed % where.length]!;
            return path.at(-1) === 'id' ||
              typeof path.reduce<unknown>(
                (v, key) => (v as Record<string, unknown> | undefined)?.[key],
                now,
              ) === 'object'
              ? now
              : put(now, path, to);
          }, plan);
          expect(withDelta(plan, sent(deltaOf(plan, after)))).toEqual(after);
        },
      ),
      { numRuns: cases(50, 1000) },
    );
  });

  test('records added, removed and put in another order', () => {
    const [a, b, ...rest] = plan.lines;
    for (const lines of [[b!, a!, ...rest], rest, [...plan.lines, { ...a!, id: 'another' }]]) {
      const after: Plan = { ...plan, lines };
      expect(withDelta(plan, sent(deltaOf(plan, after)))).toEqual(after);
    }
  });

  test('is small, and what did not change stays the very same object', () => {
    const id = plan.lines[0]!.id;
    const after = applyEdit(plan, {
      edit: 'changeLine',
      with: { id, patch: { title: 'Another title' } },
    });
    const delta = sent(deltaOf(plan, after));
    expect(JSON.stringify(delta).length).toBeLessThan(JSON.stringify(plan).length / 10);
    const there = withDelta(plan, delta);
    expect(there.parts).toBe(plan.parts);
    expect(there.lines[1]).toBe(plan.lines[1]);
    expect(there.lines[0]!.cornersMm).toBe(plan.lines[0]!.cornersMm);
    expect(viewPlan(there).lines[0]!.card).toBe(viewPlan(plan).lines[0]!.card);
  });
});
