import { applyEdit, type Gate } from '../../../plan/index.ts';
import { viewPlan } from '../../../plan/results/index.ts';
import { demo } from '../../../testing/demo-plans.ts';
import { beforeItCloses, byDay } from './index.ts';

const gate = (minMm: Gate['minMm'], maxMm: Gate['maxMm']): Gate => ({
  id: 'g',
  name: 'Bed on',
  minMm,
  maxMm,
  closed: false,
});
const gannet = demo('gannet');
const tasks = (plan: typeof gannet, of: Gate) => beforeItCloses(viewPlan(plan), of);

test('the rear of Gannet: its guess is measured, its lines are run, its joints held, and nothing of the front', () => {
  const found = tasks(gannet, gate([2700, -800, 300], [3200, 800, 900]));
  expect(found.filter(({ kind }) => kind === 'measure').map(({ text }) => text)).toEqual([
    'Measure Rear right, hose end at bracket: it is an estimate.',
  ]);
  expect(found.filter(({ kind }) => kind === 'run').map(({ place }) => place.id)).toEqual([
    'line-r1',
    'line-r2',
    'line-r3',
  ]);
  // R1 ends there at B; R2 and R3 at both ends: five joints.
  expect(found.find(({ kind }) => kind === 'test')!.text).toMatch(
    /these 5 joints .*R1, end B; R2, end A; R2, end B; R3, end A; R3, end B\./,
  );
  expect(new Set(found.map(({ id }) => id)).size).toBe(found.length);
});
test('a place measured is no longer on the list; an empty corner of the shop has none', () => {
  const of = gate([2700, -800, 300], [3200, 800, 900]);
  expect(tasks(gannet, of).filter(({ kind }) => kind === 'measure')).toHaveLength(1);
  expect(tasks(gannet, gate([9000, 0, 0], [9100, 10, 10]))).toEqual([]);
});
test('a port that nothing joins is told', () => {
  const lost = applyEdit(gannet, { edit: 'removeLine', with: { id: 'line-r3' } });
  const of = gate([2700, -800, 300], [3200, 800, 900]);
  expect(
    tasks(lost, of)
      .filter(({ kind }) => kind === 'join')
      .map(({ text }) => text),
  ).toEqual([
    'Port open: Rear tee, right. Join, plug or cap it.',
    'Port open: Rear right, hose end at bracket. Join, plug or cap it.',
  ]);
});
test('what closes first comes first', () => {
  const on = (day: string | null): Gate => ({ ...gate([0, 0, 0], [1, 1, 1]), on: day });
  expect([on(null), on('2026-12-01'), on('2026-11-30')].sort(byDay).map((one) => one.on)).toEqual([
    '2026-11-30',
    '2026-12-01',
    null,
  ]);
});
