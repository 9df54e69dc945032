import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import {
  formatLength,
  formatLengthUnit,
  inchSize,
  parseLength,
  type UnitSystem,
} from '@firm-line/core/lib/units';
import { DISPLAY_UNITS } from '../units';
import { TextInput, type Read } from './text-input';
import { within, type Limits } from './limits';

/** Whether a text says its own unit and this very length: then it may stand in either system. */
const stands = (text: string, mm: number, units: UnitSystem): boolean => {
  const [metric, inch] = [parseLength(text, 'metric'), parseLength(text, 'inch')];
  const own = units === 'metric' ? metric : inch;
  return own.ok && Math.abs(own.value - mm) < 1e-9;
};

/** A length typed as people say it; the other system stands beside it on hover. What cannot be read is said and not taken. */
@Component({
  selector: 'fl-length-field',
  imports: [TextInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `<fl-text-input
    [label]="label()"
    [bare]="bare()"
    [hint]="hint()"
    [shown]="shown()"
    [aside]="other()"
    [read]="read"
    (taken)="take($event)"
  />`,
})
export class LengthField {
  private readonly units = inject(DISPLAY_UNITS);
  readonly valueMm = input.required<number>();
  readonly label = input.required<string>();
  readonly bare = input(false);
  readonly hint = input('');
  /** Limits of the record that it is kept in, and narrower ones of this form. */
  readonly limits = input<Limits | null>(null);
  readonly leastMm = input(-100_000);
  readonly mostMm = input(100_000);
  readonly digits = input(1);
  /** Sold by the inch as well: an inch size is shown as one. */
  readonly sold = input(false);
  /** As it was typed, where that is kept: shown again just so, in whatever units. */
  readonly text = input<string | null>(null);
  readonly changed = output<number>();
  readonly typed = output<string>();
  private last = '';
  protected readonly shown = computed(() => {
    const text = this.text();
    return text !== null && stands(text, this.valueMm(), this.units())
      ? text
      : (this.sold() && this.units() === 'metric' && inchSize(this.valueMm())) ||
          formatLength(this.valueMm(), this.units(), this.digits());
  });
  protected readonly other = computed(() =>
    formatLengthUnit(this.valueMm(), this.units() === 'metric' ? 'inch' : 'metric', 1),
  );

  protected readonly read = (text: string): Read<number> => {
    const units = this.units();
    const read = parseLength(text, units);
    if (!read.ok) return read;
    this.last = text;
    const own = { least: this.leastMm(), most: this.mostMm() };
    return within(read.value, text, [this.limits() ?? own, own], (mm) =>
      formatLengthUnit(mm, units, 1),
    );
  };
  protected take(mm: number): void {
    if (mm === this.valueMm()) return;
    this.changed.emit(mm);
    this.typed.emit(this.last);
  }
}
