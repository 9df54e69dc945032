import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { type EditCall, OWN_TASK, type Floor, type Gate, type OwnTask } from '@firm-line/core/plan';
import { possiblePrerequisites, type TaskView } from '@firm-line/core/stations/fit/tasks';
import { SelectField } from '../../kit/fields/select-field';
import { FieldOf } from '../../kit/fields/field';

/** A task of the user's own: how long, with how many, before which gate, after which others. */
@Component({
  selector: 'fl-own-form',
  imports: [FieldOf, SelectField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'card block p-4' },
  template: `
    <div class="grid gap-3 sm:grid-cols-3">
      <fl-field
        [of]="fields.minutes"
        [value]="own().minutes"
        (changed)="put({ minutes: $event })"
      />
      <fl-field [of]="fields.people" [value]="own().people" (changed)="put({ people: $event })" />
      <fl-field
        [of]="fields.gateId"
        field="own-gate"
        [options]="gateChoices()"
        none="no gate"
        [value]="own().gateId"
        (changed)="put({ gateId: $event || null })"
      />
    </div>
    <p class="label mt-3">After</p>
    @for (need of needs(); track need.id) {
      <div class="flex items-center gap-3 border-t border-rule">
        <p class="min-w-0 flex-1">{{ need.name }}</p>
        <button
          type="button"
          class="btn"
          [attr.aria-label]="'Remove dependency: ' + need.name"
          (click)="put({ needs: without(need.id) })"
        >
          Remove
        </button>
      </div>
    }
    <fl-select-field
      field="own-need"
      label="Comes after"
      none="choose a task"
      [options]="choices()"
      [value]="null"
      (changed)="need($event)"
    />
  `,
})
export class OwnForm {
  protected readonly fields = OWN_TASK.fields;
  readonly own = input.required<OwnTask>();
  readonly floor = input.required<Floor>();
  readonly views = input.required<readonly TaskView[]>();
  readonly gates = input.required<readonly Gate[]>();
  readonly changed = output<EditCall>();
  protected readonly gateChoices = computed(() =>
    this.gates().map(({ id, name }) => [id, name] as const),
  );
  protected readonly needs = computed(() =>
    this.views().flatMap(({ task }) => (this.own().needs.includes(task.id) ? [task] : [])),
  );
  protected readonly choices = computed(() =>
    possiblePrerequisites(this.views(), `own:${this.own().id}`).flatMap(({ task: { id, name } }) =>
      this.own().needs.includes(id) ? [] : [[id, name] as const],
    ),
  );

  protected without(id: string): string[] {
    return this.own().needs.filter((need) => need !== id);
  }
  protected need(id: string): void {
    if (id) this.put({ needs: [...this.own().needs, id] });
  }
  protected put(patch: Partial<OwnTask>): void {
    this.changed.emit({ edit: 'changeOwnTask', with: { id: this.own().id, patch } });
  }
}
