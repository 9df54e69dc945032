import { mapVec } from '@firm-line/core/lib/vec';
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { BenchSolids, Solid } from '@firm-line/core/shape/bending';
import { aroundOf } from '@firm-line/core/stations/make/making';
import { BENCH_SOLID, type BenchBender, BENCH_LEVER } from '@firm-line/core/plan';
import { TextField } from '../../kit/fields/text-field';
import { VectorField } from '../../kit/fields/vector-field';
import { Disclosure } from '../../kit/disclosure';
import { PlanStore } from '../../session/plan-store';
import { FieldOf } from '../../kit/fields/field';

/** What stands about a bender, in its die's frame: which bends are free in it rests on this. */
@Component({
  selector: 'fl-around-form',
  imports: [Disclosure, FieldOf, TextField, VectorField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <fl-disclosure
      [summary]="'Obstacles around the bender: ' + (bender().around ? 'your own' : 'standard')"
    >
      <p class="text-sm text-ink-soft">
        The tube comes from the clamp along x, meets the die at 0, and bends toward y; z is up. The
        lever sweeps outside the tube.
      </p>
      <div class="mt-2 grid grid-cols-3 gap-3">
        <fl-field
          [of]="leverFields.lengthMm"
          [value]="around().lever.lengthMm"
          (changed)="lever({ lengthMm: $event })"
        />
        <fl-field
          [of]="leverFields.wideMm"
          [value]="around().lever.wideMm"
          (changed)="lever({ wideMm: $event })"
        />
        <fl-field
          [of]="leverFields.highMm"
          [value]="around().lever.highMm"
          (changed)="lever({ highMm: $event })"
        />
      </div>
      @for (solid of around().solids; track $index; let i = $index) {
        <div class="mt-3 border-t border-rule pt-2">
          <div class="flex items-end gap-2">
            <fl-text-field
              class="flex-1"
              [field]="'solid-' + i"
              label="Name"
              [value]="solid.name"
              (changed)="set(i, { name: $event })"
            />
            <button
              type="button"
              class="btn px-3"
              [attr.aria-label]="'Remove ' + solid.name"
              (click)="remove(i)"
            >
              ×
            </button>
          </div>
          <div class="mt-2 grid grid-cols-3 gap-2">
            @if (solid.kind === 'box') {
              <fl-vector-field
                [labels]="['from x', 'from y', 'from z']"
                [valueMm]="solid.minMm"
                (changed)="set(i, { minMm: $event })"
              />
              <fl-vector-field
                [labels]="['to x', 'to y', 'to z']"
                [valueMm]="solid.maxMm"
                (changed)="set(i, { maxMm: $event })"
              />
            } @else {
              <fl-vector-field
                [labels]="['foot x', 'foot y', 'foot z']"
                [valueMm]="solid.footMm"
                (changed)="set(i, { footMm: $event })"
              />
              <fl-field
                [of]="cylinder.radiusMm"
                [value]="solid.radiusMm"
                (changed)="set(i, { radiusMm: $event })"
              />
              <fl-field
                [of]="cylinder.heightMm"
                [value]="solid.heightMm"
                (changed)="set(i, { heightMm: $event })"
              />
            }
          </div>
        </div>
      }
      <div class="mt-3 flex flex-wrap gap-2 pb-2">
        <button type="button" class="btn" (click)="add('box')">Add a box</button>
        <button type="button" class="btn" (click)="add('cylinder')">Add a post</button>
        @if (bender().around) {
          <button type="button" class="btn" (click)="usual()">Use the standard ones</button>
        }
      </div>
    </fl-disclosure>
  `,
})
export class AroundForm {
  protected readonly cylinder = BENCH_SOLID.shapes.cylinder.fields;
  protected readonly leverFields = BENCH_LEVER.fields;
  private readonly store = inject(PlanStore);
  readonly bender = input.required<BenchBender>();
  protected readonly around = computed(() => aroundOf(this.bender()));

  private keep(around: BenchSolids): void {
    // A box whose corners were given the other way round is the same box.
    const solids = around.solids.map((solid): Solid => {
      if (solid.kind !== 'box') return solid;
      const [a, b] = [solid.minMm, solid.maxMm];
      return {
        ...solid,
        minMm: mapVec(a, (v, i) => Math.min(v, b[i]!)),
        maxMm: mapVec(a, (v, i) => Math.max(v, b[i]!)),
      };
    });
    this.store.apply({
      edit: 'changeBender',
      with: { id: this.bender().id, patch: { around: { ...around, solids } } },
    });
  }
  protected lever(patch: Partial<BenchSolids['lever']>): void {
    this.keep({ ...this.around(), lever: { ...this.around().lever, ...patch } });
  }
  protected set(index: number, patch: object): void {
    this.keep({
      ...this.around(),
      solids: this.around().solids.map((one, i) => (i === index ? { ...one, ...patch } : one)),
    });
  }
  protected remove(index: number): void {
    this.keep({ ...this.around(), solids: this.around().solids.toSpliced(index, 1) });
  }
  protected add(kind: Solid['kind']): void {
    const solid: Solid =
      kind === 'box'
        ? { kind, name: 'a box', minMm: [-200, -100, -60], maxMm: [200, 100, -40] }
        : { kind, name: 'a post', footMm: [-150, 100, -60], radiusMm: 20, heightMm: 200 };
    this.keep({ ...this.around(), solids: [...this.around().solids, solid] });
  }
  protected usual(): void {
    const { around: _, ...bender } = this.bender();
    this.store.apply({
      edit: 'changeBench',
      with: {
        patch: {
          benders: this.store
            .plan()
            .bench.benders.map((one) => (one.id === bender.id ? bender : one)),
        },
      },
    });
  }
}
