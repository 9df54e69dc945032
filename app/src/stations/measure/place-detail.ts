import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { figure } from '@firm-line/core/lib/faults';
import {
  newPort,
  PART,
  PART_KINDS,
  PART_SPECS,
  SIGMA,
  type EditCall,
  type PositionSource,
  type Part,
  type Port,
  type Target,
  PORT,
} from '@firm-line/core/plan';
import { formatLength } from '@firm-line/core/lib/units';
import { tenths } from '@firm-line/core/lib/vec';
import { DirectionField } from '../../kit/fields/direction-field';
import { RadioField, type RadioChoice } from '../../kit/fields/radio-field';
import { VectorField } from '../../kit/fields/vector-field';
import { SnagRow } from '../../pieces/snag-row';
import { PlanStore } from '../../session/plan-store';
import { Selection } from '../../session/selection';
import { FromPort } from './from-port';
import { PartPlace } from './part-place';
import { TapeTable } from './tape-table';
import { TextField } from '../../kit/fields/text-field';
import { FieldOf } from '../../kit/fields/field';

const HOWS: readonly RadioChoice<PositionSource['how']>[] = [
  { id: 'guessed', name: 'Estimate' },
  { id: 'typed', name: 'Typed' },
  { id: 'sheet', name: 'Part sheet' },
  { id: 'taped', name: 'Taped' },
];
const AXES = [
  { axis: 0, name: 'x, aft of front axle' },
  { axis: 1, name: 'y, right of middle' },
  { axis: 2, name: 'z, up from ground' },
] as const;

/** One point or port: what it is, where it is, how that is known and how sure. */
@Component({
  selector: 'fl-place-detail',
  imports: [
    DirectionField,
    FieldOf,
    FromPort,
    PartPlace,
    RadioField,
    SnagRow,
    TapeTable,
    TextField,
    VectorField,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (found(); as place) {
      <h2 class="mb-2 text-2xl font-bold">
        {{ place.part ? place.part.name + ', ' : '' }}{{ place.name }}
      </h2>
      <dl class="flex flex-wrap gap-x-5 gap-y-1" aria-label="Position">
        @for (axis of axes; track axis.axis) {
          <div>
            <dt class="label">{{ axis.name }}</dt>
            <dd class="font-mono text-2xl" [attr.data-axis]="axis.axis">
              {{ mm(place.fixed.atMm[axis.axis]) }}
              <span class="text-base">±{{ mm(2 * place.fixed.sigmaMm[axis.axis]) }}</span>
            </dd>
          </div>
        }
      </dl>
      <p class="text-sm text-ink-soft">± is two standard deviations: right 19 times in 20.</p>
      @for (snag of snags(); track $index) {
        <fl-snag-row class="mt-2" [snag]="snag" />
      }
      @if (place.known.how === 'guessed' && !taping()) {
        <button type="button" class="btn-main mt-3" (click)="tapeIt.emit()">Tape this place</button>
      }
      <fl-radio-field
        field="how"
        class="mt-4"
        label="Source of position"
        [options]="hows"
        [value]="place.known.how"
        (changed)="setHow($event)"
      />
      @if (isTaping()) {
        <fl-tape-table
          class="mt-3 block"
          [target]="target()"
          [known]="place.known"
          [fixed]="place.fixed"
          (changed)="setKnown(taped($event))"
        />
      } @else {
        <div class="mt-3 grid max-w-xl grid-cols-3 gap-3">
          <fl-vector-field
            [labels]="labels"
            [valueMm]="place.known.atMm"
            (changed)="setKnown({ atMm: $event })"
          />
          <fl-vector-field
            [labels]="sigmaLabels"
            [limits]="sigma"
            [valueMm]="place.known.sigmaMm"
            (changed)="setKnown({ sigmaMm: $event })"
          />
        </div>
      }
      @if (place.known.how === 'sheet' && place.port) {
        <fl-from-port [portId]="place.port.id" (changed)="setKnown($event)" />
      }
      <section
        class="mt-5 border-t border-rule pt-3"
        [attr.aria-label]="place.port ? 'The port' : 'The point'"
      >
        <div class="flex flex-wrap items-end gap-3">
          <fl-text-field
            class="min-w-40 flex-1"
            field="place-name"
            [label]="'Name of the ' + (place.port ? 'port' : 'point')"
            [limits]="fields.name"
            [value]="place.name"
            (changed)="rename($event)"
          />
          @if (place.port; as port) {
            <fl-field
              [of]="portFields.role"
              field="port-role"
              [value]="port.role"
              (changed)="patchPort({ role: $event })"
            />
            <fl-direction-field
              class="w-36"
              field="port-way"
              label="Tube leaves toward"
              [value]="port.direction"
              [acrossMm]="place.fixed.atMm[1]"
              (changed)="patchPort({ direction: $event })"
            />
          }
          <button type="button" class="btn" (click)="remove()">Delete</button>
        </div>
      </section>
      @if (place.part; as part) {
        <section class="mt-5 border-t border-rule pt-3" aria-label="The part">
          <h3 class="font-bold">Part</h3>
          <div class="mt-2 flex flex-wrap items-end gap-3">
            <fl-field
              class="min-w-40 flex-1"
              [of]="partFields.name"
              field="part-name"
              [value]="part.name"
              (changed)="patchPart({ name: $event })"
            />
            <fl-field
              class="min-w-48 flex-1"
              [of]="partFields.kind"
              field="part-kind"
              [options]="kindChoices"
              [value]="part.kind"
              (changed)="patchPart({ kind: $event })"
            />
            <fl-field
              class="w-32"
              [of]="partFields.cavityMl"
              [value]="part.cavityMl"
              (changed)="patchPart({ cavityMl: $event })"
            />
            <button type="button" class="btn" (click)="addPort()">Add a port</button>
            <button type="button" class="btn" (click)="removePart()">Delete the part</button>
          </div>
          <fl-part-place [part]="part" />
        </section>
      }
    } @else {
      <p class="py-6 text-ink-soft">Select a point on the left, or in the picture.</p>
    }
  `,
})
export class PlaceDetail {
  protected readonly portFields = PORT.fields;
  protected readonly partFields = PART.fields;
  private readonly store = inject(PlanStore);
  private readonly selection = inject(Selection);
  readonly target = input.required<Target>();
  /** It is to be taped: the tapes are asked for before there are any. */
  readonly taping = input(false);
  readonly tapeIt = output();
  protected readonly isTaping = computed(() => {
    const how = this.found()!.known.how;
    return how === 'taped' || (how === 'guessed' && this.taping());
  });
  protected readonly hows = HOWS;
  protected readonly axes = AXES;
  protected readonly labels = AXES.map(({ name }) => name);
  protected readonly sigmaLabels = AXES.map(({ name }) => `± of ${name[0]} (1σ)`);
  protected readonly sigma = SIGMA;
  protected readonly fields = PART.fields;
  protected readonly kindChoices = PART_KINDS.map((kind) => [kind, PART_SPECS[kind].name] as const);

  protected readonly found = computed(() => {
    const { kind, id } = this.target();
    const view = this.store.view();
    if (kind === 'point') {
      const point = view?.points.get(id);
      return (
        point && {
          name: point.point.name,
          known: point.point.known,
          fixed: point.fixed,
          port: null,
          part: null,
        }
      );
    }
    const port = view?.ports.get(id);
    return (
      port && {
        name: port.port.name,
        known: port.port.known,
        fixed: port.fixed,
        port: port.port,
        part: port.part,
      }
    );
  });
  protected readonly snags = computed(() =>
    this.store
      .laidOutSnags()
      .filter(
        (snag) => snag.place.kind === this.target().kind && snag.place.id === this.target().id,
      ),
  );

  protected setKnown(patch: Partial<PositionSource>): void {
    this.apply({
      edit: 'setKnown',
      with: { target: this.target(), known: { ...this.found()!.known, ...patch } },
    });
  }
  /** With its first reading a guess becomes a taped place. */
  protected taped(patch: Partial<PositionSource>): Partial<PositionSource> {
    const { known } = this.found()!;
    return known.how === 'taped'
      ? patch
      : { how: 'taped', tapes: known.tapes ?? [], side: known.side ?? 'above', ...patch };
  }
  protected setHow(how: PositionSource['how']): void {
    const { known, fixed } = this.found()!;
    if (how === 'taped')
      return this.setKnown({ how, tapes: known.tapes ?? [], side: known.side ?? 'above' });
    // What was measured is not lost by changing how it is known: the place found so far is taken over.
    this.setKnown({ how, atMm: tenths(fixed.atMm), sigmaMm: tenths(fixed.sigmaMm) });
  }
  protected rename(name: string): void {
    this.apply(
      this.found()!.port
        ? { edit: 'changePort', with: { id: this.target().id, patch: { name } } }
        : { edit: 'changePoint', with: { id: this.target().id, patch: { name } } },
    );
  }
  protected patchPort(patch: Partial<Omit<Port, 'id'>>): void {
    this.apply({ edit: 'changePort', with: { id: this.target().id, patch } });
  }
  protected patchPart(patch: Partial<Omit<Part, 'id'>>): void {
    this.apply({ edit: 'changePart', with: { id: this.found()!.part!.id, patch } });
  }
  protected addPort(): void {
    const port = newPort(this.store.plan());
    this.apply({ edit: 'addPort', with: { partId: this.found()!.part!.id, port } });
    this.selection.chooseTarget({ kind: 'port', id: port.id });
  }
  protected remove(): void {
    const { id, kind } = this.target();
    this.apply(
      kind === 'point'
        ? { edit: 'removePoint', with: { id } }
        : { edit: 'removePort', with: { id } },
    );
  }
  protected removePart(): void {
    this.apply({ edit: 'removePart', with: { id: this.found()!.part!.id } });
  }
  private apply(call: EditCall): void {
    this.store.apply(call);
  }
  protected mm(value: number): string {
    return this.store.units() === 'metric' ? figure(value, 1) : formatLength(value, 'inch');
  }
}
