import { ChangeDetectionStrategy, Component, inject, output } from '@angular/core';
import { newPart, PART_KINDS, PART_SPECS, type Part } from '@firm-line/core/plan';
import { PlanStore } from '../session/plan-store';

/** Adds a part of a kind with the ports that such a part has. */
@Component({
  selector: 'fl-add-part',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form class="my-1 flex flex-wrap gap-2" (submit)="$event.preventDefault(); add(kind.value)">
      <select #kind class="field min-w-44 flex-1" aria-label="Kind of part to add">
        @for (kind of kinds; track kind) {
          <option [value]="kind">{{ specs[kind].name }}</option>
        }
      </select>
      <button type="submit" class="btn px-3">Add part</button>
    </form>
  `,
})
export class AddPart {
  private readonly store = inject(PlanStore);
  readonly added = output<Part>();
  protected readonly kinds = PART_KINDS;
  protected readonly specs = PART_SPECS;

  protected add(text: string): void {
    const kind = PART_KINDS.find((one) => one === text)!;
    const part = newPart(this.store.plan(), kind);
    if (this.store.apply({ edit: 'addPart', with: { part } })) this.added.emit(part);
  }
}
