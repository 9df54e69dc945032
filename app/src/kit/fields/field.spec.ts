import { ChangeDetectionStrategy, Component, signal, type Type } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import {
  CALIPER_FIT,
  FLUID_IN,
  HOLD_TAKEN,
  HOSE,
  LINE,
  ORDER,
  STUDS,
  TRAVEL,
  WHEEL_FIT,
  type AnyField,
} from '@firm-line/core/plan';
import { APP_PROVIDERS, openGannet } from '../../testing/open-gannet';
import { FieldOf } from './field';

@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FieldOf],
  template: `<fl-field [of]="of()" [value]="value()" (changed)="take($event)" />`,
})
class Host {
  readonly of = signal<AnyField>(STUDS.fields.count);
  readonly value = signal<unknown>(5);
  readonly taken: unknown[] = [];
  take(value: unknown): void {
    this.taken.push(value);
    this.value.set(value);
  }
}

let plans = 0;
async function show(of: AnyField, value: unknown) {
  TestBed.resetTestingModule();
  TestBed.configureTestingModule({ providers: APP_PROVIDERS });
  await openGannet(`field-${plans++}`);
  const fixture = TestBed.createComponent(Host as Type<Host>);
  fixture.componentInstance.of.set(of);
  fixture.componentInstance.value.set(value);
  await fixture.whenStable();
  const root = fixture.nativeElement as HTMLElement;
  const entry = () => root.querySelector<HTMLInputElement & HTMLSelectElement>('input, select')!;
  return {
    taken: fixture.componentInstance.taken,
    entry,
    label: root.querySelector('label')!.textContent!.trim(),
    doubt: () => root.querySelector('[data-test=doubt]')?.textContent!.trim() ?? '',
    fault: () => root.querySelector('.fault')?.textContent!.trim() ?? '',
    async type(text: string): Promise<void> {
      entry().value = text;
      entry().dispatchEvent(new Event('change'));
      await fixture.whenStable();
    },
  };
}

describe('a field of a record', () => {
  test('what is hardly ever read is asked about, and taken as it is', async () => {
    // 8 MPa typed as psi.
    const at = await show(HOLD_TAKEN.fields.startMPa, 8);
    expect(at.doubt()).toBe('');
    await at.type('116');
    expect([at.taken, at.fault()]).toEqual([[116], '']);
    expect(at.doubt()).toBe(
      'Is 116 MPa right? 0.1 MPa to 25 MPa is usual. Check the unit, or keep the reading as it is.',
    );
    await at.type('8.1');
    expect(at.doubt()).toBe('');
  });
  test('a number has its limits and its unit from the model', async () => {
    const at = await show(TRAVEL.fields.rollDeg, 10);
    expect(at.label).toBe('Roll each way, °');
    await at.type('46');
    expect(at.fault()).toBe('46 cannot be used: must be 45 or less.');
    await at.type('12,5');
    expect(at.taken).toEqual([12.5]);
  });
  test('a whole number takes no half, and what forms take comes before what a file may hold', async () => {
    const at = await show(STUDS.fields.count, 5);
    await at.type('4.5');
    expect(at.fault()).toMatch(/whole number/);
    const pitch = await show(STUDS.fields.pitchMm, 1.5);
    expect(pitch.label).toBe('Pitch, mm');
    await pitch.type('0.1');
    expect(pitch.fault()).toBe('0.1 cannot be used: must be 0.2 or more.');
  });
  test('a length is typed as people say it; one that is not measured says so and can be emptied to null', async () => {
    const at = await show(CALIPER_FIT.fields.innerGapMm, null);
    expect([at.label, at.entry().placeholder]).toEqual(['Gap on the inner side', 'not measured']);
    await at.type('1/2 in');
    await at.type('');
    expect(at.taken).toEqual([12.7, null]);
  });
  test('what may be missing is emptied to nothing', async () => {
    const at = await show(HOSE.fields.ends.fields.a.fields.eyes, 2);
    await at.type('');
    expect(at.taken).toEqual([undefined]);
  });
  test('a choice is by the names in the model, and none where there may be none', async () => {
    const texts = (field: HTMLSelectElement): string[] =>
      [...field.options].map((o) => o.text.trim());
    const state = await show(ORDER.fields.state, 'needed');
    expect(texts(state.entry())).toContain('came wrong');
    await state.type('sent-back');
    expect(state.taken).toEqual(['sent-back']);
    const disc = await show(CALIPER_FIT.fields.disc, 'left');
    expect(texts(disc.entry())).toEqual([
      'not checked',
      'the left side',
      'the right side',
      'either side',
    ]);
    await disc.type('');
    expect(disc.taken).toEqual([null]);
  });
  test('a flag is a box; one that may not be known has both answers in its own words', async () => {
    const box = await show(WHEEL_FIT.fields.stacked, true);
    expect([box.entry().type, box.entry().checked]).toEqual(['checkbox', true]);
    const clear = await show(CALIPER_FIT.fields.clears.fields.hoseWheel, null);
    expect([...clear.entry().options].map((o) => o.text.trim())).toEqual([
      'not checked',
      'clear',
      'touches',
    ]);
    await clear.type('no');
    expect(clear.taken).toEqual([false]);
  });
  test('a day is a date, a text in a form of its own says what that is, a place is three lengths', async () => {
    const day = await show(FLUID_IN.fields.openedOn, null);
    expect(day.entry().type).toBe('date');
    await day.type('2026-05-01');
    expect(day.taken).toEqual(['2026-05-01']);
    const made = await show(HOSE.fields.madeOn, null);
    await made.type('May');
    expect([made.fault(), made.taken]).toEqual(['"May" is not a year and month.', []]);
    const miss = await show(LINE.fields.ends.fields.a.fields.open.of.fields.atMm, [1, 2, 3]);
    await miss.type('7');
    expect(miss.taken).toEqual([[7, 2, 3]]);
  });
});
