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
      <p class="mt-2">It is not written again until you bring it back.</p>
      <div class="mt-4 flex gap-2">
        <button type="button" class="btn-main" (click)="store.bringBack()">Bring it back</button>
        <a routerLink="/" class="btn">See all plans</a>
      </div>
    } @else {
      <h1 class="text-2xl font-bold">There is no such plan here</h1>
      <p class="mt-2">
        Plans live in this browser. It may have been made in another one, or be among the deleted.
      </p>
      <a routerLink="/" class="btn-main mt-4">See all plans</a>
    }
  `,
})
export class NoPlan {
  protected readonly store = inject(PlanStore);
  readonly deleted = input.required<boolean>();
}
