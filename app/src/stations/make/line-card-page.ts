import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { EmptyState } from '../../kit/empty-state';
import { LineTabs } from '../../pieces/line-tabs';
import { Selection } from '../../session/selection';
import { BenchPanel } from './bench-panel';
import { CardPage } from './card-page';

/** The card of the chosen line, and the bench it is made on. */
@Component({
  selector: 'fl-line-card-page',
  imports: [BenchPanel, CardPage, EmptyState, LineTabs, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    @if (selection.line(); as view) {
      <fl-line-tabs class="print:hidden" />
      <div class="p-5 print:p-0">
        <fl-card-page [view]="view" />
        <fl-bench-panel class="mt-5 print:hidden" [view]="view" />
      </div>
    } @else {
      <fl-empty-state
        heading="No line to make yet"
        text="This page shows the bend card of each line. Route a line first."
      >
        <a class="btn-main" routerLink="../../route">Go to Route</a>
      </fl-empty-state>
    }
  `,
})
export class LineCardPage {
  protected readonly selection = inject(Selection);
}
