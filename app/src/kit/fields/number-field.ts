import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { figure } from '@firm-line/core/lib/faults';
import { TextInput, type Read } from './text-input';
import { readNumber, within, type Limits } from './limits';

/** A plain number with its unit in the label: degrees, millilitres, times. Comma or point. */
@Component({
  selector: 'fl-number-field',
  imports: [TextInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `<fl-text-input
    [label]="label()"
    [bare]="bare()"
    [hint]="hint()"
    [shown]="shown()"
    keyboard="decimal"
    [read]="read"
    (taken)="take($event)"
  />`,
})
export class NumberField {
  readonly value = input.required<number>();
  readonly label = input.required<string>();
  readonly bare = input(false);
  readonly hint = input('');
  readonly limits = input<Limits | null>(null);
  readonly least = input<number | null>(null);
  readonly most = input<number | null>(null);
  readonly changed = output<number>();
  protected readonly shown = computed(() => figure(this.value(), 4));

  protected readonly read = (text: string): Read<number> => {
    const read = readNumber(text, this.label());
    if (!read.ok) return read;
    const limits = this.limits();
    const own = {
      least: this.least() ?? limits?.least ?? 0,
      most: this.most() ?? limits?.most ?? 1e6,
    };
    return within(read.value, text, [limits ?? own, own], String);
  };
  protected take(value: number): void {
    if (value !== this.value()) this.changed.emit(value);
  }
}
