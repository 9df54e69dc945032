import { ChangeDetectionStrategy, Component } from '@angular/core';
import { RouterOutlet } from '@angular/router';
import { PageNav } from '../../pieces/page-nav';

/** Where everything is on the vehicle, and how sure that is. */
@Component({
  selector: 'fl-measure-station',
  imports: [PageNav, RouterOutlet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: {
    class: 'flex min-h-0 flex-1 flex-col md:h-[calc(100dvh-4.3rem)] md:flex-none print:h-auto',
  },
  template: `
    <h1 class="sr-only">Measure</h1>
    <div class="open-page flex min-h-0 flex-1 max-md:flex-col">
      <fl-page-nav of="measure" />
      <router-outlet />
    </div>
  `,
})
export class MeasureStation {}
