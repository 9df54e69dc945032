import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { sheetNames, type MakersOrder, MAKERS_ORDER } from '@firm-line/core/plan';
import { PlanStore } from '../../session/plan-store';
import { FillFacade } from './fill-facade';
import { FieldOf } from '../../kit/fields/field';

/** Where the maker's order stands, and what it asks after the last corner. */
@Component({
  selector: 'fl-makers-form',
  imports: [FieldOf],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <div class="grid gap-3 sm:grid-cols-2">
      <fl-field
        [of]="fields.source"
        field="order-source"
        [offers]="offers()"
        [value]="makers().source"
        (changed)="set({ source: $event })"
      />
      <fl-field
        [of]="fields.parkingTimes"
        [value]="makers().parkingTimes"
        (changed)="set({ parkingTimes: $event })"
      />
    </div>
    <fieldset class="mt-3">
      <legend class="label">Then repeat</legend>
      <div class="mt-1 flex flex-wrap gap-2">
        @for (one of bleeders(); track one.id) {
          <button
            type="button"
            [class]="one.again ? 'btn-dark' : 'btn'"
            [attr.aria-pressed]="one.again"
            [attr.aria-label]="'Repeat: ' + one.name"
            (click)="toggle(one.id)"
          >
            {{ one.name }}{{ one.again ? ' ✓' : '' }}
          </button>
        }
      </div>
    </fieldset>
  `,
})
export class MakersForm {
  protected readonly fields = MAKERS_ORDER.fields;
  private readonly sheet = inject(FillFacade);
  private readonly store = inject(PlanStore);
  protected readonly makers = computed(
    (): MakersOrder => this.sheet.filling().makers ?? { source: '', parkingTimes: 0, again: [] },
  );
  protected readonly offers = computed(() => sheetNames(this.store.plan()));
  protected readonly bleeders = computed(() =>
    (this.sheet.works().find(({ work }) => work === 'brake')?.bleeders ?? []).map(({ port }) => ({
      id: port.id,
      name: this.sheet.name(port.id),
      again: this.makers().again.includes(port.id),
    })),
  );
  protected set(patch: Partial<MakersOrder>): void {
    this.sheet.set({ makers: { ...this.makers(), ...patch } });
  }
  protected toggle(id: string): void {
    const { again } = this.makers();
    this.set({ again: again.includes(id) ? again.filter((one) => one !== id) : [...again, id] });
  }
}
