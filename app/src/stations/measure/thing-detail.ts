import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import {
  NATURE_NAMES,
  NATURES,
  SECTIONS,
  type Shape,
  type Thing,
  type Travel,
} from '@firm-line/core/shape/obstacles';
import {
  figureAt,
  SHAPE,
  THING,
  TRAVEL,
  withFigure,
  type NumberLimits,
} from '@firm-line/core/plan';
import type { Vec3 } from '@firm-line/core/lib/vec';
import { LengthField } from '../../kit/fields/length-field';
import { NumberField } from '../../kit/fields/number-field';
import { SnagRow } from '../../pieces/snag-row';
import { SelectField } from '../../kit/fields/select-field';
import { PlanStore } from '../../session/plan-store';
import { HoleList } from './hole-list';
import { TextField } from '../../kit/fields/text-field';
import { CheckField } from '../../kit/fields/check-field';
import { VectorField } from '../../kit/fields/vector-field';

const STILL: Travel = { heaveMm: [-60, 60], rollDeg: 0, lockDeg: 0, aboutMm: [0, 0, 0] };
interface LengthRow {
  readonly label: string;
  readonly path: string;
  readonly limits: NumberLimits;
}
const { bar, pipe, wheel } = SHAPE.shapes;
/** Lengths of a shape by their place in it. */
const LENGTHS: Record<Shape['kind'], readonly LengthRow[]> = {
  bar: [
    { label: 'Across, level', path: 'widthMm', limits: bar.fields.widthMm },
    { label: 'Across, upright', path: 'heightMm', limits: bar.fields.heightMm },
    { label: 'Wall', path: 'wallMm', limits: bar.fields.wallMm },
  ],
  block: [],
  pipe: [{ label: 'Diameter', path: 'diameterMm', limits: pipe.fields.diameterMm }],
  wheel: [
    { label: 'Radius', path: 'radiusMm', limits: wheel.fields.radiusMm },
    { label: 'Width', path: 'widthMm', limits: wheel.fields.widthMm },
  ],
  mesh: [],
};

/** A thing of the vehicle: what it is to a line, where it is, and how it moves. */
@Component({
  selector: 'fl-thing-detail',
  imports: [
    HoleList,
    VectorField,
    CheckField,
    TextField,
    LengthField,
    NumberField,
    SnagRow,
    SelectField,
  ],
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
      <fl-text-field
        field="thing-name"
        label="Name"
        [limits]="fields.name"
        [value]="thing().name"
        (changed)="change({ name: $event })"
      />
      <fl-select-field
        field="thing-nature"
        label="To a line it is"
        [options]="natures"
        [value]="thing().nature"
        (changed)="change({ nature: $event })"
      />
      <fl-length-field
        label="Lines keep from it"
        [limits]="fields.keepMm"
        [valueMm]="thing().keepMm"
        (changed)="change({ keepMm: $event })"
      />
      @if (thing().nature === 'hot') {
        <fl-number-field
          label="Surface, °C"
          [limits]="fields.surfaceC.of"
          [value]="thing().surfaceC ?? 0"
          (changed)="change({ surfaceC: $event })"
        />
      }
      <fl-check-field
        class="self-end"
        label="Lines may be clipped to it"
        [checked]="thing().holds"
        (changed)="change({ holds: $event })"
      />
    </div>
    <h3 class="h2 mt-4">Where and how large</h3>
    @if (thing().shape.kind === 'bar') {
      <div class="mt-1 grid gap-3 sm:grid-cols-2">
        <fl-select-field
          field="thing-section"
          label="Section"
          [options]="sections"
          [value]="text('section')"
          (changed)="put('section', $event)"
        />
        @if (text('section') === 'channel') {
          <fl-select-field
            field="thing-opens"
            label="Its open face looks"
            [options]="sides"
            [value]="text('opens')"
            (changed)="put('opens', $event)"
          />
        }
      </div>
    }
    @if (lengths().length) {
      <div class="mt-2 grid grid-cols-3 gap-3">
        @for (row of lengths(); track row.path) {
          <fl-length-field
            [label]="row.label"
            [limits]="row.limits"
            [valueMm]="mm(row.path)"
            (changed)="put(row.path, $event)"
          />
        }
      </div>
    }
    @for (place of places(); track place.path) {
      <div class="mt-2 grid grid-cols-[5.5rem_1fr_1fr_1fr_3rem] items-end gap-2">
        <span class="pb-3 text-sm">{{ place.name }}</span>
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
    <h3 class="h2 mt-4">How it moves</h3>
    <fl-check-field
      label="It moves with an axle, a wheel or the steering"
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
        <fl-number-field
          label="Roll each way, °"
          [limits]="travelFields.rollDeg"
          [value]="travel.rollDeg"
          (changed)="move('rollDeg', $event)"
        />
        <fl-number-field
          label="Lock each way, °"
          [limits]="travelFields.lockDeg"
          [value]="travel.lockDeg"
          (changed)="move('lockDeg', $event)"
        />
      </div>
      <div class="mt-2 grid grid-cols-[5.5rem_1fr_1fr_1fr_3rem] items-end gap-2">
        <span class="pb-3 text-sm">turns about</span>
        <fl-vector-field [valueMm]="travel.aboutMm" (changed)="move('aboutMm', $event)" />
      </div>
    }
  `,
})
export class ThingDetail {
  private readonly store = inject(PlanStore);
  readonly thing = input.required<Thing>();
  protected readonly fields = THING.fields;
  protected readonly travelFields = TRAVEL.fields;
  protected readonly natures = NATURES.map((nature) => [nature, NATURE_NAMES[nature]] as const);
  protected readonly sections = SECTIONS.map((section) => [section, section] as const);
  protected readonly sides = [
    ['left', 'left'],
    ['right', 'right'],
  ] as const;
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
          { name: 'least corner', path: 'minMm', index: 0, at: shape.minMm },
          { name: 'most corner', path: 'maxMm', index: 1, at: shape.maxMm },
        ];
      if (shape.kind === 'wheel')
        return [{ name: 'centre', path: 'centreMm', index: 0, at: shape.centreMm }];
      return shape.kind === 'mesh'
        ? [{ name: 'moved by', path: 'atMm', index: 0, at: shape.atMm }]
        : [];
    },
  );

  protected text(path: string): string {
    return String(figureAt(this.thing().shape, path));
  }
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
      (sum, { at }) => sum.map((v, i) => v + at[i]! / this.places().length) as unknown as Vec3,
      [0, 0, 0],
    );
    this.change({
      travel: moves ? { ...STILL, aboutMm: middle.map(Math.round) as unknown as Vec3 } : null,
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
