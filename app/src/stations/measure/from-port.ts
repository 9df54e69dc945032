import { mapVec, add, sub, type Vec3, tenths } from '@firm-line/core/lib/vec';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  linkedSignal,
  output,
} from '@angular/core';
import type { PositionSource } from '@firm-line/core/plan';
import { SelectField } from '../../kit/fields/select-field';
import { VectorField } from '../../kit/fields/vector-field';
import { PlanStore } from '../../session/plan-store';

/** A part's sheet is true to this, 1σ, mm. Common practice: a casting. */
const SHEET_MM = 0.5;

/** A port's place by its part's sheet: so far from another port of it, or from its mounting face set down as one. */
@Component({
  selector: 'fl-from-port',
  imports: [SelectField, VectorField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    @if (others().length) {
      <div class="mt-2 grid max-w-xl grid-cols-2 items-end gap-2 sm:grid-cols-4">
        <fl-select-field
          field="sheet-from"
          label="From the sheet, relative to"
          [options]="others()"
          [value]="from()"
          (changed)="from.set($event)"
        />
        <fl-vector-field [labels]="labels" [valueMm]="off()" (changed)="take($event)" />
      </div>
    }
  `,
})
export class FromPort {
  private readonly store = inject(PlanStore);
  readonly portId = input.required<string>();
  readonly changed = output<Partial<PositionSource>>();
  protected readonly labels = ['aft', 'right', 'up'];
  protected readonly others = computed(() => {
    const own = this.store.view().ports.get(this.portId());
    return (own?.part.ports ?? []).filter(({ id }) => id !== this.portId());
  });
  protected readonly from = linkedSignal<string>(() => this.others()[0]?.id ?? '');
  private readonly at = computed(() => this.store.view().ports.get(this.from())!.fixed);
  protected readonly off = computed(() =>
    tenths(sub(this.store.view().ports.get(this.portId())!.fixed.atMm, this.at().atMm)),
  );
  protected take(off: Vec3): void {
    const { atMm, sigmaMm } = this.at();
    const sigma = mapVec(sigmaMm, (s) => Math.round(100 * Math.hypot(s, SHEET_MM)) / 100);
    this.changed.emit({ how: 'sheet', atMm: add(atMm, off), sigmaMm: sigma });
  }
}
