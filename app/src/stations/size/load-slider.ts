import { ChangeDetectionStrategy, Component, model } from '@angular/core';

/** From empty (0) to laden (1). */
@Component({
  selector: 'fl-load-slider',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label class="flex min-h-tap items-center gap-3"
      >empty
      <input
        #field
        type="range"
        min="0"
        max="100"
        class="h-12 w-40 accent-fluid"
        aria-label="Load from empty to laden"
        [value]="100 * share()"
        (input)="share.set(field.valueAsNumber / 100)"
      />
      laden</label
    >
  `,
})
export class LoadSlider {
  readonly share = model.required<number>();
}
