import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import {
  type EditCall,
  type Floor,
  type TemporaryFix,
  TEMPORARY,
  choiceName,
} from '@firm-line/core/plan';
import { FieldOf } from '../../kit/fields/field';
import { today } from '../../kit/today';

/** What holds for now and must come off again: open until it is closed. */
@Component({
  selector: 'fl-held-for-now',
  imports: [FieldOf],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <h2 class="text-lg font-bold">Temporary fixes</h2>
    @for (one of open(); track one.id) {
      <div class="flex items-center gap-3 border-t border-rule py-2" data-test="held">
        <p class="min-w-0 flex-1 text-sm">
          <span class="font-semibold">{{ one.what }}</span> on {{ names(one.by) }} since
          {{ one.since
          }}{{ one.task && taskName()(one.task) ? ', at: ' + taskName()(one.task) : '' }}
        </p>
        <button
          type="button"
          class="btn"
          [attr.aria-label]="'Close: ' + one.what"
          (click)="changed.emit(closedNow(one.id))"
        >
          Close
        </button>
      </div>
    } @empty {
      <p class="py-1 text-sm text-ink-soft">No temporary fixes.</p>
    }
    <form class="mt-2 grid gap-2 border-t border-rule pt-2" (submit)="add($event)">
      <div>
        <label class="label block" for="held-what">What is held, and where</label
        ><input
          #what
          id="held-what"
          class="field w-full"
          maxlength="200"
          [value]="words()"
          (input)="words.set(what.value)"
        />
      </div>
      <div class="flex flex-wrap items-end gap-2">
        <fl-field
          class="min-w-40 flex-1"
          [of]="fields.by"
          field="held-by"
          [value]="by()"
          (changed)="by.set($event)"
        />
        <button type="submit" class="btn" [disabled]="!words().trim()">Add temporary fix</button>
      </div>
    </form>
  `,
})
export class HeldForNow {
  protected readonly fields = TEMPORARY.fields;
  readonly floor = input.required<Floor>();
  /** What a task is called; nothing where there is no such task any more. */
  readonly taskName = input.required<(id: string) => string>();
  readonly changed = output<EditCall>();
  protected readonly names = (by: TemporaryFix['by']): string =>
    choiceName(TEMPORARY.fields.by, by);
  protected readonly words = signal('');
  protected readonly by = signal<TemporaryFix['by']>('zip-tie');
  protected readonly open = computed(() =>
    this.floor().temporary.filter(({ closed }) => closed === null),
  );

  protected closedNow(id: string): EditCall {
    return { edit: 'changeTemporaryFix', with: { id, patch: { closed: today() } } };
  }
  protected add(event: Event): void {
    event.preventDefault();
    const what = this.words().trim();
    if (!what) return;
    this.changed.emit({
      edit: 'beginTemporaryFix',
      with: { what, by: this.by(), since: today() },
    });
    this.words.set('');
  }
}
