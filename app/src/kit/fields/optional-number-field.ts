import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { figure } from '@firm-line/core/lib/faults';
import { formatLength, formatLengthUnit, parseLength } from '@firm-line/core/lib/units';
import { DISPLAY_UNITS } from '../units';
import { TextInput, type Read } from './text-input';
import { readNumber, within, type Limits } from './limits';

/** A figure that may not be known: a length as people say it, or a plain number with its unit in the label. Empty is not known. */
@Component({
  selector: 'fl-optional-number-field',
  imports: [TextInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <fl-text-input
      [label]="label()"
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
  readonly value = input.required<number | null | undefined>();
  readonly label = input.required<string>();
  readonly bare = input(false);
  readonly hint = input('');
  readonly unit = input<'length' | 'number'>('number');
  /** Of a length in millimetres: places behind the point. */
  readonly digits = input(1);
  /** What an empty field means. */
  readonly none = input('not known');
  readonly limits = input<Limits | null>(null);
  readonly least = input<number | null>(null);
  readonly most = input<number | null>(null);
  readonly changed = output<number | null>();
  protected readonly shown = computed(() => {
    const value = this.value() ?? null;
    if (value === null) return '';
    return this.unit() === 'length'
      ? formatLength(value, this.units(), this.digits())
      : figure(value, 4);
  });

  protected readonly read = (text: string): Read<number | null> => {
    if (text === '') return { ok: true, value: null };
    const isLength = this.unit() === 'length';
    const read = isLength ? parseLength(text, this.units()) : readNumber(text, this.label());
    if (!read.ok) return read;
    const limits = this.limits();
    const own = {
      least: this.least() ?? limits?.least ?? 0,
      most: this.most() ?? limits?.most ?? 1e6,
    };
    const words = (value: number): string =>
      isLength ? formatLengthUnit(value, this.units(), this.digits()) : String(value);
    return within(read.value, text, [limits ?? own, own], words);
  };
  protected take(value: number | null): void {
    if (value !== (this.value() ?? null)) this.changed.emit(value);
  }
}
