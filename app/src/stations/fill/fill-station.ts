import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { EmptyState } from '../../kit/empty-state';
import { PagedStation } from '../paged-station';
import { FillFacade } from './fill-facade';

/** From dry lines to clear fluid: how it is done, the run itself, and what is in which reservoir. */
@Component({
  selector: 'fl-fill-station',
  imports: [EmptyState, PagedStation, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'flex min-h-0 flex-1 flex-col' },
  template: `
    @if (sheet.works().length) {
      <fl-paged-station of="fill" name="Fill" />
    } @else {
      <h1 class="sr-only">Fill</h1>
      <fl-empty-state
        heading="Nothing to fill yet"
        text="This page works out the bleeding order and the fluid to buy. It needs a line from a master cylinder to a part with a bleeder."
      >
        <a class="btn-main" routerLink="../route">Go to Route</a>
      </fl-empty-state>
    }
  `,
})
export class FillStation {
  protected readonly sheet = inject(FillFacade);
}
