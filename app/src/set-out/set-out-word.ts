import type { ElementRef } from '@angular/core';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  output,
  viewChild,
} from '@angular/core';
import {
  CHOICES,
  NUMBERS,
  type Answers,
  type Ask,
  type NumberAsk,
} from '@firm-line/core/proposals/set-out';
import { formatLength, parseLength, shownUnits } from '@firm-line/core/lib/units';
import { shownNumber } from '../kit/fields/shown-number';
import { DISPLAY_UNITS } from '../kit/units';

/** What was typed or chosen for an answer: its value with the text it was typed in, or why it cannot be taken. */
export type Word =
  | {
      readonly ok: true;
      readonly ask: Ask;
      readonly value: string | number;
      readonly text: string | null;
    }
  | { readonly ok: false; readonly ask: Ask; readonly message: string };

const LABELS: Partial<Record<Ask, string>> = {
  job: 'The job',
  use: 'Use',
  vehicle: 'Kind of vehicle',
  axles: 'Number of axles',
  tyre: 'Tire size, as marked',
  section: 'Rail section',
  kickUp: 'Rail kick-up',
  front: 'Front brakes',
  rear: 'Rear brakes',
  frontAxle: 'Front axle',
  rearAxle: 'Rear axle',
  master: 'Master cylinder',
  masterAt: 'Master cylinder position',
  booster: 'Booster',
  split: 'Circuit split',
  clutch: 'Clutch',
  parking: 'Parking brake',
  exhaust: 'Exhaust route',
  engine: 'Engine position',
  tube: 'Tube',
  fluid: 'Fluid',
};
const isNumber = (ask: Ask): ask is NumberAsk => ask in NUMBERS;

/** A word of a sentence that can be changed: chosen from a list, or typed. */
@Component({
  selector: 'fl-set-out-word',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'inline-block whitespace-nowrap' },
  template: `
    @if (choices(); as list) {
      <select
        #field
        class="word font-semibold text-fluid"
        [attr.aria-label]="label()"
        [attr.data-ask]="ask()"
        (change)="chosen.emit({ ok: true, ask: ask(), value: field.value, text: null })"
      >
        @for (one of list; track one[0]) {
          <option [value]="one[0]" [selected]="one[0] === answers()[ask()]">{{ one[1] }}</option>
        }
      </select>
    } @else {
      <input
        #field
        class="word font-mono font-semibold"
        [class.text-ink-soft]="!said()"
        autocomplete="off"
        [attr.aria-label]="label()"
        [attr.data-ask]="ask()"
        [attr.size]="shown().length + 1"
        [value]="shown()"
        [attr.aria-invalid]="fault() ? true : null"
        (change)="read(field)"
        (keydown.escape)="field.value = shown()"
      /><span class="text-base text-ink-soft">{{ unit() }}</span>
    }
  `,
})
export class SetOutWord {
  private readonly units = inject(DISPLAY_UNITS);
  readonly ask = input.required<Ask>();
  readonly answers = input.required<Answers>();
  /** The user said it himself. */
  readonly said = input(false);
  /** As it was typed; shown again just so. */
  readonly text = input<string | null>(null);
  readonly fault = input(false);
  readonly chosen = output<Word>();

  protected readonly choices = computed(
    () =>
      (CHOICES as Partial<Record<Ask, readonly (readonly [string, string])[]>>)[this.ask()] ?? null,
  );
  protected readonly label = computed(() => {
    const ask = this.ask();
    return LABELS[ask] ?? (isNumber(ask) ? NUMBERS[ask].name : ask);
  });
  protected readonly unit = computed(() => {
    const ask = this.ask();
    return isNumber(ask) && this.text() === null ? this.number(ask).unit : '';
  });
  protected readonly shown = computed(() => {
    const ask = this.ask();
    const value = this.answers()[ask];
    return this.text() ?? (isNumber(ask) ? this.number(ask).show(value as number) : String(value));
  });

  private readonly field = viewChild<ElementRef<HTMLInputElement | HTMLSelectElement>>('field');
  constructor() {
    // What was not taken goes once something else is right.
    effect(() => {
      const field = this.field()?.nativeElement;
      if (field && !this.choices() && !this.fault()) field.value = this.shown();
    });
  }

  /** How a figure is shown and read, and its unit where that stands behind it. */
  private number(ask: keyof typeof NUMBERS) {
    const { unit } = NUMBERS[ask];
    const units = this.units();
    if (unit === 'length')
      return {
        unit: '',
        show: (mm: number) => formatLength(mm, units, 1),
        read: (text: string) => parseLength(text, units),
      };
    const { label, show, read } = shownNumber(`, ${unit}`, shownUnits(units));
    return { unit: label.slice(1), show, read };
  }
  protected read(field: HTMLInputElement): void {
    const ask = this.ask();
    const text = field.value.trim();
    if (text === this.shown()) return;
    if (!isNumber(ask)) return this.chosen.emit({ ok: true, ask, value: text, text });
    const { name } = NUMBERS[ask];
    const read = this.number(ask).read(text);
    this.chosen.emit(
      read.ok
        ? { ok: true, ask, value: read.value, text }
        : { ok: false, ask, message: `${name}: ${read.message}` },
    );
  }
}
