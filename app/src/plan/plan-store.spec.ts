import { TestBed } from '@angular/core/testing';
import type { Plan } from '@firm-line/core/plan';
import { Notices } from '../kit/notices';
import { gannet, openGannet, until } from '../testing/open-gannet';
import { PlanDb } from './plan-db';
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
    expect(store.plan()!.name).toBe('One');
    store.redo();
    expect(store.plan()!.name).toBe('Two');
    store.undo();
    store.undo();
    expect([store.plan()!.name, store.canUndo()]).toEqual(['Gannet', false]);
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

  test('a damaged plan is shown and not edited', async () => {
    const db = TestBed.inject(PlanDb);
    await db.write({ ...gannet(), id: 's4', units: 'cubits' } as unknown as Plan, 0);
    const store = TestBed.inject(PlanStore);
    await store.open('s4');
    await until(() => store.phase() === 'refused');
    expect(store.plan()!.name).toBe('Gannet');
    expect(store.apply(rename('No'))).toBe(false);
    expect((await stored('s4')).name).toBe('Gannet');
    expect(TestBed.inject(Notices).list().at(-1)!.details[0]).toMatch(/^units: /);
  });

  test('two tabs that write at once: theirs stays, ours is kept beside it', async () => {
    const store = await openGannet('s5');
    const db = TestBed.inject(PlanDb);
    const base = (await db.get('s5'))!.revision;
    await db.write({ ...gannet(), id: 's5', name: 'Theirs' }, base);
    store.apply(rename('Ours'));
    await until(() => store.plan()?.name === 'Theirs' && store.editable());
    const names = (await db.all()).map((row) => row.name);
    expect(names).toEqual(expect.arrayContaining(['Theirs', 'Ours (from this tab)']));
  });

  test('a plan that is nowhere', async () => {
    const store = TestBed.inject(PlanStore);
    await store.open('nowhere');
    expect(store.phase()).toBe('missing');
  });
});
