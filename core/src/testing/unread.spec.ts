import { PLAN, validatePlan } from '../plan/index.ts';
import { computeAll } from './computed.ts';
import { fieldPlaces, watched } from './field-reads.ts';
import { UNREAD } from './unread.ts';
import { workedPlans } from './worked-plans.ts';

/** An id tells a record apart for whoever refers to it. */
const isId = (place: string): boolean => /(^|\.)id$/.test(place);

describe('what is stored is read', () => {
  const read = new Set<string>();
  const plans = workedPlans();
  beforeAll(() => {
    for (const plan of plans)
      computeAll(watched(structuredClone(plan), (place) => void read.add(place)));
  });
  test('the plans it is tried on could be saved', () => {
    expect(plans.flatMap(validatePlan)).toEqual([]);
  });
  test('every field is read when everything is worked out, is a note, or is listed with the reason', () => {
    const unread = fieldPlaces(PLAN)
      .filter(({ place, note }) => !note && !isId(place) && !read.has(place))
      .map(({ place }) => place);
    expect(unread.sort()).toEqual(Object.values(UNREAD).flat().sort());
  });
  test('copying, writing out and listing a record read none of its fields; asking for one reads that', () => {
    const seen: string[] = [];
    const { floor } = watched({ floor: { a: 1, done: [{ by: 'x', at: 'y' }] } }, (place) =>
      seen.push(place),
    );
    JSON.stringify(floor);
    Object.entries({ ...floor });
    expect(seen).toEqual(['floor']);
    expect(floor.done[0]!.by).toBe('x');
    expect(seen).toEqual(['floor', 'floor.done', 'floor.done[]', 'floor.done[].by']);
  });
});
