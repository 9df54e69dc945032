import { spawnSync } from 'node:child_process';
import { writeFileSync, mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { VERBS } from '@firm-line/core/verbs';
import { run as answer } from './run';

const BIN = join(__dirname, '../bin/firmline.mjs');
const DEMO = join(__dirname, '../../demo/gannet.firmline.json');
interface Answered {
  readonly code: number | null;
  readonly out: string;
  readonly err: string;
}
/** As a shell runs it. */
const spawned = (args: string[], input = ''): Answered => {
  const { status, stdout, stderr } = spawnSync(process.execPath, [BIN, ...args], {
    input,
    encoding: 'utf8',
  });
  return { code: status, out: stdout, err: stderr };
};
/** The same without a process of its own. */
const run = (args: string[], input = ''): Answered => {
  let [out, err] = ['', ''];
  const read = (source: string | number): string =>
    source === 0 ? input : readFileSync(source, 'utf8');
  const code = answer(args, {
    read,
    out: (text) => (out += text),
    err: (text) => (err += text),
    nowMs: () => performance.now(),
  });
  return { code, out, err };
};
const refused = (verb: string, input: unknown): { path: string; message: string } => {
  const { code, out, err } = run([verb], typeof input === 'string' ? input : JSON.stringify(input));
  expect([code, out]).toEqual([2, '']);
  const parsed = JSON.parse(err);
  expect(Object.keys(parsed)).toEqual(['error']);
  return parsed.error;
};

describe('the command line', () => {
  test('a process answers as it does here: by streams and exit codes', () => {
    const cases: [string[], string][] = [
      [['help'], ''],
      [['offset'], run(['offset', '--help']).out],
      [['bend'], '{'],
      [['check', DEMO], ''],
      [['check'], readFileSync(DEMO, 'utf8')],
    ];
    for (const [args, input] of cases)
      expect([args, spawned(args, input)]).toEqual([args, run(args, input)]);
  });

  test('help lists every verb', () => {
    const { code, out, err } = run(['help']);
    expect([code, err]).toEqual([0, '']);
    for (const verb of [...Object.keys(VERBS), 'check', 'signoff']) expect(out).toContain(verb);
  });

  test.each([...Object.keys(VERBS), 'check'])('%s runs its own example', (verb) => {
    const example = run([verb, '--help']);
    expect(example.code).toBe(0);
    const { code, out, err } = run([verb], example.out);
    expect([code, err]).toEqual([0, '']);
    expect(typeof JSON.parse(out)).toBe('object');
  });

  test('bend answers the hand-worked line', () => {
    const { out } = run(
      ['bend'],
      JSON.stringify({
        nodesMm: [
          [0, 0, 0],
          [200, 0, 0],
          [200, 150, 0],
          [200, 150, 120],
        ],
        clrMm: 15,
        flareExtraMm: { a: 2, b: 2 },
      }),
    );
    expect(JSON.parse(out)).toMatchObject({ cutMm: expect.closeTo(461.1239, 4), tailMm: 105 });
    expect(out).not.toContain('-0,');
  });

  const bend = {
    nodesMm: [
      [0, 0, 0],
      [200, 0, 0],
      [200, 150, 0],
    ],
    clrMm: 15,
  };
  test.each<[string, string, unknown, string, RegExp]>([
    ['an unknown verb', 'weld', {}, 'verb', /not a verb/],
    ['nothing', 'bend', '', '', /empty/],
    ['no JSON', 'bend', '{', '', /not JSON/],
    ['a list', 'bend', [], '', /one JSON object/],
    ['a missing field', 'bend', { nodesMm: bend.nodesMm }, 'clrMm', /missing/],
    [
      'an unknown field',
      'bend',
      { ...bend, radius: 3 },
      'radius',
      /This field does not belong here/,
    ],
    ['a number in quotes', 'bend', { ...bend, clrMm: '15' }, 'clrMm', /should be a number/],
    ['a boolean', 'bend', { ...bend, clrMm: true }, 'clrMm', /should be/],
    [
      'null',
      'bend',
      {
        ...bend,
        nodesMm: [
          [0, 0, null],
          [1, 2, 3],
        ],
      },
      'nodesMm[0][2]',
      /should be a number, not null/,
    ],
    [
      'two coordinates',
      'bend',
      {
        ...bend,
        nodesMm: [
          [0, 0],
          [1, 2, 3],
        ],
      },
      'nodesMm[0]',
      /holds 2; 1 more needed/,
    ],
    ['one node', 'bend', { ...bend, nodesMm: [[0, 0, 0]] }, 'nodesMm', /2 or more/],
    [
      'an absurd coordinate',
      'bend',
      {
        ...bend,
        nodesMm: [
          [0, 0, 0],
          [1e6, 0, 0],
        ],
      },
      'nodesMm[1][0]',
      /100000 is the limit/,
    ],
    ['a radius of nothing', 'bend', { ...bend, clrMm: 0 }, 'clrMm', /over 0/],
    ['a radius in the list', 'bend', { ...bend, clrMm: [2000] }, 'clrMm[0]', /1000 is the limit/],
    [
      'a geometric fault',
      'bend',
      {
        ...bend,
        nodesMm: [
          [0, 0, 0],
          [10, 0, 0],
          [10, 99, 0],
        ],
      },
      'nodesMm[1]',
      /5 mm short/,
    ],
    [
      'a direction of nothing',
      'unbend',
      {
        startMm: [0, 0, 0],
        direction: [0, 0, 0],
        normal: [0, 0, 1],
        clrMm: 5,
        bends: [],
        tailMm: 9,
      },
      'direction',
      /The direction has zero length/,
    ],
    [
      'a bend of 180',
      'unbend',
      {
        startMm: [0, 0, 0],
        direction: [1, 0, 0],
        normal: [0, 0, 1],
        clrMm: 5,
        bends: [{ feedMm: 1, rotateDeg: 0, bendDeg: 180 }],
        tailMm: 9,
      },
      'bends[0].bendDeg',
      /179 is the limit/,
    ],
    ['no rise', 'offset', { riseMm: 1, bendDeg: 90, clrMm: 15 }, 'riseMm', /rise of 30 mm/],
    [
      'a tape of nothing',
      'survey',
      { datumsMm: { A: [0, 0, 0] }, tapes: [{ from: 'A', readMm: 0 }] },
      'tapes[0].readMm',
      /over 0/,
    ],
    [
      'a side that is none',
      'survey',
      { datumsMm: { A: [0, 0, 0] }, tapes: [], side: 'left' },
      'side',
      /above, below/,
    ],
    [
      'a bleeder twice',
      'bleed',
      {
        pipes: [],
        outlets: ['m'],
        bleeders: [
          { id: 'A', at: 'm', cavityMl: 1 },
          { id: 'A', at: 'm', cavityMl: 1 },
        ],
        school: 'nearest-first',
      },
      'bleeders[1]',
      /twice/,
    ],
  ])('refuses %s', (_, verb, input, path, sentence) => {
    const error = refused(verb, input);
    expect(error.path).toBe(path);
    expect(error.message).toMatch(sentence);
  });

  test('check: exit 3 with a stop among the snags, 0 without, 2 for what is no plan', () => {
    const checked = run(['check', DEMO]);
    expect(checked.code).toBe(3);
    expect(JSON.parse(checked.out).snags[0]).toMatchObject({
      level: 'stop',
      rule: 'rear-locks-first',
    });
    const folder = mkdtempSync(join(tmpdir(), 'firm-line-'));
    const plan = JSON.parse(readFileSync(DEMO, 'utf8'));
    const clutch = (item: { id: string }): boolean =>
      item.id.startsWith('clutch') || item.id === 'line-c1';
    const sound = {
      ...plan,
      sizing: null,
      parts: plan.parts.filter(clutch),
      lines: plan.lines.filter(clutch),
      bleeding: { ...plan.bleeding, listed: [] },
      filling: { ...plan.filling, fluids: [] },
    };
    writeFileSync(join(folder, 'sound.json'), JSON.stringify(sound));
    expect(run(['check', join(folder, 'sound.json')]).code).toBe(0);
    writeFileSync(join(folder, 'bad.json'), JSON.stringify({ ...plan, units: 'cubits' }));
    expect(JSON.parse(run(['check', join(folder, 'bad.json')]).err).error.path).toBe('units');
    expect(run(['check', join(folder, 'missing.json')]).code).toBe(2);
  });

  test('signoff: exit 3 while something is in the way, with all of it; what follows by day and by distance', () => {
    const answer = run(['signoff', DEMO]);
    expect(answer.code).toBe(3);
    const { road, move, items, signed, followUps } = JSON.parse(answer.out);
    expect([road.may, move.may, signed]).toEqual([false, false, null]);
    expect(Object.keys(items[0]).sort()).toEqual(
      ['accepted', 'key', 'kind', 'place', 'rule', 'station', 'text', 'where'].sort(),
    );
    expect(new Set(items.map(({ kind }: { kind: string }) => kind))).toEqual(
      new Set(['blocker', 'caution', 'task', 'test']),
    );
    expect(Object.keys(followUps[0]).sort()).toEqual(['dueKm', 'dueOn', 'key', 'state', 'text']);
    expect(run(['signoff'], readFileSync(DEMO, 'utf8')).out).toBe(answer.out);
    expect(run(['signoff', DEMO, '--on', '2026-12-01', '--km', '60']).code).toBe(3);
  });
  test.each([
    [['--on', '2026-02-30'], '--on', /"2026-02-30" is not a day/],
    [['--km', 'far'], '--km', /"far" is not a distance/],
    [['--km', '-1'], '--km', /0 or more/],
    [['--km'], '--km', /nothing after it/],
    [['--when', 'now'], '--when', /not known here/],
  ])('signoff refuses %p', (args, path, sentence) => {
    const { code, err } = run(['signoff', DEMO, ...args]);
    expect(code).toBe(2);
    const { error } = JSON.parse(err);
    expect(error.path).toBe(path);
    expect(error.message).toMatch(sentence);
  });
});
