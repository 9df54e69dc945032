import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { formatLength, formatLengthUnit, parseLength } from '@firm-line/core/units';
import { PlanStore } from '../plan/plan-store';

let nextId = 0;

/** A length typed as people say it; the other system stands beside it on hover. What cannot be read is said and not taken. */
@Component({
  selector: 'fl-length-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <label class="label block" [attr.for]="id" [class.sr-only]="bare()">{{ label() }}</label>
    <input
      [id]="id"
      class="field-mono w-full"
      autocomplete="off"
      inputmode="text"
      [value]="shown()"
      [title]="other()"
      [attr.aria-invalid]="fault() ? true : null"
      [attr.aria-describedby]="fault() ? id + '-fault' : null"
      (change)="take($any($event.target))"
      (keydown.escape)="reset($any($event.target))"
    />
    @if (fault(); as text) {
      <p class="fault" [id]="id + '-fault'">{{ text }}</p>
    }
  `,
})
export class LengthField {
  private readonly store = inject(PlanStore);
  protected readonly id = `length-${nextId++}`;
  readonly valueMm = input.required<number>();
  readonly label = input.required<string>();
  /** Label for screen readers only, where a table head says it. */
  readonly bare = input(false);
  readonly leastMm = input(-100_000);
  readonly mostMm = input(100_000);
  readonly digits = input(1);
  readonly changed = output<number>();
  protected readonly fault = signal<string | null>(null);
  protected readonly shown = computed(() => formatLength(this.valueMm(), this.store.units(), this.digits()));
  protected readonly other = computed(() =>
    formatLengthUnit(this.valueMm(), this.store.units() === 'metric' ? 'inch' : 'metric', 1),
  );

  protected take(field: HTMLInputElement): void {
    const read = parseLength(field.value, this.store.units());
    if (!read.ok) return this.fault.set(read.message);
    const within = read.value >= this.leastMm() && read.value <= this.mostMm();
    if (!within) {
      const limit =
        read.value < this.leastMm()
          ? `${formatLengthUnit(this.leastMm(), this.store.units(), 1)} is the least`
          : `${formatLengthUnit(this.mostMm(), this.store.units(), 1)} is the most`;
      return this.fault.set(`${field.value.trim()} cannot be used: ${limit}.`);
    }
    this.fault.set(null);
    if (read.value !== this.valueMm()) this.changed.emit(read.value);
    field.value = this.shown();
  }
  protected reset(field: HTMLInputElement): void {
    this.fault.set(null);
    field.value = this.shown();
  }
}
