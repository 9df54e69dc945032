import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { PlanStore } from '../session/plan-store';

/** There is no plan to show: there never was one here, or another tab deleted it. */
@Component({
  selector: 'fl-no-plan',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (deleted()) {
      <h1 class="text-2xl font-bold">This plan was deleted in another tab</h1>
      <p class="mt-2">Restore the plan to go on editing it.</p>
      <div class="mt-4 flex gap-2">
        <button type="button" class="btn-main" (click)="store.bringBack()">Restore the plan</button>
        <a routerLink="/" class="btn">See all plans</a>
      </div>
    } @else {
      <h1 class="text-2xl font-bold">No plan at this address</h1>
      <p class="mt-2">
        Plans are stored in one browser. This plan may be in another browser, or deleted.
      </p>
      <a routerLink="/" class="btn-main mt-4">See all plans</a>
    }
  `,
})
export class NoPlan {
  protected readonly store = inject(PlanStore);
  readonly deleted = input.required<boolean>();
}
