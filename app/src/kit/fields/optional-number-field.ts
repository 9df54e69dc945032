import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { formatLength, formatLengthUnit, parseLength } from '@firm-line/core/lib/units';
import { DISPLAY_UNITS, SHOWN_UNITS } from '../units';
import { TextInput, type Read } from './text-input';
import { within, type Limits } from './limits';
import { shownNumber } from './shown-number';

/** A figure that may not be known: a length as people say it, or a plain number with its unit in the label. Empty is not known. */
@Component({
  selector: 'fl-optional-number-field',
  imports: [TextInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <fl-text-input
      [label]="unit() === 'length' ? label() : way().label"
      [bare]="bare()"
      [hint]="hint()"
      [shown]="shown()"
      [placeholder]="none()"
      [keyboard]="unit() === 'length' ? 'text' : 'decimal'"
      [read]="read"
      (taken)="take($event)"
    />
  `,
})
export class OptionalNumberField {
  private readonly units = inject(DISPLAY_UNITS);
  private readonly shownUnits = inject(SHOWN_UNITS);
  readonly value = input.required<number | null | undefined>();
  readonly label = input.required<string>();
  readonly bare = input(false);
  readonly hint = input('');
  readonly unit = input<'length' | 'number'>('number');
  /** Of a length in millimeters: places behind the point. */
  readonly digits = input(1);
  /** What an empty field means. */
  readonly none = input('not known');
  readonly limits = input<Limits | null>(null);
  readonly least = input<number | null>(null);
  readonly most = input<number | null>(null);
  readonly changed = output<number | null>();
  protected readonly way = computed(() => shownNumber(this.label(), this.shownUnits()));
  protected readonly shown = computed(() => {
    const value = this.value() ?? null;
    if (value === null) return '';
    return this.unit() === 'length'
      ? formatLength(value, this.units(), this.digits())
      : this.way().show(value);
  });

  protected readonly read = (text: string): Read<number | null> => {
    if (text === '') return { ok: true, value: null };
    const isLength = this.unit() === 'length';
    const read = isLength ? parseLength(text, this.units()) : this.way().read(text);
    if (!read.ok) return read;
    const limits = this.limits();
    const own = {
      least: this.least() ?? limits?.least ?? 0,
      most: this.most() ?? limits?.most ?? 1e6,
    };
    const words = (value: number): string =>
      isLength ? formatLengthUnit(value, this.units(), this.digits()) : this.way().words(value);
    return within(read.value, text, [limits ?? own, own], words);
  };
  protected take(value: number | null): void {
    if (value !== (this.value() ?? null)) this.changed.emit(value);
  }
}
