import { inspect } from '../../../inspect/index.ts';
import { applyEdit, type JointWork, type Plan } from '../../../plan/index.ts';
import { viewPlan } from '../../../plan/results/index.ts';
import { demo } from '../../../testing/demo-plans.ts';
import { listView } from '../../make/buying/index.ts';
import { floorView, torqueOf, type TaskView } from './index.ts';

const gannet = demo('gannet');
const AT = '2026-03-02T09:00:00Z';
const task = (plan: Plan, id: string): TaskView =>
  floorView(viewPlan(plan)).find((one) => one.task.id === id)!;
const joint = (patch: Partial<JointWork>): Plan =>
  applyEdit(gannet, {
    edit: 'changeJoint',
    with: { of: 'line', id: 'line-c1', end: 'a', patch },
  });
const wanted = (plan: Plan, id: string): number | null =>
  torqueOf(task(plan, id).task, plan.floor)!.wantedNm;

// End A of C1 has a taper adapter in its port and the tube nut on that.
describe('an end with two joints', () => {
  it('has each tightened by itself, the adapter before the nut', () => {
    expect(task(gannet, 'tighten:line-c1:a:0').task.name).toMatch(/tighten the adapter, joint 1/);
    expect(task(gannet, 'tighten:line-c1:a').task.needs).toEqual(['tighten:line-c1:a:0']);
    expect(task(gannet, 'tighten:line-r1:a').task.needs).not.toContain('tighten:line-r1:a:0');
  });
  it('takes its torques one by one', () => {
    const plan = joint({
      torqueNm: 17,
      torqueSource: 'sheet 4',
      torques: [{ nm: 25, source: 'sheet 9' }],
    });
    expect(wanted(plan, 'tighten:line-c1:a')).toBe(17);
    expect(wanted(plan, 'tighten:line-c1:a:0')).toBe(25);
    expect(wanted(gannet, 'tighten:line-c1:a:0')).toBeNull();
  });
  it('has an unlikely torque said of the joint that has it', () => {
    const said = (nm: number): string[] =>
      inspect(joint({ torques: [{ nm, source: '' }] }))
        .filter(({ rule }) => rule === 'torque-unlikely')
        .map(({ where }) => where);
    expect(said(400)).toEqual(['C1, end A, joint 1']);
    expect(said(15)).toEqual([]);
  });
});

// End B of each of Wheatear's hoses is a banjo on its caliper.
describe('a joint that was opened', () => {
  const wheatear = demo('wheatear');
  const id = 'tighten:hose-fl:b';
  const washers = (plan: Plan): number =>
    listView(viewPlan(plan))
      .rows.filter(({ item }) => item.key.startsWith('use:Sealing washer'))
      .reduce((sum, { item }) => sum + item.count, 0);
  it('needs its two washers once more', () => {
    const opened = applyEdit(wheatear, { edit: 'recordOpened', with: { task: id, at: AT } });
    expect(washers(opened)).toBe(washers(wheatear) + 2);
  });
  it('is not said to have used washers again where it has none', () => {
    const again = (of: string): string[] => {
      const { stamp } = task(wheatear, of).task;
      const plan = applyEdit(wheatear, {
        edit: 'recordTorque',
        with: { task: of, stamp, nm: 17, washers: 'reused', at: AT },
      });
      return inspect(plan)
        .filter(({ rule }) => rule === 'used-again')
        .map(({ level }) => level);
    };
    expect(again(id)).toEqual(['stop']);
    expect(again(`tighten:${wheatear.lines[0]!.id}:a`)).toEqual([]);
  });
});
