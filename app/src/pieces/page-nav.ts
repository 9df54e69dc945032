import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { RouterLink, RouterLinkActive } from '@angular/router';
import { stationAt } from '../stations/registry';

/** The pages of a station as links: down its side on a desk, in a row where there is little width. */
@Component({
  selector: 'fl-page-nav',
  imports: [RouterLink, RouterLinkActive],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'contents' },
  template: `
    <nav
      class="flex shrink-0 border-rule bg-sheet max-md:flex-wrap max-md:border-b md:w-20 md:flex-col md:border-r print:hidden"
      [attr.aria-label]="'Pages of ' + station().name"
    >
      @for (page of station().pages; track page.path) {
        <a
          [routerLink]="page.path"
          queryParamsHandling="preserve"
          routerLinkActive
          #active="routerLinkActive"
          ariaCurrentWhenActive="page"
          class="flex min-h-tap items-center justify-center px-2 text-center text-sm leading-tight font-semibold max-md:border-r md:border-b"
          [class]="active.isActive ? 'border-ink bg-ink text-sheet' : 'border-rule hover:bg-paper'"
          [attr.aria-label]="page.title"
          >{{ page.name }}</a
        >
      }
    </nav>
  `,
})
export class PageNav {
  /** The station's part of the address. */
  readonly of = input.required<string>();
  protected readonly station = computed(() => stationAt(this.of())!);
}
