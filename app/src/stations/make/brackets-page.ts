import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal } from '@angular/core';
import {
  askedField,
  BRACKET,
  BRACKET_HOLE,
  fileStem,
  type Bracket,
  type BracketHole,
  type Making,
} from '@firm-line/core/plan';
import { EmptyState } from '../../kit/empty-state';
import { ListRow } from '../../kit/list-row';
import { printSheet } from '../../kit/print-sheet';
import { saveFile } from '../../kit/save-file';
import { PlanStore } from '../../session/plan-store';
import { PlateDrawing } from './plate-drawing';
import { FieldOf } from '../../kit/fields/field';

/** Brackets, tabs and panels with holes: a card each, printed 1:1 and as a drawing for the cutter. */
@Component({
  selector: 'fl-brackets-page',
  imports: [EmptyState, FieldOf, ListRow, PlateDrawing],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block p-5' },
  template: `
    <div class="flex flex-wrap items-end gap-3">
      <h2 class="mr-auto text-2xl font-bold">Brackets</h2>
      <button type="button" class="btn" (click)="add()">Add a bracket</button>
      <button type="button" class="btn" [disabled]="!brackets().length" (click)="exportDxf()">
        Export DXF
      </button>
    </div>
    @if (chosen(); as one) {
      <div class="mt-4 grid gap-4 md:grid-cols-[14rem_minmax(0,1fr)]">
        <ul class="card self-start py-2" aria-label="Brackets of this plan">
          @for (bracket of brackets(); track bracket.id) {
            <li>
              <button [flListRow]="bracket.id === one.id" (click)="id.set(bracket.id)">
                <span class="flex-1">{{ bracket.name }}</span><span class="text-sm">{{
                  bracket.revision
                }}</span>
              </button>
            </li>
          }
        </ul>
        <section
          class="card grid gap-5 p-5 xl:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]"
          [attr.aria-label]="one.name"
        >
          <div>
            <div class="grid grid-cols-2 gap-3">
              <fl-field
                class="col-span-2"
                [of]="fields.name"
                field="bracket-name"
                [value]="one.name"
                (changed)="change({ name: $event })"
              />
              <fl-field
                [of]="fields.revision"
                field="bracket-revision"
                [value]="one.revision"
                (changed)="change({ revision: $event })"
              />
              <fl-field
                [of]="fields.plateMm"
                [value]="one.plateMm"
                (changed)="change({ plateMm: $event })"
              />
              <fl-field
                [of]="fields.widthMm"
                [value]="one.widthMm"
                (changed)="change({ widthMm: $event })"
              />
              <fl-field
                [of]="fields.heightMm"
                [value]="one.heightMm"
                (changed)="change({ heightMm: $event })"
              />
              <fl-field
                [of]="upField"
                none="flat"
                [value]="one.bend?.upMm"
                (changed)="bendAt($event ?? null)"
              />
              @if (one.bend; as bend) {
                <fl-field
                  [of]="bendFields.deg"
                  [value]="bend.deg"
                  (changed)="change({ bend: { upMm: bend.upMm, deg: $event } })"
                />
              }
              <fl-field
                class="col-span-2"
                [of]="fields.held"
                field="bracket-held"
                [value]="one.held"
                (changed)="change({ held: $event })"
              />
              <fl-field
                class="col-span-2"
                [of]="fields.existing"
                [value]="one.existing"
                (changed)="change({ existing: $event })"
              />
            </div>
            <h3 class="mt-3 font-bold">Holes</h3>
            @for (hole of one.holes; track $index; let i = $index) {
              <div
                class="mt-2 grid grid-cols-2 items-end gap-2 border-t border-rule pt-2 sm:grid-cols-[1fr_1fr_1fr_1fr_auto]"
              >
                <fl-field
                  [of]="holeFields.acrossMm"
                  [value]="hole.acrossMm"
                  (changed)="setHole(i, { acrossMm: $event })"
                />
                <fl-field
                  [of]="holeFields.upMm"
                  [value]="hole.upMm"
                  (changed)="setHole(i, { upMm: $event })"
                />
                <fl-field
                  [of]="holeFields.diameterMm"
                  [value]="hole.diameterMm"
                  (changed)="setHole(i, { diameterMm: $event })"
                />
                <fl-field
                  [of]="holeFields.flatsMm"
                  none="round"
                  [value]="hole.flatsMm"
                  (changed)="setHole(i, { flatsMm: $event || null })"
                />
                <button
                  type="button"
                  class="btn px-3"
                  [attr.aria-label]="'Remove hole ' + (i + 1)"
                  (click)="removeHole(i)"
                >
                  ×
                </button>
                <fl-field
                  class="col-span-2 sm:col-span-4"
                  [of]="holeFields.what"
                  [field]="'hole-what-' + i"
                  [value]="hole.what"
                  (changed)="setHole(i, { what: $event })"
                />
              </div>
            }
            <div class="mt-3 flex flex-wrap gap-2">
              <button type="button" class="btn" (click)="addHole()">Add a hole</button>
              <button type="button" class="btn" (click)="remove()">Remove {{ one.name }}</button>
            </div>
          </div>
          <div>
            <button type="button" class="btn" (click)="print()">Print 1:1</button>
            <fl-plate-drawing class="mt-3" [bracket]="one" />
            @for (text of troubles(); track $index) {
              <p class="fault mt-1">{{ text }}</p>
            }
            <p class="mt-2 text-sm text-ink-soft">
              Drawn flat, as cut. Thin rings show wrench room around each hole. After printing,
              check the scale bar with a rule.
            </p>
          </div>
        </section>
      </div>
      <div class="print-sheet"><fl-plate-drawing [bracket]="one" [toScale]="true" /></div>
    } @else {
      <fl-empty-state
        heading="No bracket yet"
        text="Draw each bracket, tab or panel hole as a flat pattern: plate, holes, bend and fixing."
      >
        <button type="button" class="btn-main" (click)="add()">Add a bracket</button>
      </fl-empty-state>
    }
  `,
})
export class BracketsPage {
  protected readonly bendFields = BRACKET.fields.bend.of.fields;
  protected readonly upField = askedField(BRACKET.fields.bend.of.fields.upMm);
  protected readonly fields = BRACKET.fields;
  protected readonly holeFields = BRACKET_HOLE.fields;
  private readonly store = inject(PlanStore);
  private readonly making = computed((): Making => this.store.plan().making);
  protected readonly brackets = computed(() => this.making().brackets);
  protected readonly id = linkedSignal<readonly Bracket[], string | null>({
    source: this.brackets,
    computation: (list, before) =>
      list.some(({ id }) => id === before?.value) ? before!.value : (list[0]?.id ?? null),
  });
  protected readonly chosen = computed(
    () => this.brackets().find(({ id }) => id === this.id()) ?? null,
  );
  /** Holes that run off the plate, into one another or over the bend. */
  protected readonly troubles = computed(() => {
    const one = this.chosen();
    if (!one) return [];
    return one.holes.flatMap(({ acrossMm, upMm, diameterMm }, i) => {
      const r = diameterMm / 2;
      const name = `Hole ${i + 1}`;
      const edge = Math.min(one.widthMm / 2 - Math.abs(acrossMm), upMm, one.heightMm - upMm) - r;
      return [
        ...(edge < 0
          ? [`${name} overlaps the edge of the plate.`]
          : edge < one.plateMm
            ? [`${name} leaves ${edge.toFixed(1)} mm to the edge, less than the plate thickness.`]
            : []),
        ...(one.bend && Math.abs(upMm - one.bend.upMm) < r + 2 * one.plateMm
          ? [`${name} is within two plate thicknesses of the bend and will distort.`]
          : []),
        ...one.holes
          .slice(i + 1)
          .flatMap((other, k) =>
            Math.hypot(other.acrossMm - acrossMm, other.upMm - upMm) < r + other.diameterMm / 2
              ? [`${name} and hole ${i + k + 2} overlap.`]
              : [],
          ),
      ];
    });
  });

  protected change(patch: Partial<Omit<Bracket, 'id'>>): void {
    this.store.apply({ edit: 'changeBracket', with: { id: this.id()!, patch } });
  }
  protected bendAt(upMm: number | null): void {
    this.change({ bend: upMm === null ? null : { upMm, deg: this.chosen()!.bend?.deg ?? 90 } });
  }
  protected add(): void {
    const id = this.store.freshId('bracket');
    const bracket: Bracket = {
      id,
      name: id.replace('bracket-', 'Bracket '),
      revision: 'A',
      plateMm: 3,
      widthMm: 30,
      heightMm: 60,
      bend: null,
      holes: [{ acrossMm: 0, upMm: 45, diameterMm: 10.5, flatsMm: null, what: '' }],
      existing: false,
      held: '',
    };
    this.store.apply({ edit: 'addBracket', with: { bracket } });
    this.id.set(bracket.id);
  }
  protected remove(): void {
    this.store.apply({ edit: 'removeBracket', with: { id: this.id()! } });
  }
  protected addHole(): void {
    const { holes, heightMm } = this.chosen()!;
    this.change({
      holes: [
        ...holes,
        { acrossMm: 0, upMm: heightMm / 4, diameterMm: 6.6, flatsMm: null, what: '' },
      ],
    });
  }
  protected setHole(index: number, patch: Partial<BracketHole>): void {
    this.change({
      holes: this.chosen()!.holes.map((hole, i) => (i === index ? { ...hole, ...patch } : hole)),
    });
  }
  protected removeHole(index: number): void {
    this.change({ holes: this.chosen()!.holes.toSpliced(index, 1) });
  }
  protected print(): void {
    printSheet({ widthMm: 210, heightMm: 297, marginMm: 10 });
  }
  protected async exportDxf(): Promise<void> {
    const { platesDxf } = await import('@firm-line/core/shape/formats');
    const plates = this.brackets()
      .filter(({ existing }) => !existing)
      .map(({ name, revision, widthMm, heightMm, bend, holes }) => ({
        name: `${name} ${revision}`.trim(),
        widthMm,
        heightMm,
        bendMm: bend?.upMm ?? null,
        holes,
      }));
    saveFile(`${fileStem(this.store.plan())}-plates.dxf`, platesDxf(plates), 'image/vnd.dxf');
  }
}
