import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { BendOrder } from '@firm-line/core/shape/bending';
import { doneOf, workOf, type BendRow } from '@firm-line/core/stations/make/making';
import type { LineView } from '@firm-line/core/plan';
import { formatLength } from '@firm-line/core/lib/units';
import { Hints } from '../../pieces/hints';
import { PlanStore } from '../../session/plan-store';
import { stepWords } from './step-words';

/** What is done to a line that is made here, in its order; a step stays locked until those before it are ticked. */
@Component({
  selector: 'fl-card-steps',
  imports: [Hints],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { role: 'region', 'aria-labelledby': 'order' },
  template: `
    <fl-hints class="px-5" station="make" />
    <h2 id="order" class="h2 px-5 print:px-0">Steps in order</h2>
    <ol class="mt-1 print:columns-3 print:text-xs">
      @for (step of steps(); track step.id) {
        <li
          class="border-b border-rule print:break-inside-avoid"
          [class.bg-copper-pale]="step.next"
        >
          <label
            class="flex min-h-tap items-center gap-4 px-5 py-1 print:min-h-0 print:px-1"
            [class.cursor-pointer]="!step.locked"
          >
            <input
              #field
              type="checkbox"
              class="size-7 shrink-0 accent-ok print:size-4"
              [checked]="step.done"
              [disabled]="step.locked"
              [attr.data-step]="step.id"
              (change)="tick(step.id, field.checked)"
            />
            <span [class.font-bold]="step.next" [class.text-ink-soft]="step.locked"
              >{{ step.text }}
              @if (step.locked) {
                <span class="text-sm"> (first {{ step.first }})</span>
              }
            </span>
          </label>
        </li>
      }
    </ol>
    <p class="px-5 pt-3 text-sm text-ink-soft print:hidden">{{ orderNote() }}</p>
  `,
})
export class CardSteps {
  private readonly store = inject(PlanStore);
  readonly view = input.required<LineView>();
  readonly order = input.required<BendOrder>();
  readonly rows = input.required<readonly BendRow[]>();
  protected readonly steps = computed(() => {
    const view = this.view();
    const done = doneOf(view);
    const steps = workOf(view, this.order(), this.store.plan().things);
    const next = steps.find((step) => !done.has(step.id))?.id;
    return steps.map((step) => {
      const waits = (step.after ?? [])
        .filter((id) => !done.has(id))
        .map((id) => steps.find((one) => one.id === id)!);
      return {
        id: step.id,
        flare: step.kind === 'test' ? step.flare! : null,
        text: stepWords(step, view, this.rows(), this.store.units()),
        done: done.has(step.id),
        locked: waits.length > 0 && !done.has(step.id),
        first: waits
          .map((one) =>
            one.kind === 'test'
              ? 'a test piece'
              : (one.what ?? (one.kind === 'mark' ? 'the mark' : `the ${one.kind}`)),
          )
          .join(', '),
        next: step.id === next,
      };
    });
  });
  protected readonly orderNote = computed(() => {
    const card = this.view().card;
    if (!card) return '';
    const early =
      card.flareBBefore === null
        ? ''
        : ` Flare end B before bending: only ${this.mm(card.tailMm)} of straight remains after the last bend.`;
    return `A flare stays locked until every part that must be on the tube is ticked. A forgotten nut scraps more lines than anything else.${early} Ticks count only while the card stays the same.`;
  });

  protected tick(step: string, on: boolean): void {
    const { line, digest, tube } = this.view();
    const flare = this.steps().find(({ id }) => id === step)?.flare;
    // A test piece that was good stands for every line of that tube.
    if (flare && on) {
      const trial = {
        at: new Date().toISOString(),
        flare,
        tubeId: tube.id,
        piece: 'test',
        good: true,
        why: '',
      } as const;
      this.store.apply({ edit: 'recordTrial', with: { trial } });
      return;
    }
    this.store.apply(
      on
        ? { edit: 'tick', with: { id: line.id, step, digest, at: new Date().toISOString() } }
        : { edit: 'untick', with: { id: line.id, step } },
    );
  }
  private mm(mm: number, digits = 0): string {
    return formatLength(mm, this.store.units(), digits);
  }
}
