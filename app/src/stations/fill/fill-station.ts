import { ChangeDetectionStrategy, Component, computed, effect, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { replay } from '@firm-line/core/stations/fill';
import { EmptyState } from '../../kit/empty-state';
import { SideBar } from '../../kit/side-bar';
import type { ToggleChoice } from '../../kit/toggle';
import { FillPages, type FillPage } from './fill-pages';
import { FillFacade } from './fill-facade';
import { FluidsPage } from './fluids-page';
import { PlanPage } from './plan-page';
import { RunPage } from './run-page';

/** From dry lines to clear fluid: how it is done, the run itself, and what is in which reservoir. */
@Component({
  selector: 'fl-fill-station',
  imports: [EmptyState, FluidsPage, PlanPage, RouterLink, RunPage, SideBar],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'flex min-h-0 flex-1 flex-col' },
  template: `
    <h1 class="sr-only">Fill</h1>
    @if (sheet.works().length) {
      <div class="flex min-h-0 flex-1 max-md:flex-col print:block">
        <fl-side-bar
          label="Pages of Fill"
          [options]="pages"
          [value]="page()"
          (changed)="at.page.set($event)"
        />
        @switch (page()) {
          @case ('run') {
            <fl-run-page class="min-w-0 flex-1" />
          }
          @case ('fluids') {
            <fl-fluids-page class="min-w-0 flex-1" />
          }
          @default {
            <fl-fill-plan-page class="min-w-0 flex-1" />
          }
        }
      </div>
    } @else {
      <fl-empty-state
        heading="Nothing to fill yet"
        text="Once lines run from a master to parts with bleeders, their order and the fluid to buy stand here."
      >
        <a class="btn-main" routerLink="../route">Go to Route</a>
      </fl-empty-state>
    }
  `,
})
export class FillStation {
  protected readonly sheet = inject(FillFacade);
  protected readonly at = inject(FillPages);
  private readonly underWay = computed(() => {
    const run = this.sheet.run();
    return run !== null && replay(run).state.phase !== 'done';
  });
  protected readonly page = computed((): FillPage => this.at.page() ?? 'plan');
  constructor() {
    // Chosen once: a run that ends stays in view.
    effect(() => {
      if (this.at.page() === null) this.at.page.set(this.underWay() ? 'run' : 'plan');
    });
  }
  protected readonly pages = [
    { value: 'plan', name: 'Plan', said: 'Plan: order, method, amounts' },
    { value: 'run', name: 'Run', said: 'Run at the bleeders' },
    { value: 'fluids', name: 'Fluids', said: 'Fluids by reservoir' },
  ] as const satisfies readonly ToggleChoice<FillPage>[];
}
