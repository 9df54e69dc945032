import { mapVec, type Vec3 } from '@firm-line/core/lib/vec';
import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  inject,
  Injector,
  input,
  linkedSignal,
  output,
} from '@angular/core';
import { LengthField } from './length-field';
import type { Limits } from './limits';

/** Three lengths that belong together, a field each, laid out by whatever they stand in. One that changes gives all three anew. */
@Component({
  selector: 'fl-vector-field',
  imports: [LengthField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'contents' },
  template: `
    @for (label of labels(); track $index) {
      <fl-length-field
        [label]="label"
        [limits]="limits()"
        [valueMm]="valueMm()[$index]!"
        (changed)="take($index, $event)"
      />
    }
  `,
})
export class VectorField {
  private readonly injector = inject(Injector);
  readonly labels = input<readonly string[]>(['x, aft', 'y, right', 'z, up']);
  readonly valueMm = input.required<Vec3>();
  readonly limits = input<Limits | null>(null);
  readonly changed = output<Vec3>();
  /** With what was typed since the value was last shown: whoever types fast has left the second field before that of the first comes back. */
  private readonly latest = linkedSignal(() => this.valueMm());

  protected take(axis: number, mm: number): void {
    const next = mapVec(this.latest(), (v, i) => (i === axis ? mm : v));
    this.latest.set(next);
    this.changed.emit(next);
    // What was not taken is gone once the value is shown again.
    afterNextRender({ read: () => this.latest.set(this.valueMm()) }, { injector: this.injector });
  }
}
