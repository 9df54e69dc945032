import { readdirSync, readFileSync } from 'node:fs';
import { basename, join } from 'node:path';
import { demo } from '../testing/demo-plans.ts';
import { bare, ODD_PLANS, opened } from '../testing/odd-plans.ts';
import { applyEdit, emptyPlan, recordsIn } from '../plan/index.ts';
import { LAYOUTS } from '../proposals/layouts/index.ts';
import { viewPlan } from '../plan/results/index.ts';
import { defineRule, type Finding } from './define-rule.ts';
import { ruleRows, rulesPage } from '../testing/rule-table.ts';
import { fixOf, inspect, NOT_JUDGED, RULES, STATIONS, type Snag } from './index.ts';

const FOLDER = join(__dirname, 'rules');
const PLANS = ['gannet', 'wheatear', 'dunlin'].map(demo);

describe('the rules', () => {
  test('none is forgotten: every file that defines one is in the list of its station', () => {
    const folders = readdirSync(FOLDER).map((station) => join(FOLDER, station));
    const files = folders.flatMap((folder) =>
      readdirSync(folder).map((file) => join(folder, file)),
    );
    const defined = files.flatMap((file) => {
      const found = /^export const \w+ =\s+\w+\(\s*(?:\{\s*id: )?'([a-z0-9-]+)',/m.exec(
        readFileSync(file, 'utf8'),
      );
      // Helpers begin with an underscore; a rule's own file is named for it.
      return basename(file).startsWith('_') || !found ? [] : [basename(file, '.ts')];
    });
    expect(RULES.map(({ id }) => id).sort()).toEqual(defined.sort());
    expect(new Set(RULES.map(({ id }) => id)).size).toBe(RULES.length);
  });

  test('each has a test by its name, in which it speaks and the nearest plan is silent', () => {
    const specs = [__dirname, join(__dirname, '../stations/route')].flatMap((folder) =>
      readdirSync(folder)
        .filter((file) => file.endsWith('.spec.ts') && file !== 'rules.spec.ts')
        .map((file) => readFileSync(join(folder, file), 'utf8')),
    );
    // A test that is switched off tries nothing.
    const off = /\b(?:test|it|describe)\.(?:skip|only|todo)\b|\bx(?:test|it)\(/;
    expect(specs.filter((text) => off.test(text))).toEqual([]);
    expect(
      RULES.map(({ id }) => id).filter((id) => !specs.some((text) => text.includes(`'${id}'`))),
    ).toEqual([]);
  });

  test('each stands in the table of docs/rules.md with its words: npm run docs:rules', () => {
    const rules = join(__dirname, 'rules');
    expect(readFileSync(join(__dirname, '../../../docs/rules.md'), 'utf8')).toBe(rulesPage(rules));
    const rows = ruleRows(rules);
    expect(rows.map(({ id }) => id).sort()).toEqual(RULES.map(({ id }) => id).sort());
    for (const { id, station, words, levels } of rows) {
      expect([id, words.length > 20, levels.length > 0]).toEqual([id, true, true]);
      expect([id, station]).toEqual([id, RULES.find((rule) => rule.id === id)!.station]);
    }
  });

  test('every snag names a place that is in the plan, and a key of its own', () => {
    for (const plan of [
      ...PLANS,
      ...LAYOUTS.map((layout) => layout.draw(emptyPlan('p', 'P', '2026-01-01T00:00:00.000Z'))),
    ]) {
      const places = [{ kind: 'plan', id: plan.id }, ...recordsIn(plan).map(({ ref }) => ref)];
      const snags = inspect(plan);
      for (const { place } of snags)
        expect(places).toContainEqual({ kind: place.kind, id: place.id });
      expect(new Set(snags.map(({ key }) => key)).size).toBe(snags.length);
      for (const { station } of snags) expect(STATIONS).toContain(station);
    }
  });

  test('a fix is worked out when it is asked for, by the key of its snag, and for no other', () => {
    const plan = PLANS[0]!;
    const [snag] = inspect(plan).filter(({ rule }) => rule === 'near-hot');
    expect(snag).toMatchObject({ fixable: true });
    const fix = fixOf(plan, snag!.key)!;
    expect(inspect(applyEdit(plan, fix.call)).map(({ key }) => key)).not.toContain(snag!.key);
    expect(fixOf(plan, 'near-hot line nobody R9')).toBeNull();
  });

  test('what a rule does not read, it does not see, and does not look at anew', () => {
    const judge = jest.fn((line: { line: { name: string } }, view: object): Finding => ({
      level: 'note',
      text: `${line.line.name} ${Object.keys(view).join()}`,
    }));
    const rule = defineRule({
      id: 'looks',
      station: 'route',
      about: 'line',
      reads: ['plan.gates'],
      judge,
    });
    const plan = PLANS[0]!;
    const [first] = rule.find(viewPlan(plan));
    expect(first!.text).toBe(`${plan.lines[0]!.name} plan`);
    expect(judge).toHaveBeenCalledTimes(plan.lines.length);
    rule.find(viewPlan({ ...plan, notes: 'other', things: [] }));
    expect(judge).toHaveBeenCalledTimes(plan.lines.length);
    rule.find(
      viewPlan(
        applyEdit(plan, {
          edit: 'changeLine',
          with: { id: plan.lines[0]!.id, patch: { title: 'Other' } },
        }),
      ),
    );
    expect(judge).toHaveBeenCalledTimes(plan.lines.length + 1);
    rule.find(viewPlan({ ...plan, gates: [] }));
    expect(judge.mock.calls.length).toBeGreaterThan(2 * plan.lines.length);
  });

  test('one that throws is a note where it threw, and the others are heard', () => {
    const rule = defineRule({
      id: 'throws',
      station: 'route',
      about: 'line',
      reads: [],
      judge: (line) => {
        if (line.line.id === 'line-r1') throw new Error('no such corner');
        return { level: 'caution', text: 'looked at' };
      },
    });
    const found = rule.find(viewPlan(PLANS[0]!));
    expect(found).toHaveLength(PLANS[0]!.lines.length);
    expect(found.find(({ place }) => place.id === 'line-r1')).toMatchObject({
      level: 'note',
      text: `${NOT_JUDGED} (throws): no such corner`,
    });
  });
});

describe('odd plans are judged without a rule that throws', () => {
  test.each([
    ...ODD_PLANS,
    ...[...ODD_PLANS, ...PLANS.map((plan) => [plan.name, plan] as const)].flatMap(([name, plan]) =>
      plan.lines.length
        ? [
            [`${name}, all ports deleted`, bare(plan)] as const,
            [`${name}, lines with an open end`, opened(plan)] as const,
          ]
        : [],
    ),
  ])('%s', (_, plan) => {
    const threw = (snags: Snag[]): string[] =>
      snags.filter(({ text }) => text.startsWith(NOT_JUDGED)).map(({ text }) => text);
    expect(threw(inspect(plan))).toEqual([]);
  });
});
