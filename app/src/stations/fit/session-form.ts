import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { SESSION_MEANS, type SessionMeans } from '@firm-line/core/plan';
import { CheckField } from '../../kit/fields/check-field';
import { FieldOf } from '../../kit/fields/field';

/** How long, with how many, and which tools there are. */
@Component({
  selector: 'fl-session-form',
  imports: [CheckField, FieldOf],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <div class="grid grid-cols-2 gap-3">
      <fl-field
        [of]="fields.minutes"
        [value]="means().minutes"
        (changed)="put({ minutes: $event })"
      />
      <fl-field [of]="fields.people" [value]="means().people" (changed)="put({ people: $event })" />
    </div>
    <p class="label mt-2">Tools here</p>
    @for (tool of tools(); track tool) {
      <fl-check-field
        [label]="tool"
        [checked]="!means().lacks.includes(tool)"
        (changed)="has(tool, $event)"
      />
    }
    <button type="button" class="btn mt-2 w-full" (click)="begun.emit()">
      Start a new session
    </button>
    <p class="text-sm text-ink-soft">
      Stands and chocks must then be checked again.{{
        means().on ? ' This session started on ' + means().on + '.' : ''
      }}
    </p>
  `,
})
export class SessionForm {
  protected readonly fields = SESSION_MEANS.fields;
  readonly means = input.required<SessionMeans>();
  readonly tools = input.required<readonly string[]>();
  readonly changed = output<Partial<SessionMeans>>();
  readonly begun = output();

  protected put(patch: Partial<SessionMeans>): void {
    this.changed.emit(patch);
  }
  protected has(tool: string, isThere: boolean): void {
    const others = this.means().lacks.filter((one) => one !== tool);
    this.put({ lacks: isThere ? others : [...others, tool] });
  }
}
