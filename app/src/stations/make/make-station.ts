import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { EmptyState } from '../../kit/empty-state';
import { SideBar } from '../../kit/side-bar';
import type { ToggleChoice } from '../../kit/toggle';
import { LineTabs } from '../../pieces/line-tabs';
import { PlanStore } from '../../session/plan-store';
import { Selection } from '../../session/selection';
import { BenchPanel } from './bench-panel';
import { BracketsPage } from './brackets-page';
import { CardPage } from './card-page';
import { CutsPage } from './cuts-page';
import { KitsPage } from './kits-page';
import { ListPage } from './list-page';
import { TagsPage } from './tags-page';

type Page = 'card' | 'cuts' | 'list' | 'kits' | 'brackets' | 'tags';

/** Making lines: the card of one, cuts out of the stock, the list to buy, kits, brackets, tags. */
@Component({
  selector: 'fl-make-station',
  imports: [
    BenchPanel,
    BracketsPage,
    CardPage,
    CutsPage,
    EmptyState,
    KitsPage,
    ListPage,
    LineTabs,
    RouterLink,
    SideBar,
    TagsPage,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'flex min-h-0 flex-1 flex-col' },
  template: `
    <h1 class="sr-only">Make</h1>
    <div class="flex min-h-0 flex-1 max-md:flex-col print:block">
      <fl-side-bar
        label="What is made"
        [options]="pages"
        [value]="page()"
        (changed)="page.set($event)"
      />
      <div class="min-w-0 flex-1">
        @switch (page()) {
          @case ('cuts') {
            @defer (on immediate) {
              <fl-cuts-page />
            } @loading {
              <p class="p-5" role="status">Fetching it…</p>
            }
          }
          @case ('list') {
            @defer (on immediate) {
              <fl-list-page />
            } @loading {
              <p class="p-5" role="status">Fetching it…</p>
            }
          }
          @case ('kits') {
            @defer (on immediate) {
              <fl-kits-page />
            } @loading {
              <p class="p-5" role="status">Fetching it…</p>
            }
          }
          @case ('brackets') {
            @defer (on immediate) {
              <fl-brackets-page />
            } @loading {
              <p class="p-5" role="status">Fetching it…</p>
            }
          }
          @case ('tags') {
            @defer (on immediate) {
              <fl-tags-page />
            } @loading {
              <p class="p-5" role="status">Fetching it…</p>
            }
          }
          @default {
            @if (selection.line(); as view) {
              <fl-line-tabs class="print:hidden" />
              <div class="p-5 print:p-0">
                <fl-card-page [view]="view" />
                <fl-bench-panel class="mt-5 print:hidden" [view]="view" />
              </div>
            } @else {
              <fl-empty-state
                heading="No line to make yet"
                text="Lay a line in Route; its card appears here."
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
export class MakeStation {
  protected readonly store = inject(PlanStore);
  protected readonly selection = inject(Selection);
  protected readonly page = signal<Page>('card');
  protected readonly pages = [
    { value: 'card', name: 'Card', said: 'Card of a line' },
    { value: 'cuts', name: 'Cuts', said: 'Cuts out of the stock' },
    { value: 'list', name: 'List', said: 'One list to buy' },
    { value: 'kits', name: 'Kits', said: 'Kits, before one is ordered' },
    { value: 'brackets', name: 'Brackets' },
    { value: 'tags', name: 'Tags', said: 'Tags and line map' },
  ] as const satisfies readonly ToggleChoice<Page>[];
}
