import { TestBed } from '@angular/core/testing';
import type { Plan } from '@firm-line/core/plan';
import { Notices } from '../kit/notices';
import { gannet, openGannet, until } from '../testing/open-gannet';
import { PlanDb } from '../storage/plan-db';
import { PlanStore } from './plan-store';

const rename = (name: string) => ({ edit: 'rename', with: { name } }) as const;
const stored = async (id: string): Promise<Plan> => (await TestBed.inject(PlanDb).get(id))!.plan;

describe('the open plan', () => {
  test('an edit is in the store before the screen says saved, and undo goes back and forth', async () => {
    const store = await openGannet('s1');
    store.apply(rename('One'));
    expect(store.saved()).toBe('saving');
    await until(() => store.saved() === 'saved');
    expect((await stored('s1')).name).toBe('One');
    store.apply(rename('Two'));
    store.undo();
    expect(store.plan().name).toBe('One');
    store.redo();
    expect(store.plan().name).toBe('Two');
    store.undo();
    store.undo();
    expect([store.plan().name, store.canUndo()]).toEqual(['Gannet', false]);
    await until(() => store.saved() === 'saved');
    expect((await stored('s1')).name).toBe('Gannet');
  });

  test('an edit that cannot be made says why and changes nothing', async () => {
    const store = await openGannet('s2');
    const before = store.plan();
    expect(store.apply({ edit: 'removePoint', with: { id: 'datum-a' } })).toBe(false);
    expect(store.plan()).toBe(before);
    expect(TestBed.inject(Notices).list().at(-1)!.text).toMatch(/is a datum of/);
  });

  test('many quick edits end with the last one kept', async () => {
    const store = await openGannet('s3');
    for (let i = 0; i < 60; i++) store.apply(rename(`Name ${i}`));
    await until(() => store.saved() === 'saved');
    expect((await stored('s3')).name).toBe('Name 59');
  });

  test('a damaged plan is refused with every fault, and can be mended, gone back from, or left as it is', async () => {
    const db = TestBed.inject(PlanDb);
    await openGannet('s4');
    TestBed.inject(PlanStore).close();
    const { revision } = (await db.get('s4'))!;
    await db.write(
      { ...gannet(), id: 's4', name: 'Bad', units: 'cubits' } as unknown as Plan,
      revision,
    );
    const store = TestBed.inject(PlanStore);
    await store.open('s4');
    await until(() => store.phase() === 'refused');
    const { faults, mended, lastGood, raw } = store.refused()!;
    expect(faults[0]).toMatch(/^units: This should be one of metric, inch/);
    expect([raw.name, lastGood!.plan.name]).toEqual(['Bad', 'Gannet']);
    expect(store.apply(rename('No'))).toBe(false);
    expect((await stored('s4')).name).toBe('Bad');
    await store.takeInstead(mended!.plan);
    await until(() => store.saved() === 'saved');
    expect(await stored('s4')).toMatchObject({ name: 'Bad', units: 'metric' });
    expect(store.apply(rename('Mended'))).toBe(true);
  });

  test('without locks, two tabs that write at once: theirs stays, all of ours is kept beside it under a name of its own', async () => {
    const store = await openGannet('s5');
    const db = TestBed.inject(PlanDb);
    for (const round of [1, 2]) {
      const base = (await db.get('s5'))!.revision;
      await db.write({ ...gannet(), id: 's5', name: `Theirs ${round}` }, base);
      for (const name of ['In flight', 'On screen']) store.apply(rename(name));
      await until(() => store.plan().name === `Theirs ${round}` && store.editable());
    }
    const names = (await db.all()).map((row) => row.name);
    expect(names).toEqual(
      expect.arrayContaining([
        'Theirs 2',
        'On screen (from this tab)',
        'On screen (from this tab) 2',
      ]),
    );
    // What the other tab did can be gone back on here.
    store.undo();
    expect(store.plan().name).not.toBe('Theirs 2');
  });

  test('a write that fails is said and tried again by itself until it holds; the page is held back meanwhile', async () => {
    const store = await openGannet('s6');
    const db = TestBed.inject(PlanDb);
    const write = jest
      .spyOn(db, 'write')
      .mockRejectedValueOnce(new Error('QuotaExceededError'))
      .mockRejectedValueOnce(new Error('QuotaExceededError'));
    store.apply(rename('Kept at last'));
    await until(() => store.saved() === 'failed');
    expect(store.saveFailure()).toBe('QuotaExceededError');
    const leaving = new Event('beforeunload', { cancelable: true });
    window.dispatchEvent(leaving);
    expect(leaving.defaultPrevented).toBe(true);
    await until(() => store.saved() === 'saved');
    expect((await stored('s6')).name).toBe('Kept at last');
    expect(store.saveFailure()).toBeNull();
    const left = new Event('beforeunload', { cancelable: true });
    window.dispatchEvent(left);
    expect(left.defaultPrevented).toBe(false);
    write.mockRestore();
  });

  test('a plan that was deleted in the list is not written again', async () => {
    const store = await openGannet('s7');
    const db = TestBed.inject(PlanDb);
    await db.setDeleted('s7', '2026-01-01T00:00:00.000Z');
    store.apply(rename('Undead'));
    await until(() => store.saved() === 'failed');
    expect(store.saveFailure()).toMatch(/deleted in another tab/);
    expect((await db.get('s7'))!).toMatchObject({
      name: 'Gannet',
      deletedAt: '2026-01-01T00:00:00.000Z',
    });
  });

  test('a browser that keeps nothing opens a demo plan all the same, and says so', async () => {
    const db = TestBed.inject(PlanDb);
    const get = jest.spyOn(db, 'get').mockRejectedValue(new Error('IndexedDB API missing'));
    const write = jest.spyOn(db, 'write').mockRejectedValue(new Error('IndexedDB API missing'));
    const text = JSON.stringify(gannet());
    Object.assign(globalThis, {
      fetch: () => Promise.resolve({ ok: true, json: () => Promise.resolve(JSON.parse(text)) }),
    });
    const store = TestBed.inject(PlanStore);
    await store.open('gannet');
    await until(() => store.editable());
    expect(store.apply(rename('In hand'))).toBe(true);
    await until(() => store.saved() === 'failed');
    expect(
      TestBed.inject(Notices)
        .list()
        .map(({ text: said }) => said)
        .join(),
    ).toMatch(/This browser cannot store plans here \(IndexedDB API missing\)/);
    get.mockRestore();
    write.mockRestore();
    store.close();
  });

  test('snags belong to the plan as it is: none of another state is shown', async () => {
    const store = await openGannet('s8');
    const count = store.snags().length;
    expect(count).toBeGreaterThan(10);
    store.apply({ edit: 'removeLine', with: { id: 'line-r2' } });
    expect([store.isJudged(), store.snags().length]).toEqual([false, 0]);
    expect(store.laidOutSnags().length).toBe(count);
    await until(() => store.isJudged());
    expect(store.snags().map(({ rule }) => rule)).toContain('part-unfed');
    // What is found again just so is the same object, so that its row stays.
    const tape = store.snags().find(({ rule }) => rule === 'tape-suspect');
    store.apply(rename('Other'));
    await until(() => store.isJudged());
    expect(store.snags().find(({ rule }) => rule === 'tape-suspect')).toBe(tape);
  });

  test('a plan that is nowhere', async () => {
    const store = TestBed.inject(PlanStore);
    await store.open('nowhere');
    expect(store.phase()).toBe('missing');
  });
});
