import { mapVec, type Vec3 } from '@firm-line/core/lib/vec';
import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import type { Hole, Thing } from '@firm-line/core/shape/obstacles';
import { HOLE } from '@firm-line/core/plan';
import { PlanStore } from '../../session/plan-store';
import { FieldOf } from '../../kit/fields/field';

/** Holes of a panel that lines pass through. */
@Component({
  selector: 'fl-hole-list',
  imports: [FieldOf],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <h3 class="h2 mt-4">Holes for lines</h3>
    @for (hole of thing().holes ?? []; track $index; let i = $index) {
      <div
        class="mt-2 grid grid-cols-3 items-end gap-2 sm:grid-cols-[1fr_1fr_1fr_5rem_9rem_2.75rem]"
      >
        <fl-field
          [of]="fields.atMm"
          [axes]="['hole x', 'hole y', 'hole z']"
          [value]="hole.atMm"
          (changed)="set(i, { atMm: $event })"
        />
        <fl-field
          [of]="fields.diameterMm"
          [value]="hole.diameterMm"
          (changed)="set(i, { diameterMm: $event })"
        />
        <fl-field
          [of]="fields.lined"
          [field]="'hole-lined-' + i"
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
      Route a line through a hole by its corners. Find a route only goes around a panel.
    </p>
  `,
})
export class HoleList {
  protected readonly fields = HOLE.fields;
  private readonly store = inject(PlanStore);
  readonly thing = input.required<Thing>();
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
        ? mapVec(shape.minMm, (v, i) => Math.round((v + shape.maxMm[i]!) / 2))
        : [0, 0, 0];
    this.keep([...(this.thing().holes ?? []), { atMm, diameterMm: 12, lined: 'none' }]);
  }
}
