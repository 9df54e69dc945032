import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { cutSigmaMm, lineSpace, sharesWith, type Line, type LineView } from '@firm-line/core/plan';
import { tubeLabel } from '@firm-line/core/trade/stock';
import { formatLength } from '@firm-line/core/lib/units';
import type { Vec3 } from '@firm-line/core/lib/vec';
import { FlatViews } from '../../pieces/flat-views';
import { LineInSpace } from './line-in-space';
import { Hints } from '../../pieces/hints';
import { Strip } from '../../pieces/strip';
import { PanelLayout } from '../../kit/panel-layout';
import { afterPaint } from '../../kit/after-paint';
import { PlanStore } from '../../session/plan-store';
import { Selection } from '../../session/selection';
import { Jump } from '../../session/jump';
import { LineTabs } from '../../pieces/line-tabs';
import { HosesPage } from './hoses/hoses-page';
import { FindWay } from './find-way';
import { LineFiles } from './line-files';
import { LineHolding } from './line-holding';
import { LineForm } from './line-form';
import { LineTools } from './line-tools';
import { MoveLine } from './move-line';
import { MoveList } from './move-list';
import { EmptyState } from '../../kit/empty-state';

@Component({
  selector: 'fl-route-station',
  imports: [
    EmptyState,
    Hints,
    RouterLink,
    LineTabs,
    Strip,
    FlatViews,
    LineInSpace,
    FindWay,
    HosesPage,
    LineTools,
    LineHolding,
    LineFiles,
    MoveList,
    MoveLine,
    LineForm,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: {
    class: 'flex min-h-0 flex-1 flex-col lg:flex-none',
    '[class]': "room.full() ? 'h-dvh lg:h-dvh' : 'lg:h-[max(40rem,calc(100dvh-4.3rem))]'",
  },
  template: `
    <h1 class="sr-only">Route</h1>
    @if (selection.among() === 'hoses') {
      @defer (when store.interactive()) {
        <fl-hoses-page (left)="selection.showLines()" />
      } @placeholder {
        <p class="m-auto text-ink-soft">Loading hoses…</p>
      }
    } @else if (shown(); as view) {
      <fl-line-tabs [class.hidden]="room.full()" />
      <section
        [class.hidden]="room.full()"
        class="flex flex-wrap items-center gap-x-6 border-b border-rule bg-sheet px-6 pt-2"
        aria-label="Selected line"
      >
        <div class="w-52">
          <h2 class="text-2xl leading-tight font-bold">{{ view.line.name }}</h2>
          <p class="leading-tight">{{ view.line.title }}</p>
          @if (view.card; as card) {
            <p class="text-sm text-ink-soft">
              Cut
              <span class="font-mono text-xl text-ink" data-test="cut">{{
                mm(card.stockCutMm)
              }}</span>
              @if (sigma() !== null) {
                <span class="font-mono"> ±{{ mm(2 * sigma()!, 1) }}</span>
              }
            </p>
          }
          <p class="text-sm text-ink-soft">{{ label(view.tube) }}{{ origin() }}</p>
          @if (held(); as words) {
            <p class="min-h-10 text-sm text-ink-soft" data-test="held">{{ words }}</p>
          }
        </div>
        <fl-strip
          class="min-w-80 flex-1"
          [view]="view"
          [node]="selection.node()"
          [marked]="selection.pointed()"
          (picked)="selection.chooseNode($event)"
          (pointed)="selection.point($event)"
        />
      </section>
      <div
        class="grid min-h-0 flex-1 lg:grid-rows-[minmax(0,1fr)]"
        [class]="room.alone() ? '' : 'lg:grid-cols-[1fr_20rem]'"
      >
        <section
          class="relative flex min-h-[30rem] min-w-0 flex-col lg:min-h-0"
          aria-label="The vehicle"
        >
          @defer (when store.interactive()) {
            @if (inSpace()) {
              <fl-line-in-space
                class="flex-1"
                [view]="view"
                [ghost]="ghost()"
                (dragged)="dragged.set($event)"
                (portPicked)="jump.to('measure', { kind: 'port', id: $event })"
                (failed)="noSpace()"
              >
                <button type="button" class="bar-btn" (click)="flat.set(true)">Flat views</button>
                @if (room.alone() && !room.full()) {
                  <button
                    type="button"
                    class="bar-btn"
                    (click)="room.toggleFolded()"
                    title="Open the panel (b)"
                  >
                    Panel
                  </button>
                }
                <button
                  type="button"
                  class="bar-btn bg-fluid text-sheet hover:bg-ink"
                  (click)="finding.set(true)"
                >
                  Find a route
                </button>
              </fl-line-in-space>
            } @else {
              @if (!hasSpace()) {
                <p class="px-4 pt-2 text-sm" role="status">
                  The 3-D view is unavailable in this browser (WebGL is missing or off): use the two
                  flat views instead.
                </p>
              }
              <fl-flat-views
                class="flex-1"
                [lineId]="view.line.id"
                [node]="selection.node()"
                [ghost]="ghost()"
                (linePicked)="selection.chooseLine($event)"
                (nodePicked)="selection.chooseNode($event)"
                (targetPicked)="jump.to('measure', $event)"
              />
              <div class="absolute top-2 right-3 flex gap-2">
                @if (room.alone() && !room.full()) {
                  <button type="button" class="btn px-3" (click)="room.toggleFolded()">
                    Panel
                  </button>
                }
                <button type="button" class="btn-main px-3" (click)="finding.set(true)">
                  Find a route
                </button>
                @if (hasSpace()) {
                  <button type="button" class="btn px-3" (click)="flat.set(false)">3-D view</button>
                }
              </div>
            }
          } @placeholder {
            <p class="m-auto text-ink-soft">Drawing the vehicle…</p>
          }
          @if (finding()) {
            @defer {
              <fl-find-way
                class="max-h-[70%] overflow-auto p-3"
                [view]="view"
                (ghost)="ghost.set($event)"
                (closed)="finding.set(false)"
              />
            }
          } @else if (view.nodesMm.length) {
            @defer (when store.interactive()) {
              <fl-move-line class="p-3" [view]="view" (ghost)="ghost.set($event)" />
            } @placeholder {
              <div class="h-[4.5rem]"></div>
            }
          }
        </section>
        <aside
          class="flex min-h-0 flex-col border-rule bg-sheet lg:border-l"
          [class.hidden]="room.alone()"
          aria-label="Moves of the line"
        >
          <div class="flex gap-2 border-b border-rule px-4 py-2">
            <button
              type="button"
              class="btn px-2.5"
              aria-label="Line details"
              (click)="wanted.set(view.line)"
            >
              Details
            </button>
            <button type="button" class="btn px-2.5" (click)="selection.chooseHose(null)">
              Hoses{{ hoses() }}
            </button>
            <button
              type="button"
              class="btn ml-auto px-2.5 whitespace-nowrap"
              (click)="wanted.set('new')"
            >
              New line
            </button>
            <button
              type="button"
              class="btn px-2.5 max-lg:hidden"
              (click)="room.toggleFolded()"
              title="Collapse this panel (b)"
            >
              Collapse
            </button>
          </div>
          <div
            class="min-h-0 flex-1 overflow-auto"
            tabindex="0"
            role="region"
            aria-label="Moves, tools and files of the line"
          >
            @defer (when store.interactive()) {
              <fl-hints class="px-4 pt-3" station="route" />
              <fl-line-tools [view]="view" />
              <fl-line-holding [view]="view" />
              <fl-line-files />
              <fl-move-list class="block px-3" [view]="view" />
            }
          </div>
        </aside>
      </div>
    } @else {
      <fl-empty-state heading="No lines yet" [text]="begin()">
        <a class="btn" routerLink="../measure">Go to Measure</a>
        <button type="button" class="btn" (click)="selection.chooseHose(null)">
          Hoses{{ hoses() }}
        </button>
        <button type="button" class="btn-main" [disabled]="ports() < 2" (click)="wanted.set('new')">
          New line
        </button>
      </fl-empty-state>
    }
    @defer (when store.interactive()) {
      <fl-line-form [(wanted)]="wanted" />
    }
  `,
})
export class RouteStation {
  protected readonly begin = computed(
    () =>
      `A line runs from one port to another. ${
        this.ports() < 2
          ? 'This plan has fewer than two ports. First add parts and their ports in Measure.'
          : 'Choose the two ports, then type the moves between them.'
      }`,
  );
  protected readonly store = inject(PlanStore);
  protected readonly selection = inject(Selection);
  protected readonly jump = inject(Jump);
  protected readonly room = inject(PanelLayout);
  /** The line whose form is to open: at once, or as soon as that part of the program is here. */
  protected readonly wanted = signal<Line | 'new' | null>(null);
  protected readonly ghost = signal<readonly Vec3[] | null>(null);
  /** The chosen line as it is being dragged. */
  protected readonly dragged = signal<LineView | null>(null);
  protected readonly shown = computed(() => this.dragged() ?? this.selection.line());
  protected readonly flat = signal(false);
  protected readonly finding = signal(false);
  protected readonly hasSpace = signal(typeof WebGL2RenderingContext !== 'undefined');
  protected readonly inSpace = computed(() => this.hasSpace() && !this.flat());
  protected readonly label = tubeLabel;
  protected readonly ports = computed(
    () =>
      [...this.store.view().ports.values()].filter(({ port }) => port.role !== 'bleeder').length,
  );
  protected readonly hoses = computed(() =>
    this.store.plan().hoses.length ? ` (${this.store.plan().hoses.length})` : '',
  );
  protected readonly sigma = computed(() => {
    const view = this.selection.line();
    return view && !this.dragged() ? cutSigmaMm(view) : null;
  });
  /** How many clips hold it, and the longest span between. */
  protected readonly held = afterPaint(() => {
    const view = this.shown();
    const space = view && lineSpace(this.store.view().plan, view);
    if (!space || !space.clips.length) return space ? 'No clips yet' : '';
    const longest = Math.max(...space.spans.map((span) => span.lengthMm));
    // Looked for at rest only: while a corner is dragged, words must not push the picture about.
    const others = this.dragged()
      ? []
      : this.store.view().lines.filter((line) => line.line.id !== view.line.id);
    const shared = others.flatMap((line) => {
      const theirs = lineSpace(this.store.view().plan, line)?.clips ?? [];
      return space.clips.some((clip) => sharesWith(clip, theirs).length) ? [line.line.name] : [];
    });
    const words = `${space.clips.length} clips, longest span ${this.mm(longest)}`;
    return shared.length ? `${words}; some can be shared with ${shared.join(', ')}'s` : words;
  });
  protected readonly origin = computed(
    () =>
      ({ made: '', kept: ', kept from the vehicle', bought: ', bought bent' })[
        this.shown()?.line.origin ?? 'made'
      ],
  );
  protected noSpace(): void {
    this.hasSpace.set(false);
  }
  protected mm(mm: number, digits = 0): string {
    return formatLength(mm, this.store.units(), digits);
  }
}
