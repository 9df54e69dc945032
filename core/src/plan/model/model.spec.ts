import { demo } from '../../testing/demo-plans.ts';
import { check, fieldAt } from './check.ts';
import {
  bare,
  flag,
  labelOf,
  neededField,
  nullable,
  number,
  oneOf,
  optional,
  over,
  record,
  text,
  told,
  toldOf,
  unitOf,
} from './field.ts';
import { type AnyField, type NumberLimits } from './field-types.ts';
import { unitOfKey } from './field-unit.ts';
import { aboutKind, figureAt, PLAN, recordsIn } from './index.ts';
import { TAPE } from './position.ts';
import { COLLECTIONS, type CollectionKind } from './record-kind.ts';

/** A record as the next ones will be written. */
interface Wheel {
  readonly id: string;
  readonly side: 'left' | 'right';
  readonly radiusMm: number;
  readonly spare: boolean;
}
const fields = {
  id: text,
  side: oneOf(['left', 'right']),
  radiusMm: number(100, 900),
  spare: flag,
} as const;

describe('a record and its fields', () => {
  test('cannot drift apart: the compiler refuses a field too few, too many, or of another kind', () => {
    const sound = record<Wheel>()(fields);
    expect(Object.keys(sound.fields)).toEqual(['id', 'side', 'radiusMm', 'spare']);
    const { spare: _spare, ...fewer } = fields;
    // @ts-expect-error: a field of the type has no limits
    record<Wheel>()(fewer);
    // @ts-expect-error: limits of a field that the type has not
    record<Wheel>()({ ...fields, colour: text });
    // @ts-expect-error: a figure where the type has a word
    record<Wheel>()({ ...fields, side: number(0, 1) });
    // @ts-expect-error: a word that the type does not have
    record<Wheel>()({ ...fields, side: oneOf(['left', 'right', 'middle']) });
    // @ts-expect-error: what may be left out in a file must be so in the type
    record<Wheel>()({ ...fields, spare: optional(flag) });
  });

  test('every collection is a list in the plan whose records say what they are', () => {
    const listAt = (path: string): AnyField =>
      path
        .split('.')
        .reduce<AnyField>(
          (field, key) => (field as { fields: Record<string, AnyField> }).fields[key]!,
          PLAN,
        );
    for (const kind of Object.keys(COLLECTIONS) as CollectionKind[]) {
      const list = listAt(COLLECTIONS[kind]) as Extract<AnyField, { type: 'list' }>;
      expect([kind, list.type]).toEqual([kind, 'list']);
      expect((list.of as { about?: { kind: string } }).about?.kind).toBe(kind);
    }
  });

  test.each(['gannet', 'wheatear', 'dunlin'])(
    'every record of %s is found by its name, and every one of its fields is known',
    (name) => {
      const plan = demo(name);
      const found = recordsIn(plan);
      for (const kind of Object.keys(COLLECTIONS) as CollectionKind[])
        for (const { id } of figureAt(plan, COLLECTIONS[kind]) as readonly { id: string }[])
          if (!aboutKind(kind).unlisted)
            expect(found.filter(({ ref }) => ref.kind === kind && ref.id === id)).toHaveLength(1);
      const said: string[] = [];
      check(PLAN, plan, [], (path, message) => void said.push(`${path.join('.')}: ${message}`));
      expect(said).toEqual([]);
    },
  );

  test.each([
    [number(1, 5), 1, null],
    [number(1, 5), 0.999, /1 is the lower limit/],
    [number(1, 5), 5.001, /5 is the limit/],
    [number(0, 5, { over: true }), 0, /must be over 0/],
    [number(0, 5, { whole: true }), 2.5, /whole number/],
    [number(0, 5), Number.NaN, /should be a number/],
    [number(0, 5), Infinity, /not finite/],
    [flag, 'yes', /true or false/],
    [oneOf(['a', 'b']), 'c', /one of a, b/],
  ] as const)('%j with %s', (field, value, sentence) => {
    const said: string[] = [];
    check(field as AnyField, value, [], (_, message) => void said.push(message));
    expect(said).toHaveLength(sentence ? 1 : 0);
    expect(said.join()).toMatch(sentence ?? /^$/);
  });
});

/** Every field of a plan by its place, each shape once. */
function allFields(): readonly (readonly [place: string, field: AnyField])[] {
  const found: (readonly [string, AnyField])[] = [];
  const seen = new Set<unknown>();
  const walk = (field: AnyField, place: string): void => {
    if (field.type === 'record' || field.type === 'byKind') {
      const shapes = field.type === 'record' ? [field] : Object.values(field.shapes);
      for (const { fields } of shapes) {
        if (seen.has(fields)) continue;
        seen.add(fields);
        for (const [key, inner] of Object.entries(fields)) {
          found.push([`${place}.${key}`, inner]);
          walk(inner, `${place}.${key}`);
        }
      }
    } else if ('of' in field && !Array.isArray(field.of)) walk(field.of as AnyField, place);
  };
  walk(PLAN, 'plan');
  return found;
}

describe('what people are told of a field', () => {
  const every = allFields();
  test('each has a label, a noun without its unit', () => {
    expect(every.length).toBeGreaterThan(400);
    expect(every.filter(([, field]) => !toldOf(field).label).map(([place]) => place)).toEqual([]);
    const ends = every.filter(([, field]) =>
      /, (mm|MPa|kPa|mL|N|°C|kg)$|[.:]$/.test(toldOf(field).label!),
    );
    expect(ends.map(([place]) => place)).toEqual([]);
  });
  test('what a form takes lies within what a file may hold', () => {
    const wide = every.filter(([, field]) => {
      const { usual } = toldOf(field);
      const inner = bare(field);
      const limits = (inner.type === 'list' ? inner.of : inner) as NumberLimits;
      return usual && (usual[0] < limits.least || usual[1] > limits.most || usual[0] >= usual[1]);
    });
    expect(wide.map(([place]) => place)).toEqual([]);
  });
  test('the unit is the one that its name ends in', () => {
    const units = [
      ['orderMm', 'length'],
      ['kneeMPa', 'MPa'],
      ['kneePerTurnMPa', 'MPa'],
      ['complianceMmPerMPa', 'mm/MPa'],
      ['hoseMlPerMPaM', 'mL/MPa·m'],
      ['limitMlPerMin', 'mL/min'],
      ['diaphragmMm2', 'mm²'],
      ['vacuumKPa', 'kPa'],
      ['torqueNm', 'N·m'],
      ['forceN', 'N'],
      ['boilC', '°C'],
      ['fromKmh', 'km/h'],
      ['distanceM', 'm'],
      ['minutes', 'min'],
      ['ratio', undefined],
      ['provenOn', undefined],
      ['openedOn', undefined],
    ] as const;
    expect(units.map(([key]) => [key, unitOfKey(key)])).toEqual(units);
  });
  test('is found through what lets it be empty, the outer word before the inner one', () => {
    const { fields } = record<{ readonly gapMm: number | null; readonly endPlayMm: number }>()({
      gapMm: told('Gap', nullable(told('Any gap', over(10), { digits: 2 })), { none: 'not read' }),
      endPlayMm: told('End play', number(0, 1), { unit: 'mm' }),
    });
    expect(toldOf(fields.gapMm)).toEqual({
      key: 'gapMm',
      label: 'Gap',
      none: 'not read',
      digits: 2,
      unit: 'length',
    });
    expect([labelOf(fields.gapMm), labelOf(fields.endPlayMm)]).toEqual(['Gap', 'End play, mm']);
    expect(labelOf(fields.endPlayMm, 'Play')).toBe('Play, mm');
    expect(neededField(fields.gapMm)).toMatchObject({ type: 'number', most: 10, label: 'Gap' });
    expect(unitOf(fields.gapMm)).toBe('length');
  });
  test('is said of a figure by its path: through a sheet that may be missing, and of each one in a list', () => {
    const plan = demo('gannet');
    const said = (path: string): string => labelOf(fieldAt(PLAN, path.split('.'), plan)!);
    expect(said('sizing.kneePerTurnMPa')).toBe('Knee moves per turn, MPa');
    expect(said('sizing.tyreRadiusMm.front')).toBe('Front tire radius');
    expect(said('sizing.front.pistonsMm.0')).toBe('Pistons');
    expect(fieldAt(PLAN, ['sizing', 'nothing'], plan)).toBeNull();
  });
});

test('a form takes a tape that is read to half a millimetre, and to a metre', () => {
  // A steel tape is read to half a millimetre at best: common practice.
  const [least, most] = TAPE.fields.sigmaMm.usual!;
  expect(least).toBeLessThanOrEqual(0.5);
  expect(least).toBeGreaterThan(0);
  expect(most).toBeGreaterThanOrEqual(1000);
});
