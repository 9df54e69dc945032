import { provideZonelessChangeDetection } from '@angular/core';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import type { Type } from '@angular/core';
import { Selection } from '../plan/selection';
import type { PlanStore } from '../plan/plan-store';
import { openGannet } from '../testing/open-gannet';
import { FillStation } from './fill/fill-station';
import { MakeStation } from './make/make-station';
import { MeasureStation } from './measure/measure-station';
import { RouteStation } from './route/route-station';

/** A station on the demo plan, with the few words its specs need. */
async function station<T>(type: Type<T>, id: string, line = 'line-r1') {
  TestBed.configureTestingModule({ providers: [provideZonelessChangeDetection(), provideRouter([])] });
  const store: PlanStore = await openGannet(id);
  TestBed.inject(Selection).chooseLine(line);
  const fixture: ComponentFixture<T> = TestBed.createComponent(type);
  await fixture.whenStable();
  const root = fixture.nativeElement as HTMLElement;
  return {
    store,
    root,
    one: <E extends HTMLElement>(selector: string): E => root.querySelector<E>(selector)!,
    texts: (selector: string): string[] =>
      [...root.querySelectorAll(selector)].map((e) => e.textContent!.replace(/\s+/g, ' ').trim()),
    async type(field: HTMLInputElement, text: string, event = 'change') {
      field.value = text;
      field.dispatchEvent(new Event(event, { bubbles: true }));
      await fixture.whenStable();
    },
    async click(target: HTMLElement) {
      target.click();
      await fixture.whenStable();
    },
  };
}

describe('Route', () => {
  test('moves are read, taken up, and refused with their reason', async () => {
    const at = await station(RouteStation, 'r1');
    const rows = (): HTMLInputElement[] => [...at.root.querySelectorAll<HTMLInputElement>('[data-test=move]')];
    expect(rows()[2]!.value).toBe('aft 1520');
    await at.type(rows()[2]!, 'aft 1600');
    expect(rows()[2]!.value).toBe('aft 1600');
    expect(rows()[4]!.value).toBe('aft 180');
    await at.type(rows()[2]!, 'afterwards 3');
    expect(at.texts('.fault')[0]).toMatch(/not a direction/);
    expect(at.store.plan()!.lines[3]!.cornersMm[2]![0]).toBe(2320);
  });

  test('a move without room names the corner and the shortfall, and the rest still shows', async () => {
    const at = await station(RouteStation, 'r2');
    await at.type(at.root.querySelectorAll<HTMLInputElement>('[data-test=move]')[4]!, 'aft 5');
    expect(at.texts('fl-snag-row').join(' ')).toMatch(/Between nodes 4 and 5 there are 5 mm .* short/);
    expect(at.one('[data-test=no-strip]')).not.toBeNull();
  });

  test('the move line reads as it is typed and places a corner', async () => {
    const at = await station(RouteStation, 'r3');
    const field = at.one<HTMLInputElement>('#move-line');
    await at.type(field, 'aft 40, up', 'input');
    expect(at.texts('#move-reading')[0]).toMatch(/How far up/);
    await at.type(field, 'aft 40, up 20', 'input');
    expect(at.texts('#move-reading')[0]).toMatch(/Bends .*° at corner 6/);
    at.one<HTMLFormElement>('fl-move-line form').dispatchEvent(new Event('submit', { cancelable: true }));
    expect(at.store.plan()!.lines[3]!.cornersMm).toHaveLength(7);
  });
});

describe('Make', () => {
  test('the flare stays locked until its nut is ticked, and ticks are kept', async () => {
    const at = await station(MakeStation, 'm1');
    const box = (id: string): HTMLInputElement => at.one<HTMLInputElement>(`[data-step="${id}"]`);
    expect([box('nut-a').disabled, box('flare-a').disabled]).toEqual([false, true]);
    await at.click(box('nut-a'));
    expect(box('flare-a').disabled).toBe(false);
    expect(at.store.plan()!.lines[3]!.ticks).toMatchObject([{ step: 'nut-a' }]);
  });

  test('ticks made to an older card count no more', async () => {
    const at = await station(MakeStation, 'm2', 'line-f2');
    expect(at.root.querySelectorAll('input:checked')).toHaveLength(4);
    at.store.apply({ edit: 'removeCorner', with: { id: 'line-f2', index: 1 } });
    await new Promise((done) => setTimeout(done));
    expect(at.root.querySelectorAll('input:checked')).toHaveLength(0);
    expect(at.texts('fl-snag-row').join(' ')).toMatch(/4 steps were ticked to an older card/);
  });

  test('a card that rests on a guess says so, and shows how sure its length is', async () => {
    const at = await station(MakeStation, 'm3', 'line-r3');
    expect(at.root.textContent).toMatch(/Do not cut yet: Rear right, hose end at bracket is not measured/);
    expect(at.root.textContent).toMatch(/±30\.5 \(2σ\)/);
  });
});

describe('Measure and Fill', () => {
  test('the tape to read again is named, and reading it again settles the place', async () => {
    const at = await station(MeasureStation, 'f1');
    expect(at.texts('h2').join(' ')).toContain('Clutch slave, inlet');
    expect(at.texts('[data-suspect]')[0]).toMatch(/Read this tape again/);
    await at.type(at.one<HTMLInputElement>('[data-suspect] fl-length-field input'), '467.5');
    expect(at.root.querySelector('[data-suspect]')).toBeNull();
  });

  test('a length that cannot be read is said and not taken', async () => {
    const at = await station(MeasureStation, 'f2');
    const before = at.store.plan();
    await at.type(at.one<HTMLInputElement>('fl-tape-table fl-length-field input'), '4 furlongs');
    expect(at.texts('.fault')[0]).toMatch(/not a unit of length/);
    expect(at.store.plan()).toBe(before);
  });

  test('the order follows the school, and the fluid to buy stands in bottles', async () => {
    const at = await station(FillStation, 'f3');
    expect(at.texts('[data-work=brake] tbody tr td:first-child')).toEqual([
      '1 Rear right',
      '2 Rear left',
      '3 Front right',
      '4 Front left',
    ]);
    expect(at.texts('[data-buy]')).toEqual(['1 L', '250 mL', '1 L']);
    at.store.apply({ edit: 'changeBleeding', with: { patch: { school: 'nearest-first' } } });
    await new Promise((done) => setTimeout(done));
    expect(at.texts('[data-work=brake] tbody tr td:first-child')[0]).toBe('1 Front left');
  });
});
