import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { SESSION_MEANS, type SessionMeans } from '@firm-line/core/plan';
import { CheckField } from '../../kit/fields/check-field';
import { NumberField } from '../../kit/fields/number-field';

/** How long, with how many, and which tools there are. */
@Component({
  selector: 'fl-session-form',
  imports: [CheckField, NumberField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <div class="grid grid-cols-2 gap-3">
      <fl-number-field label="Minutes" [limits]="limits.minutes" [value]="means().minutes" (changed)="changed.emit({ people: means().people, lacks: means().lacks, minutes: $event })" />
      <fl-number-field label="People" [limits]="limits.people" [value]="means().people" (changed)="changed.emit({ minutes: means().minutes, lacks: means().lacks, people: $event })" />
    </div>
    <p class="label mt-2">At hand</p>
    @for (tool of tools(); track tool) {
      <fl-check-field [label]="tool" [checked]="!means().lacks.includes(tool)" (changed)="has(tool, $event)" />
    }
  `,
}) // prettier-ignore
export class SessionForm {
  readonly means = input.required<SessionMeans>();
  readonly tools = input.required<readonly string[]>();
  readonly changed = output<SessionMeans>();
  protected readonly limits = SESSION_MEANS.fields;

  protected has(tool: string, isThere: boolean): void {
    const { minutes, people, lacks } = this.means();
    const others = lacks.filter((one) => one !== tool);
    this.changed.emit({ minutes, people, lacks: isThere ? others : [...others, tool] });
  }
}
