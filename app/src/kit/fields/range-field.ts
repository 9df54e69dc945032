import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';

/** A slider with its label and its current value above it. */
@Component({
  selector: 'fl-range-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <label class="label block" [for]="field()"
      >{{ label() }}{{ shown() ? ': ' : ''
      }}<span class="font-mono text-ink">{{ shown() }}</span></label
    >
    <input
      #slider
      type="range"
      class="h-12 w-full accent-fluid"
      [id]="field()"
      [min]="least()"
      [max]="most()"
      [step]="step()"
      [value]="value()"
      (input)="slid.emit(+slider.value)"
      (change)="taken.emit(+slider.value)"
    />
  `,
})
export class RangeField {
  /** The id of its slider. */
  readonly field = input.required<string>();
  readonly label = input.required<string>();
  readonly shown = input('');
  readonly least = input(0);
  readonly most = input(100);
  readonly step = input(1);
  readonly value = input.required<number>();
  /** While it is moved, and once it is let go. */
  readonly slid = output<number>();
  readonly taken = output<number>();
}
