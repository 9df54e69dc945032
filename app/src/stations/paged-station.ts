import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { RouterOutlet } from '@angular/router';
import { PageNav } from '../pieces/page-nav';

/** What a station of several pages has in common: its heading, the links to its pages, the page that is open. */
@Component({
  selector: 'fl-paged-station',
  imports: [PageNav, RouterOutlet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'flex min-h-0 flex-1 flex-col' },
  template: `
    <h1 class="sr-only">{{ name() }}</h1>
    <div class="flex min-h-0 flex-1 max-md:flex-col print:block">
      <fl-page-nav [of]="of()" />
      <div class="open-page flex min-w-0 flex-1 flex-col print:block">
        <router-outlet />
      </div>
    </div>
  `,
})
export class PagedStation {
  readonly of = input.required<string>();
  readonly name = input.required<string>();
}
