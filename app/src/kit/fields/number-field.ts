import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { TextInput, type Read } from './text-input';
import { SHOWN_UNITS } from '../units';
import { within, type Limits } from './limits';
import { shownNumber } from './shown-number';

/** A plain number with its unit in the label: degrees, millilitres, times. Comma or point. */
@Component({
  selector: 'fl-number-field',
  imports: [TextInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `<fl-text-input
    [label]="way().label"
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
  private readonly units = inject(SHOWN_UNITS);
  protected readonly way = computed(() => shownNumber(this.label(), this.units()));
  protected readonly shown = computed(() => this.way().show(this.value()));

  protected readonly read = (text: string): Read<number> => {
    const { read: readIn, words } = this.way();
    const read = readIn(text);
    if (!read.ok) return read;
    const limits = this.limits();
    const own = {
      least: this.least() ?? limits?.least ?? 0,
      most: this.most() ?? limits?.most ?? 1e6,
    };
    return within(read.value, text, [limits ?? own, own], words);
  };
  protected take(value: number): void {
    if (value !== this.value()) this.changed.emit(value);
  }
}
