import { viewPlan } from '../../plan/results/index.ts';
import { inspect } from '../../inspect/index.ts';
import { defaultsFor, sketchOut, type Answers } from './index.ts';

const FRESH = { id: 'p', now: '2026-01-01T00:00:00.000Z' };
const plan = (job: Answers['job'], more: Partial<Answers> = {}) =>
  sketchOut(
    { answers: { ...defaultsFor('van'), job, ...more }, said: [], name: 'Van', units: 'metric' },
    FRESH,
  );
const lines = (
  job: Answers['job'],
  origin: 'made' | 'kept',
  more: Partial<Answers> = {},
): string[] =>
  plan(job, more)
    .lines.filter((line) => line.origin === origin)
    .map(({ name }) => name);

describe('a change to a vehicle that has brakes', () => {
  test.each<[Answers['job'], string[], string[]]>([
    ['new', ['F1', 'F2', 'F3', 'R1', 'R2', 'R3', 'C1'], []],
    ['front', ['F1', 'F2', 'F3'], ['R1', 'R2', 'R3', 'C1']],
    ['rear', ['R1', 'R2', 'R3'], ['F1', 'F2', 'F3', 'C1']],
    // The old lines meet the new master: its joints are what is asked for.
    ['master', [], ['F1', 'F2', 'F3', 'R1', 'R2', 'R3', 'C1']],
    ['booster', [], ['F1', 'F2', 'F3', 'R1', 'R2', 'R3', 'C1']],
    ['line', ['R1'], ['F1', 'F2', 'F3', 'R2', 'R3', 'C1']],
    ['clutch', ['C1'], ['F1', 'F2', 'F3', 'R1', 'R2', 'R3']],
  ])('%s: %j are made and %j stay', (job, made, kept) => {
    expect(lines(job, 'made')).toEqual(made);
    expect(lines(job, 'kept')).toEqual(kept);
    expect(plan(job).comesOff ?? []).toHaveLength(
      { new: 0, front: 3, rear: 3, master: 1, booster: 2, line: 1, clutch: 1 }[job],
    );
  });
  test('split diagonally, the lines to the front brakes are new and the rear ones stay', () => {
    const { lines: all, parts } = plan('front', { split: 'diagonal', rearAxle: 'independent' });
    const to = (id: string | null) =>
      parts.find(({ ports }) => ports.some((port) => port.id === id))!.name;
    const made = all.filter(({ origin }) => origin === 'made').map(({ ends }) => to(ends.b.portId));
    expect(made).toEqual(['Front left', 'Front right']);
  });
  test('what stays has no card to be judged, no place to be measured for it and no joint to be asked for', () => {
    const kept = plan('rear');
    const about = (rule: string): string[] =>
      inspect(kept)
        .filter((snag) => snag.rule === rule)
        .map(({ text }) => text);
    // Each is an estimate, which Measure says once.
    expect(about('cut-unsure')).toEqual([]);
    expect(about('guess-unmeasured').join()).toMatch(/estimates: .*Rear/);
    expect(about('guess-unmeasured').join()).not.toMatch(/Front/);
    const asked = inspect(kept).find(({ rule }) => rule === 'thread-unknown')!.text;
    const all = inspect(plan('new')).find(({ rule }) => rule === 'thread-unknown')!.text;
    const count = (text: string): number => Number(/of (\d+) more/.exec(text)![1]);
    expect(count(asked)).toBeLessThan(count(all));
    expect(
      viewPlan(kept)
        .plan.parts.filter((part) => part.kept)
        .map(({ name }) => name),
    ).toEqual(expect.arrayContaining(['Tandem master', 'Front left', 'Front tee']));
  });
});
