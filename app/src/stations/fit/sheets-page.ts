import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { type MakerSheet, MAKER_SHEET, EARLIER_CHANGE } from '@firm-line/core/plan';
import { EmptyState } from '../../kit/empty-state';
import { AddPhotos } from './add-photos';
import { LogFacade } from './log-facade';
import { FieldOf } from '../../kit/fields/field';
import { today } from '../../kit/today';

/** Makers' sheets: which are here, which were asked for, which do not exist; and what was changed on the vehicle before. */
@Component({
  selector: 'fl-sheets-page',
  imports: [AddPhotos, EmptyState, FieldOf],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block p-5' },
  template: `
    <h2 class="text-2xl font-bold">Makers’ sheets</h2>
    <p class="mt-1 max-w-prose">
      Name the sheet for every figure. A figure with no sheet is an open point; never fill it in
      from memory.
    </p>
    @for (one of log().sheets; track one.id) {
      <section class="card mt-4 p-5" [attr.aria-label]="one.name">
        <div class="grid gap-3 sm:grid-cols-3">
          <fl-field
            [of]="fields.name"
            [field]="'sheet-' + one.id"
            [value]="one.name"
            (changed)="change(one.id, { name: $event })"
          />
          <fl-field
            [of]="fields.kind"
            [field]="'sheet-kind-' + one.id"
            [value]="one.kind"
            (changed)="change(one.id, { kind: $event })"
          />
          <fl-field
            [of]="fields.state"
            [field]="'sheet-state-' + one.id"
            [value]="one.state"
            (changed)="change(one.id, { state: $event })"
          />
          <fl-field
            [of]="fields.edition"
            [field]="'sheet-edition-' + one.id"
            [value]="one.edition"
            (changed)="change(one.id, { edition: $event })"
          />
          <fl-field
            [of]="fields.readBy"
            [field]="'sheet-read-' + one.id"
            [value]="one.readBy"
            (changed)="change(one.id, { readBy: $event })"
          />
          @if (one.state === 'asked') {
            <fl-field
              [of]="fields.askedOn"
              [field]="'asked-' + one.id"
              [value]="one.askedOn"
              (changed)="change(one.id, { askedOn: $event })"
            />
            <fl-field
              [of]="fields.dueOn"
              [field]="'due-' + one.id"
              [value]="one.dueOn"
              (changed)="change(one.id, { dueOn: $event })"
            />
          }
        </div>
        <fl-add-photos
          class="mt-3"
          [photos]="one.photos"
          (photosChange)="change(one.id, { photos: $event })"
        />
        <button type="button" class="btn mt-3" (click)="remove(one.id)">
          Remove {{ one.name }}
        </button>
      </section>
    } @empty {
      <fl-empty-state
        heading="No sheet yet"
        text="List the sheets for kits, procedures, fluid, torque and wiring: in hand, asked for, or not available."
      />
    }
    <button type="button" class="btn mt-4" (click)="add()">Add a sheet</button>
    <h2 class="mt-8 text-2xl font-bold">Earlier changes to the vehicle</h2>
    <p class="mt-1 max-w-prose">
      A factory sheet no longer applies to an axle, master cylinder or wheel that was swapped.
    </p>
    @for (one of log().earlier; track one.id) {
      <div class="mt-2 flex items-end gap-3">
        <fl-field
          class="flex-1"
          [of]="earlier.text"
          [field]="'earlier-' + one.id"
          [value]="one.text"
          (changed)="changeEarlier(one.id, $event)"
        />
        <button
          type="button"
          class="btn"
          [attr.aria-label]="'Remove: ' + one.text"
          (click)="removeEarlier(one.id)"
        >
          Remove
        </button>
      </div>
    }
    <button type="button" class="btn mt-3" (click)="addEarlier()">Add a change</button>
  `,
})
export class SheetsPage {
  protected readonly fields = MAKER_SHEET.fields;
  protected readonly earlier = EARLIER_CHANGE.fields;
  private readonly sheet = inject(LogFacade);
  protected readonly log = computed(() => this.sheet.log());

  protected add(): void {
    const { sheets } = this.log();
    this.sheet.apply({
      edit: 'addMakerSheet',
      with: {
        makerSheet: {
          id: this.sheet.freshId('sheet'),
          name: `Sheet ${sheets.length + 1}`,
          kind: 'torque',
          state: 'asked',
          edition: '',
          readBy: '',
          askedOn: today(),
          dueOn: null,
          photos: [],
        },
      },
    });
  }
  protected change(id: string, patch: Partial<Omit<MakerSheet, 'id'>>): void {
    this.sheet.apply({ edit: 'changeMakerSheet', with: { id, patch } });
  }
  protected remove(id: string): void {
    this.sheet.apply({ edit: 'removeMakerSheet', with: { id } });
  }
  protected addEarlier(): void {
    this.sheet.apply({
      edit: 'addEarlierChange',
      with: { earlierChange: { id: this.sheet.freshId('earlier'), text: 'What was changed' } },
    });
  }
  protected changeEarlier(id: string, text: string): void {
    this.sheet.apply({ edit: 'changeEarlierChange', with: { id, patch: { text } } });
  }
  protected removeEarlier(id: string): void {
    this.sheet.apply({ edit: 'removeEarlierChange', with: { id } });
  }
}
