import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { figure } from '@firm-line/core/fault';

let nextId = 0;

/** A plain number with its unit in the label: degrees, millilitres, times. Comma or point. */
@Component({
  selector: 'fl-number-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <label class="label block" [attr.for]="id" [class.sr-only]="bare()">{{ label() }}</label>
    <input
      [id]="id"
      class="field-mono w-full"
      inputmode="decimal"
      autocomplete="off"
      [value]="shown()"
      [attr.aria-invalid]="fault() ? true : null"
      (change)="take($any($event.target))"
    />
    @if (fault(); as text) {
      <p class="fault">{{ text }}</p>
    }
  `,
})
export class NumberField {
  protected readonly id = `number-${nextId++}`;
  readonly value = input.required<number>();
  readonly label = input.required<string>();
  readonly bare = input(false);
  readonly least = input(0);
  readonly most = input(1e6);
  readonly changed = output<number>();
  protected readonly fault = signal<string | null>(null);
  protected readonly shown = computed(() => figure(this.value(), 4));

  protected take(field: HTMLInputElement): void {
    const text = field.value.trim();
    const value = /^-?\d+([.,]\d+)?$/.test(text) ? Number(text.replace(',', '.')) : NaN;
    if (Number.isNaN(value)) return this.fault.set(`"${text}" is not a number.`);
    if (value < this.least()) return this.fault.set(`${text} is too little: ${this.least()} is the least.`);
    if (value > this.most()) return this.fault.set(`${text} is too much: ${this.most()} is the most.`);
    this.fault.set(null);
    if (value !== this.value()) this.changed.emit(value);
  }
}
