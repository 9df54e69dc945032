import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { figure } from '@firm-line/core/fault';
import { formatLength, formatLengthUnit, parseLength } from '@firm-line/core/units';
import { PlanStore } from '../plan/plan-store';

let nextId = 0;

/** A figure that may not be known: a length as people say it, or a plain number with its unit in the label. Empty is not known. */
@Component({
  selector: 'fl-maybe-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <label class="label block" [attr.for]="id">{{ label() }}</label>
    <input
      [id]="id"
      class="field-mono w-full"
      autocomplete="off"
      [placeholder]="none()"
      [attr.inputmode]="unit() === 'length' ? 'text' : 'decimal'"
      [value]="shown()"
      [attr.aria-invalid]="fault() ? true : null"
      [attr.aria-describedby]="fault() ? id + '-fault' : null"
      (change)="take($any($event.target))"
    />
    @if (fault(); as text) {
      <p class="fault" [id]="id + '-fault'">{{ text }}</p>
    }
  `,
})
export class MaybeField {
  private readonly store = inject(PlanStore);
  protected readonly id = `maybe-${nextId++}`;
  readonly value = input.required<number | null | undefined>();
  readonly label = input.required<string>();
  readonly unit = input<'length' | 'number'>('number');
  /** What an empty field means. */
  readonly none = input('not known');
  readonly least = input(0);
  readonly most = input(1e6);
  readonly changed = output<number | null>();
  protected readonly fault = signal<string | null>(null);
  protected readonly shown = computed(() => {
    const value = this.value() ?? null;
    if (value === null) return '';
    return this.unit() === 'length' ? formatLength(value, this.store.units(), 1) : figure(value, 4);
  });

  protected take(field: HTMLInputElement): void {
    const text = field.value.trim();
    if (text === '') {
      this.fault.set(null);
      if ((this.value() ?? null) !== null) this.changed.emit(null);
      return;
    }
    const read = this.read(text);
    if (typeof read === 'string') return this.fault.set(read);
    const limit = read < this.least() ? [this.least(), 'least'] : read > this.most() ? [this.most(), 'most'] : null;
    if (limit) {
      const words = this.unit() === 'length' ? formatLengthUnit(limit[0] as number, this.store.units(), 1) : limit[0];
      return this.fault.set(`${text} cannot be used: ${words} is the ${limit[1]}.`);
    }
    this.fault.set(null);
    if (read !== this.value()) this.changed.emit(read);
    field.value = this.shown();
  }

  /** The figure, or why it cannot be read. */
  private read(text: string): number | string {
    if (this.unit() === 'length') {
      const length = parseLength(text, this.store.units());
      return length.ok ? length.value : length.message;
    }
    return /^-?\d+([.,]\d+)?$/.test(text) ? Number(text.replace(',', '.')) : `"${text}" is not a number.`;
  }
}
