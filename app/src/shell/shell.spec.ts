import {
  DOWN_ARROW,
  HOME,
  A as KEY_A,
  LEFT_ARROW,
  RIGHT_ARROW,
  UP_ARROW,
} from '@angular/cdk/keycodes';
import { TestBed } from '@angular/core/testing';
import { provideRouter, Router } from '@angular/router';
import { floorView } from '@firm-line/core/stations/fit/tasks';
import { viewPlan } from '@firm-line/core/plan/results';
import { Selection } from '../session/selection';
import { APP_PROVIDERS, openGannet, until } from '../testing/open-gannet';
import { Jump } from '../session/jump';
import { LineTabs } from '../pieces/line-tabs';
import { Shell } from './shell';

async function shell(id: string) {
  TestBed.configureTestingModule({
    providers: [...APP_PROVIDERS, provideRouter([{ path: '**', children: [] }])],
  });
  // Dialogs are the browser's own; this environment has none of their methods.
  HTMLDialogElement.prototype.showModal ??= function (this: HTMLDialogElement) {
    this.setAttribute('open', '');
  };
  HTMLDialogElement.prototype.close ??= function (this: HTMLDialogElement) {
    this.removeAttribute('open');
  };
  const store = await openGannet(id);
  const fixture = TestBed.createComponent(Shell);
  fixture.componentRef.setInput('planId', id);
  await fixture.whenStable();
  await until(() => store.editable());
  const root = fixture.nativeElement as HTMLElement;
  const key = async (name: string, more: KeyboardEventInit = {}): Promise<void> => {
    document.dispatchEvent(new KeyboardEvent('keydown', { key: name, bubbles: true, ...more }));
    await fixture.whenStable();
  };
  const text = (selector: string): string =>
    root.querySelector(selector)!.textContent!.replace(/\s+/g, ' ').trim();
  return { store, fixture, root, key, text, url: () => TestBed.inject(Router).url };
}

describe('the shell', () => {
  test('shows the plan, that it is saved, and how many snags there are', async () => {
    const at = await shell('h1');
    expect(at.text('header')).toContain('Gannet · saved');
    expect(at.text('[data-test=snags]')).toBe(`${at.store.snags().length} snags`);
  });

  test('each kind of figure has its unit; a preset puts all of them back', async () => {
    const at = await shell('h1u');
    await at.key('?');
    const choose = async (kind: string, unit: string): Promise<void> => {
      const list = at.root.querySelector<HTMLSelectElement>(`#unit-${kind}`)!;
      list.value = unit;
      list.dispatchEvent(new Event('change'));
      await at.fixture.whenStable();
    };
    await choose('pressure', 'bar');
    await choose('force', 'N');
    expect(at.store.shownUnits()).toMatchObject({ pressure: 'bar', force: 'N', speed: 'km/h' });
    expect(at.store.quantities().pressure(7)).toBe('70 bar');
    await at.key('u');
    expect(at.store.shownUnits()).toMatchObject({ pressure: 'bar', force: 'N', speed: 'km/h' });
    await at.key('z', { ctrlKey: true });
    expect(at.store.shownUnits()).toMatchObject({ pressure: 'bar', force: 'N' });
  });

  test('a term of the glossary is found, and its card shown', async () => {
    const at = await shell('h1t');
    await at.key('/');
    const field = at.root.querySelector<HTMLInputElement>('fl-find-anything input')!;
    field.value = 'banjo bolt';
    field.dispatchEvent(new Event('input'));
    await until(
      () => at.root.querySelector('fl-find-anything li')?.textContent?.includes('term') ?? false,
    );
    at.root.querySelector<HTMLElement>('fl-find-anything li')!.click();
    await at.fixture.whenStable();
    expect(at.text('fl-find-anything fl-glossary-card')).toMatch(/new washer on each face/);
  });

  test('keys: units, undo, redo, stations, the list of keys', async () => {
    const at = await shell('h2');
    await at.key('u');
    expect(at.store.units()).toBe('inch');
    await at.key('z', { ctrlKey: true });
    expect(at.store.units()).toBe('metric');
    await at.key('Z', { ctrlKey: true, shiftKey: true });
    expect(at.store.units()).toBe('inch');
    await at.key('6');
    expect(at.url()).toMatch(/\/make$/);
    await at.key('?');
    expect(at.root.querySelector('fl-key-list dialog')!.hasAttribute('open')).toBe(true);
    // While a dialog is open the keys are its own.
    await at.key('1');
    expect(at.url()).toMatch(/\/make$/);
  });

  test('finding: by words in any order, by arrow and Enter', async () => {
    const at = await shell('h3');
    await at.key('/');
    const field = at.root.querySelector<HTMLInputElement>('fl-find-anything input')!;
    field.value = 'inlet slave';
    field.dispatchEvent(new Event('input'));
    await at.fixture.whenStable();
    expect(at.text('fl-find-anything li')).toContain('Clutch slave, inlet');
    const chosen = (): string | null => field.getAttribute('aria-activedescendant');
    const rows = at.root.querySelectorAll('fl-find-anything li').length;
    expect(rows).toBeGreaterThan(1);
    const arrow = async (keyCode: number): Promise<void> => {
      field.dispatchEvent(new KeyboardEvent('keydown', { keyCode }));
      await at.fixture.whenStable();
    };
    await arrow(DOWN_ARROW);
    expect(chosen()).toBe('find-1');
    await arrow(UP_ARROW);
    await arrow(UP_ARROW);
    expect(chosen()).toBe(`find-${rows - 1}`);
    await arrow(DOWN_ARROW);
    expect(chosen()).toBe('find-0');
    field.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter' }));
    await at.fixture.whenStable();
    expect(TestBed.inject(Selection).target()).toEqual({ kind: 'port', id: 'port-cs-in' });
    expect(at.url()).toMatch(/\/measure\/places\?at=port:port-cs-in$/);
  });

  test('the drawer lists every snag by level, with a way to each', async () => {
    const at = await shell('h4');
    await at.key('s');
    const rows = at.root.querySelectorAll('fl-snag-drawer fl-snag-row');
    expect(rows).toHaveLength(at.store.snags().length);
    expect(at.text('fl-snag-drawer h3')).toMatch(/^Stop/);
    at.root.querySelector<HTMLButtonElement>('[aria-label="Go to R2, end B in Route"]')!.click();
    await at.fixture.whenStable();
    expect([TestBed.inject(Selection).line()!.line.name, TestBed.inject(Selection).node()]).toEqual(
      ['R2', 2],
    );
  });

  test('of many of a kind the first stands open and the others behind it, with their count', async () => {
    const at = await shell('h4b');
    const trusted = (): number =>
      at.store.snags().filter(({ rule }) => rule === 'thread-trusted').length;
    for (const id of ['port-fr', 'port-rl', 'port-fl']) {
      const { fitting } = at.store.view().ports.get(id)!.port;
      at.store.apply({
        edit: 'changePort',
        with: { id, patch: { fitting: { ...fitting!, how: 'trusted' } } },
      });
    }
    await until(() => trusted() === 4);
    await at.key('s');
    const fold = [...at.root.querySelectorAll('fl-snag-drawer details')].find((one) =>
      one.textContent!.includes('is not measured. Measure it'),
    )!;
    expect(fold.querySelector('summary')!.textContent).toContain('3 more like this');
    expect(fold.querySelectorAll('fl-snag-row')).toHaveLength(3);
    expect(at.root.querySelectorAll('fl-snag-drawer fl-snag-row')).toHaveLength(
      at.store.snags().length,
    );
  });

  test('the next snag goes round and round', async () => {
    const at = await shell('h5');
    const jump = TestBed.inject(Jump);
    const gone = jest.spyOn(jump, 'toSnag');
    const keys = at.store.snags().map(({ key }) => key);
    for (let i = 0; i < keys.length + 2; i++) {
      jump.toNextSnag();
      await at.fixture.whenStable();
    }
    expect(keys.length).toBeGreaterThan(4);
    expect(gone.mock.calls.map(([{ key }]) => key)).toEqual([...keys, keys[0], keys[1]]);
  });
});

describe('the ribbon', () => {
  test('one line is chosen, arrows walk along and round', async () => {
    const at = await shell('h6');
    TestBed.inject(Selection).chooseLine('line-f1');
    const fixture = TestBed.createComponent(LineTabs);
    await fixture.whenStable();
    const root = fixture.nativeElement as HTMLElement;
    const chosen = (): string =>
      root.querySelector('[aria-checked=true]')!.getAttribute('data-line')!;
    const press = async (keyCode: number): Promise<void> => {
      root
        .querySelector('[aria-checked=true]')!
        .dispatchEvent(new KeyboardEvent('keydown', { keyCode, bubbles: true }));
      await fixture.whenStable();
    };
    expect([root.querySelectorAll('[role=radio]').length, chosen()]).toEqual([
      at.store.plan().lines.length,
      'line-f1',
    ]);
    await press(RIGHT_ARROW);
    expect(chosen()).toBe('line-f2');
    await press(LEFT_ARROW);
    await press(LEFT_ARROW);
    expect(chosen()).toBe('line-c1');
    await press(HOME);
    expect(chosen()).toBe('line-f1');
    // Any other key is not the row's.
    await press(KEY_A);
    expect(chosen()).toBe('line-f1');
  });

  test('an edit that would undo done work is asked about: left it changes nothing, agreed to it is made and can be undone', async () => {
    const at = await shell('h-held');
    // All of the demo's parts are told to be fitted.
    for (const { task } of floorView(viewPlan(at.store.plan())))
      if (task.kind === 'part')
        at.store.apply({
          edit: 'recordWorkDone',
          with: { task: task.id, stamp: task.stamp, at: '2026-11-27T10:00:00Z' },
        });
    const take = { edit: 'removePart', with: { id: 'master' } } as const;
    const has = (): boolean => at.store.plan().parts.some(({ id }) => id === 'master');
    // What an edit undoes is known once that part of the program is here.
    await until(() => {
      if (!has()) at.store.undo();
      return !at.store.apply(take) && at.store.held() !== null;
    });
    await until(() => at.root.querySelector('fl-pending-edit dialog[open]') !== null);
    expect(at.text('[data-test=undoes]')).toBe('Fit Tandem master');
    const press = (name: string): void =>
      [...at.root.querySelectorAll<HTMLElement>('fl-pending-edit button')]
        .find((button) => button.textContent!.trim() === name)!
        .click();
    press('Make the change');
    await at.fixture.whenStable();
    expect([has(), at.store.held()]).toEqual([false, null]);
    at.store.undo();
    expect(has()).toBe(true);
    at.store.apply(take);
    at.store.answerHeld(false);
    expect([has(), at.store.held()]).toEqual([true, null]);
    // What touches no done work is made at once.
    expect(at.store.apply({ edit: 'rename', with: { name: 'Other' } })).toBe(true);
  });
});
