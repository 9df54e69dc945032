import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import type { Snag } from '@firm-line/core/snags';
import { PlanStore } from '../plan/plan-store';
import { LevelSign } from './level-sign';

/** One snag with its sentence and the action that mends it. */
@Component({
  selector: 'fl-snag-row',
  imports: [LevelSign],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'flex gap-2' },
  template: `
    <fl-level-sign [level]="snag().level" class="pt-0.5" />
    <p class="text-sm leading-snug">
      @if (named()) {
        <strong>{{ snag().where }}.</strong>
      }
      {{ snag().text }}
      @if (snag().mend; as mend) {
        <button
          type="button"
          class="-my-3 min-h-12 font-semibold text-fluid underline-offset-4 hover:underline"
          (click)="store.apply(mend.call)"
        >
          {{ mend.label }}
        </button>
      }
    </p>
  `,
})
export class SnagRow {
  readonly snag = input.required<Snag>();
  /** Whether the sentence names its place first. */
  readonly named = input(false);
  protected readonly store = inject(PlanStore);
}
