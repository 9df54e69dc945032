import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import { LININGS, type Hole, type Thing } from '@firm-line/core/shape/obstacles';
import { HOLE } from '@firm-line/core/plan';
import type { Vec3 } from '@firm-line/core/lib/vec';
import { LengthField } from '../../kit/fields/length-field';
import { SelectField } from '../../kit/fields/select-field';
import { VectorField } from '../../kit/fields/vector-field';
import { PlanStore } from '../../session/plan-store';

const NAMES = { none: 'bare edge', grommet: 'grommet', bulkhead: 'bulkhead fitting' } as const;

/** Holes of a panel that lines pass through. */
@Component({
  selector: 'fl-hole-list',
  imports: [LengthField, SelectField, VectorField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <h3 class="h2 mt-4">Holes that lines pass</h3>
    @for (hole of thing().holes ?? []; track $index; let i = $index) {
      <div
        class="mt-2 grid grid-cols-3 items-end gap-2 sm:grid-cols-[1fr_1fr_1fr_5rem_9rem_2.75rem]"
      >
        <fl-vector-field
          [labels]="['hole x', 'hole y', 'hole z']"
          [valueMm]="hole.atMm"
          (changed)="set(i, { atMm: $event })"
        />
        <fl-length-field
          label="Across"
          [limits]="fields.diameterMm"
          [valueMm]="hole.diameterMm"
          (changed)="set(i, { diameterMm: $event })"
        />
        <fl-select-field
          [field]="'hole-lined-' + i"
          label="Its edge"
          [options]="linings"
          [value]="hole.lined"
          (changed)="set(i, { lined: $event })"
        />
        <button
          type="button"
          class="btn px-0"
          [attr.aria-label]="'Delete hole ' + (i + 1)"
          (click)="keep(without(i))"
        >
          ×
        </button>
      </div>
    }
    <button type="button" class="btn mt-2" (click)="add()">Add a hole</button>
    <p class="mt-1 text-sm text-ink-soft">
      A line through a hole that it fits does not run into the panel. Lead it through by its
      corners: ways are found round a panel, not through it.
    </p>
  `,
})
export class HoleList {
  private readonly store = inject(PlanStore);
  readonly thing = input.required<Thing>();
  protected readonly fields = HOLE.fields;
  protected readonly linings = LININGS.map((one) => [one, NAMES[one]] as const);
  protected keep(holes: readonly Hole[]): void {
    this.store.apply({ edit: 'changeThing', with: { id: this.thing().id, patch: { holes } } });
  }
  protected without(index: number): readonly Hole[] {
    return (this.thing().holes ?? []).toSpliced(index, 1);
  }
  protected set(index: number, patch: Partial<Hole>): void {
    this.keep(
      (this.thing().holes ?? []).map((hole, i) => (i === index ? { ...hole, ...patch } : hole)),
    );
  }
  protected add(): void {
    const { shape } = this.thing();
    const atMm: Vec3 =
      shape.kind === 'block'
        ? (shape.minMm.map((v, i) => Math.round((v + shape.maxMm[i]!) / 2)) as unknown as Vec3)
        : [0, 0, 0];
    this.keep([...(this.thing().holes ?? []), { atMm, diameterMm: 12, lined: 'none' }]);
  }
}
