import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { PlanStore, type Refused } from '../session/plan-store';
import { PlanFiles } from '../storage/plan-files';

/** A kept plan that cannot be used as it stands: what is wrong, where, and the ways out of it. Nothing is changed until one is taken. */
@Component({
  selector: 'fl-refused-plan',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block max-w-3xl' },
  template: `
    <h1 class="text-2xl font-bold">
      {{ refused().raw.name || 'This plan' }} cannot be opened as saved
    </h1>
    <p class="mt-2">
      Nothing changes until you choose. To keep a copy as saved, export the plan first.
    </p>
    <h2 class="h2 mt-4">What is wrong</h2>
    <ul
      class="mt-1 max-h-48 overflow-auto font-mono text-sm"
      tabindex="0"
      aria-label="What is wrong"
    >
      @for (fault of refused().faults; track $index) {
        <li class="border-t border-rule py-1">{{ fault }}</li>
      }
    </ul>
    @if (refused().mended; as mended) {
      <h2 class="h2 mt-4">Repair</h2>
      <p>
        Figures out of range move to the nearest limit, and broken references are removed. These
        would change:
      </p>
      <ul class="mt-1 max-h-48 overflow-auto text-sm" tabindex="0" aria-label="What would change">
        @for (one of mended.mended; track $index) {
          <li class="border-t border-rule py-1">{{ one.text }}</li>
        }
      </ul>
      <button type="button" class="btn-main mt-2" (click)="store.takeInstead(mended.plan)">
        Repair and open
      </button>
    } @else {
      <p class="mt-4">The plan cannot be repaired automatically.</p>
    }
    @if (refused().lastGood; as good) {
      <h2 class="h2 mt-4">Go back to an earlier version</h2>
      <p>
        The plan last opened without faults on {{ when(good.at) }}. Later changes would be lost.
      </p>
      <button type="button" class="btn mt-2" (click)="store.takeInstead(good.plan)">
        Open that version
      </button>
    }
    <div class="mt-6 flex gap-2 border-t border-rule pt-4">
      <button type="button" class="btn" (click)="files.export(refused().raw)">
        Export as saved
      </button>
      <a class="btn" routerLink="/">See all plans</a>
    </div>
  `,
})
export class RefusedPlan {
  protected readonly store = inject(PlanStore);
  protected readonly files = inject(PlanFiles);
  readonly refused = input.required<Refused>();

  protected when(time: string): string {
    return new Date(time).toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'short' });
  }
}
