import { withDone, withSection } from '../../../../core/src/testing/records';
import { applyEdits, emptyPlan, NO_FLOOR, type EditCall } from '@firm-line/core/plan';
import { floorView } from '@firm-line/core/stations/fit/tasks';
import { viewPlan } from '@firm-line/core/plan/results';
import { demo } from '../../testing/open-gannet';
import { station } from '../../testing/station';

type At = Awaited<ReturnType<typeof station>>;
const gannet = demo('gannet');
/** The demo with everything done that comes before tightening R2. */
const readyToTighten = () => {
  const { digest } = viewPlan(gannet).lines.find(({ line }) => line.id === 'line-r2')!;
  const steps = ['cut', 'flare-a', 'flare-b', 'clean', 'cap', 'bend-1', 'bend-2'];
  const ticks = steps.map((step): EditCall => ({
    edit: 'tick',
    with: { id: 'line-r2', step, digest, at: '2026-11-27T10:00:00Z' },
  }));
  const made = applyEdits(gannet, ticks);
  const wanted = new Set(['safety', 'strip', 'clean', 'part', 'bracket', 'paint', 'run', 'join']);
  const floor = floorView(viewPlan(made))
    .filter(({ task }) => wanted.has(task.kind) || task.id === 'look:line:line-r2')
    .reduce((now, { task }) => withDone(now, task, '2026-11-27T10:00:00Z'), NO_FLOOR);
  return withSection(made, 'floor', floor);
};
const pick = async (at: At, id: string): Promise<void> => {
  for (const more of [...at.root.querySelectorAll('button')].filter((button) =>
    button.textContent!.trim().startsWith('Show all'),
  ))
    if (more.isConnected) await at.click(more);
  await at.click(at.one(`[data-task="${id}"]`));
};

describe('Fit', () => {
  test('an empty plan has nothing to fit and says what is missing', async () => {
    const at = await station('fit', 'ft1', '', emptyPlan('ft1', 'Empty', '2026-11-27T10:00:00Z'));
    expect(at.texts('fl-empty-state h2')).toEqual(['Nothing to fit yet']);
  });

  test('a joint is held against its figure: too little, good, and opened again', async () => {
    const plan = applyEdits(readyToTighten(), [
      {
        edit: 'changeJoint',
        with: {
          of: 'line',
          id: 'line-r2',
          end: 'a',
          patch: { torqueNm: 17, torqueSource: 'master’s sheet' },
        },
      },
    ]);
    const at = await station('fit', 'ft2', 'line-r2', plan);
    await pick(at, 'tighten:line-r2:a');
    expect(at.texts('fl-task-detail').join()).toMatch(/17 ?N·m/);
    const field = at.one<HTMLInputElement>('#wrench-said input, input#wrench-said');
    await at.type(field, '168 N');
    expect(at.texts('fl-task-detail .fault').join()).toMatch(/Newtons are a force/);
    await at.type(field, '15');
    expect(at.texts('[data-test=torque]')[0]).toMatch(/^Too low/);
    await at.type(field, '12.5 lb ft');
    expect(at.texts('[data-test=torque]')[0]).toMatch(/^Good/);
    await at.click(at.button('Tight and marked: next'));
    expect(at.store.plan().floor.tight).toEqual([
      expect.objectContaining({
        key: 'tighten:line-r2:a',
        nm: expect.closeTo(16.95, 2),
        opened: false,
      }),
    ]);
    await pick(at, 'tighten:line-r2:a');
    await at.click(at.button('Mark as opened'));
    expect(
      at.store.snags().some(({ rule, level }) => rule === 'opened-not-tight' && level === 'stop'),
    ).toBe(true);
  });

  test('left for later with a day, taken up again; found otherwise is kept beside it', async () => {
    const at = await station('fit', 'ft3');
    await pick(at, 'safety:stands');
    await at.click(at.button('Put off…'));
    at.one<HTMLInputElement>('#task-words').value = 'no stands here';
    at.one<HTMLInputElement>('#task-day').value = '2026-12-01';
    await at.click(at.button('Put off'));
    expect(at.store.plan().floor.later).toEqual([
      { task: 'safety:stands', until: '2026-12-01', why: 'no stands here' },
    ]);
    await pick(at, 'safety:stands');
    await at.click(at.button('Resume'));
    expect(at.store.plan().floor.later).toEqual([]);
    await at.click(at.button('Record a deviation…'));
    at.one<HTMLInputElement>('#task-words').value = 'hole off by 25 mm';
    await at.click(at.button('Record'));
    expect(at.texts('fl-fit-station').join() + at.root.textContent).toMatch(
      /Lift onto stands, under the frame: hole off by 25 mm/,
    );
  });

  test('a task of the user’s own, and means that change the session', async () => {
    const at = await station('fit', 'ft4');
    at.one<HTMLInputElement>('#own-task').value = 'Sweep';
    at.one('#own-task').dispatchEvent(new Event('input'));
    await at.settle();
    await at.click(at.button('Add'));
    expect(at.store.plan().floor.own).toEqual([
      { id: 'own-2', name: 'Sweep', minutes: 15, people: 1, needs: [], gateId: null },
    ]);
    await at.click(at.button('Change'));
    const minutes = [...at.root.querySelectorAll('fl-session-form fl-text-input')]
      .find((one) => one.textContent!.includes('Time available'))!
      .querySelector('input')!;
    await at.type(minutes, '0');
    expect(at.texts('fl-session-form .fault')).toHaveLength(1);
    await at.type(minutes, '30');
    for (let i = 0; i < 20 && !at.texts('[data-test=session]')[0]!.startsWith('3 tasks'); i++)
      await at.settle();
    expect(at.texts('h2')[0]).toBe('Now, alone, 30 minutes');
  });

  test('an edit that moves what was fitted gives the work back, and a snag says so; undone it stands again', async () => {
    const at = await station('fit', 'ft5', 'line-r2', readyToTighten());
    const listed = (group: string): string[] => at.texts(`${group} [data-task="part:master"]`);
    expect(listed('ol[aria-label=Now]')).toHaveLength(0);
    const move = {
      edit: 'setKnown',
      with: {
        target: { kind: 'port', id: 'port-master-rear' },
        known: { how: 'typed', atMm: [300, -330, 800], sigmaMm: [1, 1, 1] },
      },
    } as const;
    at.store.apply(move);
    // Nothing is changed before it is agreed to.
    expect(at.store.held()!.undoes).toContain('Fit Tandem master');
    expect(listed('ol[aria-label=Now]')).toHaveLength(0);
    at.store.answerHeld(false);
    expect([at.store.held(), at.store.canUndo()]).toEqual([null, false]);
    at.store.apply(move);
    at.store.answerHeld(true);
    await at.settle();
    expect(listed('ol[aria-label=Now]')).toHaveLength(1);
    expect(
      at.store
        .snags()
        .filter(({ rule }) => rule === 'undone-by-change')
        .map(({ text }) => text)
        .join(),
    ).toContain('Fit Tandem master');
    at.store.undo();
    await at.settle();
    expect(listed('ol[aria-label=Now]')).toHaveLength(0);
    expect(at.store.snags().some(({ rule }) => rule === 'undone-by-change')).toBe(false);
  });

  test('bolts are drawn up in star order, each marked; their figure, source and size are set down', async () => {
    const at = await station('fit', 'ft7', 'line-r2', readyToTighten());
    await pick(at, 'bolts:fl');
    expect(at.texts('fl-torque-card').join()).toMatch(/see sheet/);
    await at.type(at.one<HTMLInputElement>('#wanted-nm'), '600 N·m');
    await at.type(at.one<HTMLInputElement>('#wanted-thread'), 'bolt');
    expect(at.texts('fl-wanted-form .fault').join()).toMatch(/"bolt" is not a thread/);
    await at.type(at.one<HTMLInputElement>('#wanted-thread'), 'M12x1.5');
    const count = [...at.root.querySelectorAll('fl-wanted-form fl-text-input')]
      .find((one) => one.textContent!.includes('How many'))!
      .querySelector('input')!;
    await at.type(count, '5');
    await at.type(at.one<HTMLInputElement>('#wrench-said'), '600');
    const tight = (): HTMLButtonElement => at.button('Tight and marked: next') as HTMLButtonElement;
    expect(tight().disabled).toBe(true);
    expect(at.texts('fl-star-order button').map((text) => text.trim())).toEqual([
      '1',
      '2',
      '3',
      '4',
      '5',
    ]);
    await at.click(at.one('fl-star-order [aria-label="No. 5"]'));
    await at.click(tight());
    expect(at.store.plan().floor).toMatchObject({
      wanted: [{ key: 'bolts:fl', nm: 600, thread: 'M12x1.5', count: 5 }],
      tight: [{ key: 'bolts:fl', nm: 600, opened: false }],
    });
    expect(at.store.snags().filter(({ rule }) => rule === 'torque-open')).toHaveLength(1);
  });

  test('a task of the user’s own comes after others and before a gate, and can be removed; bolts too', async () => {
    const at = await station('fit', 'ft8');
    const add = async (name: string, button: string): Promise<void> => {
      at.one<HTMLInputElement>('#own-task').value = name;
      at.one('#own-task').dispatchEvent(new Event('input'));
      await at.settle();
      await at.click(at.button(button));
    };
    await add('Photograph the frame', 'Add');
    await pick(at, 'own:own-2');
    await at.choose(at.one('#own-need'), 'Lift onto stands, under the frame');
    await at.choose(at.one('#own-gate'), gannet.gates[0]!.name);
    expect(at.store.plan().floor.own).toEqual([
      expect.objectContaining({ needs: ['safety:stands'], gateId: gannet.gates[0]!.id }),
    ]);
    expect(at.texts('[data-test=waits]')[0]).toMatch(/After: Lift onto stands/);
    await at.click(at.button('Remove task'));
    expect(at.store.plan().floor.own).toEqual([]);
    await add('Hub nut', 'Add with torque');
    await pick(at, 'fastener-1');
    expect(at.texts('fl-torque-card').join()).toMatch(/see sheet/);
    await at.click(at.button('Remove task'));
    expect(at.store.plan().floor.wanted).toEqual([]);
  });

  test('what comes off is said once, comes before all else, and may stay on after all', async () => {
    const at = await station('fit', 'ft10');
    at.one<HTMLInputElement>('#own-task').value = 'Old brake wires';
    at.one('#own-task').dispatchEvent(new Event('input'));
    await at.settle();
    await at.click(at.button('Add part to remove'));
    expect(at.store.plan().comesOff).toEqual(['Old brake wires']);
    await pick(at, 'strip:Old brake wires');
    expect(at.texts('fl-task-detail').join()).toMatch(
      /Insulate each end and tag it with its function\.about 15 minutes · alone Waiting/,
    );
    await at.click(at.button('Part stays on'));
    expect(at.store.plan().comesOff).toEqual([]);
  });

  test('a new session asks for stands and chocks again', async () => {
    const at = await station('fit', 'ft9', 'line-r2', readyToTighten());
    await at.click(at.button('Change'));
    await at.click(at.button('Start a new session'));
    expect(at.texts('ol[aria-label=Now] [data-task="safety:stands"]')).toHaveLength(1);
    expect(at.store.snags().some(({ rule }) => rule === 'undone-by-change')).toBe(false);
  });

  test('a look that is not good stays open with its snag, and can be looked at again', async () => {
    const at = await station('fit', 'ft6', 'line-r2', readyToTighten());
    const look = 'look:part:fl';
    await pick(at, look);
    await at.click(at.button('Not good'));
    expect(at.store.plan().floor.looks).toEqual([
      expect.objectContaining({ task: look, good: false }),
    ]);
    expect(at.store.snags().some(({ rule }) => rule === 'look-open')).toBe(true);
    await pick(at, look);
    await at.click(at.button('Checked, good: next'));
    expect(at.store.plan().floor.looks).toEqual([]);
    expect(at.store.snags().some(({ rule }) => rule === 'look-open')).toBe(false);
    // The next task stands there by itself.
    expect(at.texts('[data-test=task]')[0]).not.toMatch(/Front left: right side/);
  });
});
