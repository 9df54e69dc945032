import { mapVec, type Vec3 } from '@firm-line/core/lib/vec';
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { Shape, Thing, Travel } from '@firm-line/core/shape/obstacles';
import { type Field, figureAt, SHAPE, THING, TRAVEL, withFigure } from '@firm-line/core/plan';
import { LengthField } from '../../kit/fields/length-field';
import { SnagRow } from '../../pieces/snag-row';
import { PlanStore } from '../../session/plan-store';
import { HoleList } from './hole-list';
import { CheckField } from '../../kit/fields/check-field';
import { VectorField } from '../../kit/fields/vector-field';
import { FieldOf } from '../../kit/fields/field';

const STILL: Travel = { heaveMm: [-60, 60], rollDeg: 0, lockDeg: 0, aboutMm: [0, 0, 0] };
const { bar, pipe, wheel } = SHAPE.shapes;
/** Lengths of a shape by their place in it. */
/** What of a shape is a length, by its kind. */
const LENGTHS: Readonly<
  Record<Shape['kind'], readonly { readonly key: string; readonly of: Field<number> }[]>
> = {
  bar: (['widthMm', 'heightMm', 'wallMm'] as const).map((key) => ({ key, of: bar.fields[key] })),
  block: [],
  pipe: [{ key: 'diameterMm', of: pipe.fields.diameterMm }],
  wheel: (['radiusMm', 'widthMm'] as const).map((key) => ({ key, of: wheel.fields[key] })),
  mesh: [],
};

/** A thing of the vehicle: what it is to a line, where it is, and how it moves. */
@Component({
  selector: 'fl-thing-detail',
  imports: [CheckField, FieldOf, HoleList, LengthField, SnagRow, VectorField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <div class="flex flex-wrap items-center gap-3">
      <h2 class="mr-auto text-2xl font-bold">{{ thing().name }}</h2>
      <button type="button" class="btn px-3" (click)="remove()">Delete</button>
    </div>
    @for (snag of snags(); track $index) {
      <fl-snag-row class="mt-2" [snag]="snag" />
    }
    <div class="mt-2 grid gap-3 sm:grid-cols-2">
      <fl-field
        [of]="fields.name"
        field="thing-name"
        [value]="thing().name"
        (changed)="change({ name: $event })"
      />
      <fl-field
        [of]="fields.nature"
        field="thing-nature"
        [value]="thing().nature"
        (changed)="change({ nature: $event })"
      />
      <fl-field
        [of]="fields.keepMm"
        [value]="thing().keepMm"
        (changed)="change({ keepMm: $event })"
      />
      @if (thing().nature === 'hot') {
        <fl-field
          [of]="fields.surfaceC"
          [value]="thing().surfaceC ?? 0"
          (changed)="change({ surfaceC: $event })"
        />
      }
      <fl-field
        class="self-end"
        [of]="fields.holds"
        [value]="thing().holds"
        (changed)="change({ holds: $event })"
      />
    </div>
    <h3 class="h2 mt-4">Position and size</h3>
    @if (barShape(); as shape) {
      <div class="mt-1 grid gap-3 sm:grid-cols-2">
        <fl-field
          [of]="bar.section"
          field="thing-section"
          [value]="shape.section"
          (changed)="put('section', $event)"
        />
        @if (shape.section === 'channel') {
          <fl-field
            [of]="bar.opens"
            field="thing-opens"
            [value]="shape.opens"
            (changed)="put('opens', $event)"
          />
        }
      </div>
    }
    @if (lengths().length) {
      <div class="mt-2 grid grid-cols-3 gap-3">
        @for (row of lengths(); track row.key) {
          <fl-field [of]="row.of" [value]="mm(row.key)" (changed)="put(row.key, $event)" />
        }
      </div>
    }
    @for (place of places(); track place.path) {
      <div
        class="mt-2 grid grid-cols-[1fr_1fr_1fr_3rem] items-end gap-2 2xl:grid-cols-[5.5rem_1fr_1fr_1fr_3rem]"
      >
        <span class="col-span-full text-sm 2xl:col-span-1 2xl:pb-3">{{ place.name }}</span>
        <fl-vector-field [valueMm]="place.at" (changed)="put(place.path, $event)" />
        @if (places().length > 2 && pathMm()) {
          <button
            type="button"
            class="btn px-0"
            [attr.aria-label]="'Delete ' + place.name"
            (click)="cut(place.index)"
          >
            ×
          </button>
        }
      </div>
    }
    @if (pathMm()) {
      <button type="button" class="btn mt-2" (click)="extend()">Add a station</button>
    }
    @if (thing().shape.kind === 'block') {
      <fl-hole-list [thing]="thing()" />
    }
    <h3 class="h2 mt-4">Movement</h3>
    <fl-check-field
      label="Moves with an axle, a wheel or the steering"
      [checked]="thing().travel !== null"
      (changed)="setMoving($event)"
    />
    @if (thing().travel; as travel) {
      <div class="grid grid-cols-2 gap-3 sm:grid-cols-4">
        <fl-length-field
          label="Down, droop"
          [mostMm]="0"
          [leastMm]="-2000"
          [valueMm]="travel.heaveMm[0]"
          (changed)="move('heaveMm.0', $event)"
        />
        <fl-length-field
          label="Up, bump"
          [leastMm]="0"
          [mostMm]="2000"
          [valueMm]="travel.heaveMm[1]"
          (changed)="move('heaveMm.1', $event)"
        />
        <fl-field
          [of]="travelFields.rollDeg"
          [value]="travel.rollDeg"
          (changed)="move('rollDeg', $event)"
        />
        <fl-field
          [of]="travelFields.lockDeg"
          [value]="travel.lockDeg"
          (changed)="move('lockDeg', $event)"
        />
      </div>
      <div
        class="mt-2 grid grid-cols-[1fr_1fr_1fr_3rem] items-end gap-2 2xl:grid-cols-[5.5rem_1fr_1fr_1fr_3rem]"
      >
        <span class="col-span-full text-sm 2xl:col-span-1 2xl:pb-3">pivot</span>
        <fl-vector-field [valueMm]="travel.aboutMm" (changed)="move('aboutMm', $event)" />
      </div>
    }
  `,
})
export class ThingDetail {
  protected readonly fields = THING.fields;
  protected readonly travelFields = TRAVEL.fields;
  private readonly store = inject(PlanStore);
  readonly thing = input.required<Thing>();
  protected readonly bar = bar.fields;
  protected readonly barShape = computed(() => {
    const { shape } = this.thing();
    return shape.kind === 'bar' ? shape : null;
  });
  protected readonly lengths = computed(() => LENGTHS[this.thing().shape.kind]);
  protected readonly snags = computed(() =>
    this.store
      .laidOutSnags()
      .filter(({ place }) => place.kind === 'thing' && place.id === this.thing().id),
  );
  protected readonly pathMm = computed((): readonly Vec3[] | null => {
    const { shape } = this.thing();
    return shape.kind === 'bar' || shape.kind === 'pipe' ? shape.pathMm : null;
  });
  protected readonly places = computed(
    (): { name: string; path: string; index: number; at: Vec3 }[] => {
      const { shape } = this.thing();
      const path = this.pathMm();
      if (path)
        return path.map((at, index) => ({
          name: `station ${index + 1}`,
          path: `pathMm.${index}`,
          index,
          at,
        }));
      if (shape.kind === 'block')
        return [
          { name: 'lower corner', path: 'minMm', index: 0, at: shape.minMm },
          { name: 'upper corner', path: 'maxMm', index: 1, at: shape.maxMm },
        ];
      if (shape.kind === 'wheel')
        return [{ name: 'center', path: 'centreMm', index: 0, at: shape.centreMm }];
      return shape.kind === 'mesh'
        ? [{ name: 'moved by', path: 'atMm', index: 0, at: shape.atMm }]
        : [];
    },
  );

  protected mm(path: string): number {
    return Number(figureAt(this.thing().shape, path));
  }
  protected change(patch: Partial<Thing>): void {
    this.store.apply({ edit: 'changeThing', with: { id: this.thing().id, patch } });
  }
  protected put(path: string, to: unknown): void {
    const { shape } = withFigure({ shape: this.thing().shape, open: [] }, `shape.${path}`, to);
    this.change({ shape });
  }
  protected move(path: string, to: unknown): void {
    const { travel } = withFigure({ travel: this.thing().travel, open: [] }, `travel.${path}`, to);
    this.change({ travel });
  }
  protected setMoving(moves: boolean): void {
    const middle = this.places().reduce<Vec3>(
      (sum, { at }) => mapVec(sum, (v, i) => v + at[i]! / this.places().length),
      [0, 0, 0],
    );
    this.change({
      travel: moves ? { ...STILL, aboutMm: mapVec(middle, Math.round) } : null,
    });
  }
  protected extend(): void {
    const path = this.pathMm()!;
    const [before, last] = [path.at(-2)!, path.at(-1)!];
    this.put('pathMm', [...path, last.map((v, i) => v + Math.round((v - before[i]!) / 2))]);
  }
  protected cut(index: number): void {
    this.put('pathMm', this.pathMm()!.toSpliced(index, 1));
  }
  protected remove(): void {
    this.store.apply({ edit: 'removeThing', with: { id: this.thing().id } });
  }
}
