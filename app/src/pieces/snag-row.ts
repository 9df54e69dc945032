import { ChangeDetectionStrategy, Component, effect, inject, input, signal } from '@angular/core';
import type { Fix, Snag } from '@firm-line/core/inspect';
import { LevelSign } from '../kit/level-sign';
import { Inspection } from '../session/inspection';
import { PlanStore } from '../session/plan-store';
import { Words } from '../kit/words';

/** One snag with its sentence and the action that mends it, which is worked out once the row is shown. */
@Component({
  selector: 'fl-snag-row',
  imports: [Words, LevelSign],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'flex gap-2', '[class.invisible]': '!store.isJudged()' },
  template: `
    <fl-level-sign [level]="snag().level" class="pt-0.5" />
    <p class="text-sm leading-snug">
      @if (named()) {
        <strong>{{ snag().where }}.</strong>&ngsp;
      }
      <fl-words [text]="snag().text" />&ngsp;
      @if (fix(); as found) {
        <button
          type="button"
          class="-my-3 min-h-tap font-semibold text-fluid underline-offset-4 hover:underline"
          (click)="store.apply(found.call)"
        >
          {{ found.label }}
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
  private readonly inspection = inject(Inspection);
  protected readonly fix = signal<Fix | null>(null);

  constructor() {
    let asked: Snag | null = null;
    effect(() => {
      const snag = this.snag();
      // Asked again after each inspection, until it is known: what was asked between two of them lapsed.
      if (!this.store.isJudged() || (asked === snag && this.fix())) return;
      if (asked !== snag) this.fix.set(null);
      asked = snag;
      void this.inspection.fixOf(snag).then((fix) => asked === snag && this.fix.set(fix));
    });
  }
}
