import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { EmptyState } from '../../kit/empty-state';
import { SideBar } from '../../kit/side-bar';
import type { ToggleChoice } from '../../kit/toggle';
import { ComparePage } from './compare-page';
import { CurvePage } from './curve-page';
import { ProveFacade, type ProvePage } from './prove-facade';
import { RoundsPage } from './rounds-page';
import { SignPage } from './sign-page';
import { StopsPage } from './stops-page';

/** Is it tight, is it air, does it stop; and the sheet that a qualified person signs. */
@Component({
  selector: 'fl-prove-station',
  imports: [
    ComparePage,
    CurvePage,
    EmptyState,
    RoundsPage,
    RouterLink,
    SideBar,
    SignPage,
    StopsPage,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'flex min-h-0 flex-1 flex-col' },
  template: `
    <h1 class="sr-only">Prove</h1>
    <div class="flex min-h-0 flex-1 max-md:flex-col print:block">
      <fl-side-bar
        label="Pages of Prove"
        [options]="pages"
        [value]="sheet.page()"
        (changed)="sheet.page.set($event)"
      />
      <div class="min-w-0 flex-1">
        @switch (sheet.page()) {
          @case ('curve') {
            <fl-curve-page />
          }
          @case ('stops') {
            <fl-stops-page />
          }
          @case ('sign') {
            <fl-sign-page />
          }
          @case ('compare') {
            <fl-compare-page />
          }
          @default {
            @if (sheet.rounds().length) {
              <fl-rounds-page />
            } @else {
              <fl-empty-state
                heading="Nothing to prove yet"
                text="Once lines run from a master to brakes, the rounds to walk stand here: held, dry, grips, lets go, stops."
              >
                <a class="btn-main" routerLink="../route">Go to Route</a>
              </fl-empty-state>
            }
          }
        }
      </div>
    </div>
  `,
})
export class ProveStation {
  protected readonly sheet = inject(ProveFacade);
  protected readonly pages = [
    { value: 'rounds', name: 'Rounds' },
    { value: 'curve', name: 'Curve', said: 'Curve: air or flex' },
    { value: 'stops', name: 'Stops', said: 'Stops and bedding' },
    { value: 'sign', name: 'Sign', said: 'Sign-off and pack' },
    { value: 'compare', name: 'Compare', said: 'Compare two plans' },
  ] as const satisfies readonly ToggleChoice<ProvePage>[];
}
