import { provideZonelessChangeDetection } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { PlanFileError, writePlan } from '@firm-line/core/plan';
import { Notices } from '../kit/notices';
import { PlanDb } from '../storage/plan-db';
import { PlanFiles } from '../storage/plan-files';
import { gannet, until } from '../testing/open-gannet';
import { PlansPage } from './plans-page';

async function page() {
  TestBed.configureTestingModule({
    providers: [provideZonelessChangeDetection(), provideRouter([{ path: '**', children: [] }])],
  });
  const fixture = TestBed.createComponent(PlansPage);
  const root = fixture.nativeElement as HTMLElement;
  await fixture.whenStable();
  await until(
    () =>
      root.querySelector('[data-test=plan-row]') !== null ||
      root.textContent!.includes('No plans yet'),
  );
  const rows = (): string[] =>
    [...root.querySelectorAll('[data-test=plan-row] a span:first-child')].map((e) =>
      e.textContent!.trim(),
    );
  const press = (name: string): void =>
    [...root.querySelectorAll<HTMLElement>('button')]
      .find((b) => b.getAttribute('aria-label') === name || b.textContent!.trim() === name)!
      .click();
  return {
    fixture,
    root,
    rows,
    press,
    files: TestBed.inject(PlanFiles),
    db: TestBed.inject(PlanDb),
  };
}
/** jsdom's files have no text(): what is given is read as it is. */
const file = (text: string, size?: number): File =>
  ({
    name: 'given.firmline.json',
    size: size ?? text.length,
    text: () => Promise.resolve(text),
  }) as unknown as File;

describe('plans', () => {
  test('a file comes in; the same again is a copy; a bad one changes nothing', async () => {
    const { files, db } = await page();
    const text = writePlan({ ...gannet(), id: 'in1', name: 'In one' });
    expect((await files.import(file(text))).id).toBe('in1');
    const copy = await files.import(file(text));
    expect([copy.id === 'in1', copy.name]).toEqual([false, 'In one 2']);
    const count = (await db.all()).length;
    await expect(files.import(file(text.replace('"metric"', '"cubits"')))).rejects.toMatchObject({
      faults: [{ path: 'units' }],
    });
    await expect(files.import(file('nonsense'))).rejects.toBeInstanceOf(PlanFileError);
    await expect(files.import(file('', 80_000_000))).rejects.toMatchObject({
      faults: [{ message: expect.stringMatching(/80\.0 MB; 32 MB/) }],
    });
    expect(await db.all()).toHaveLength(count);
  });

  test('deleted, undone, deleted and brought back', async () => {
    await TestBed.inject(PlanDb).write({ ...gannet(), id: 'del1', name: 'Del one' }, 0);
    TestBed.resetTestingModule();
    const { rows, press, root } = await page();
    await until(() => rows().includes('Del one'));
    press('Delete Del one');
    await until(() => !rows().includes('Del one'));
    TestBed.inject(Notices).list().at(-1)!.action!.run();
    await until(() => rows().includes('Del one'));
    press('Delete Del one');
    await until(() => root.textContent!.includes('Restore Del one'));
    press('Restore Del one');
    await until(() => rows().includes('Del one'));
  });

  test('files that are dropped come in one after another; each that cannot is named with its faults', async () => {
    const { root, rows } = await page();
    const drop = new Event('drop', { bubbles: true, cancelable: true });
    const files = [
      file(writePlan({ ...gannet(), id: 'dr1', name: 'Dropped' })),
      file('nonsense'),
      { ...file('', 80_000_000), name: 'vast.json' },
    ];
    Object.assign(drop, { dataTransfer: { files } });
    root.querySelector('main')!.dispatchEvent(drop);
    await until(() => rows().includes('Dropped') && TestBed.inject(Notices).list().length >= 3);
    expect(drop.defaultPrevented).toBe(true);
    const said = TestBed.inject(Notices)
      .list()
      .map(({ text }) => text);
    expect(said).toContain('Dropped was imported from given.firmline.json.');
    for (const name of ['given.firmline.json', 'vast.json'])
      expect(said).toContain(`${name} was not imported. Nothing was changed.`);
    expect(
      TestBed.inject(Notices)
        .list()
        .flatMap((one) => one.details ?? [])
        .join(),
    ).toMatch(/80\.0 MB; 32 MB/);
  });

  test('renamed with a name, not without one', async () => {
    HTMLDialogElement.prototype.showModal = jest.fn();
    await TestBed.inject(PlanDb).write({ ...gannet(), id: 'rn1', name: 'Old name' }, 0);
    TestBed.resetTestingModule();
    const { root, rows, press, db, fixture } = await page();
    await until(() => rows().includes('Old name'));
    press('Rename Old name');
    const name = root.querySelector<HTMLInputElement>('#plan-name')!;
    expect(name.value).toBe('Old name');
    const submit = async (text: string): Promise<void> => {
      name.value = text;
      name.form!.dispatchEvent(new Event('submit', { cancelable: true }));
      await new Promise((done) => setTimeout(done, 30));
      await fixture.whenStable();
    };
    await submit('   ');
    expect(rows()).toContain('Old name');
    await submit(' New name ');
    await until(() => rows().includes('New name'));
    expect(rows()).not.toContain('Old name');
    expect((await db.get('rn1'))!).toMatchObject({
      name: 'New name',
      revision: 2,
      plan: { name: 'New name' },
    });
  });

  test('duplicated under a name of its own; a new plan takes the bench of the last', async () => {
    const db = TestBed.inject(PlanDb);
    const plan = {
      ...gannet(),
      id: 'dup1',
      name: 'Dup one',
      changedAt: '2099-01-01T00:00:00.000Z',
      bench: { ...gannet().bench, trimMm: 33 },
    };
    await db.write(plan, 0);
    TestBed.resetTestingModule();
    const { rows, press } = await page();
    await until(() => rows().includes('Dup one'));
    press('Duplicate Dup one');
    await until(() => rows().includes('Dup one 2'));
    const made = await TestBed.inject(PlanFiles).create();
    expect([made.lines.length, made.bench.trimMm]).toEqual([0, 33]);
  });
});
