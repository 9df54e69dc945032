import type { ElementRef } from '@angular/core';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  linkedSignal,
  signal,
  viewChild,
} from '@angular/core';
import type { Ref, Target } from '@firm-line/core/plan';
import { FlatViews } from '../../pieces/flat-views';
import { PlanStore } from '../../session/plan-store';
import { Selection } from '../../session/selection';
import { PlaceDetail } from './place-detail';
import { PlaceList } from './place-list';
import { ThingDetail } from './thing-detail';
import { VehicleList } from './vehicle-list';
import { SideBar } from '../../kit/side-bar';
import type { ToggleChoice } from '../../kit/toggle';
import { ClosesPage } from './closes-page';
import { FramePage } from './frame-page';
import { MeasureFirst } from './measure-first';

type Page = 'first' | 'places' | 'vehicle' | 'frame' | 'closes';

@Component({
  selector: 'fl-measure-station',
  imports: [
    ClosesPage,
    FramePage,
    MeasureFirst,
    SideBar,
    PlaceList,
    PlaceDetail,
    FlatViews,
    ThingDetail,
    VehicleList,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: {
    class: 'flex min-h-0 flex-1 flex-col md:h-[calc(100dvh-4.3rem)] md:flex-none print:h-auto',
  },
  template: `
    <h1 class="sr-only">Measure</h1>
    @if (store.view()) {
      <div class="flex min-h-0 flex-1 max-md:flex-col">
        <fl-side-bar
          label="What is measured"
          [options]="pages"
          [value]="page()"
          (changed)="page.set($event)"
        />
        @switch (page()) {
          @case ('frame') {
            @defer {
              <fl-frame-page class="min-w-0 flex-1" />
            }
          }
          @case ('closes') {
            @defer {
              <fl-closes-page class="min-w-0 flex-1" />
            }
          }
          @default {
            <div
              class="grid min-h-0 min-w-0 flex-1 md:grid-cols-[15rem_1fr] lg:grid-cols-[19rem_1fr] md:grid-rows-[minmax(0,1fr)]"
            >
              <aside
                class="min-h-0 border-r border-rule bg-sheet p-4 md:overflow-auto"
                aria-label="Places"
                tabindex="0"
              >
                @switch (page()) {
                  @case ('vehicle') {
                    <fl-vehicle-list
                      [chosen]="selection.thing()?.id ?? null"
                      (picked)="selection.choose({ kind: 'thing', id: $event })"
                    />
                  }
                  @case ('first') {
                    <fl-measure-first (taping)="tape($event)" (frame)="page.set('frame')" />
                  }
                  @default {
                    <fl-place-list (chosen)="show()" />
                  }
                }
              </aside>
              <div
                class="flex min-h-0 min-w-0 flex-col md:overflow-auto xl:grid xl:grid-cols-[minmax(0,1fr)_24rem] xl:overflow-hidden"
              >
                <section
                  #detail
                  class="card m-4 min-h-0 self-start overflow-auto p-5 max-xl:shrink-0 max-xl:self-stretch xl:max-h-[calc(100%-2rem)]"
                  aria-label="The chosen place"
                >
                  @if (page() === 'vehicle') {
                    @if (selection.thing(); as one) {
                      <fl-thing-detail [thing]="one" />
                    } @else {
                      <h2 class="text-2xl font-bold">Nothing on the vehicle yet</h2>
                      <p class="mt-2 max-w-prose">
                        Add rails, axles, exhaust and whatever lines must keep from, beside this.
                      </p>
                    }
                  } @else if (target(); as target) {
                    <fl-place-detail
                      [target]="target"
                      [taping]="taping()?.id === target.id"
                      (tapeIt)="taping.set(target)"
                    />
                  } @else {
                    <h2 class="text-2xl font-bold">Nothing measured yet</h2>
                    <p class="mt-2 max-w-prose">
                      x runs rearward from the front axle, y to the vehicle's right from its middle,
                      z up from the ground at ride height. Add three datums or more on the frame,
                      then the parts, and tape each port from the datums.
                    </p>
                  }
                </section>
                <fl-flat-views
                  class="min-h-96 flex-1"
                  [target]="page() === 'vehicle' ? null : target()"
                  [thing]="thingId()"
                  (targetPicked)="pick($event)"
                />
              </div>
            </div>
          }
        }
      </div>
    }
  `,
})
export class MeasureStation {
  protected readonly pages = [
    { value: 'first', name: 'First', said: 'What to measure first' },
    { value: 'places', name: 'Places' },
    { value: 'vehicle', name: 'Vehicle' },
    { value: 'frame', name: 'Frame', said: 'Frame: square and flat' },
    { value: 'closes', name: 'Closes', said: 'Before it closes' },
  ] as const satisfies readonly ToggleChoice<Page>[];
  protected readonly store = inject(PlanStore);
  protected readonly selection = inject(Selection);
  private readonly detail = viewChild.required<ElementRef<HTMLElement>>('detail');

  /** The chosen place, else the first one that a snag is about, else the first there is. */
  protected readonly target = computed((): Target | null => {
    const view = this.store.view();
    const chosen = this.selection.target();
    if (chosen || !view) return chosen;
    const place = this.store.snags().find((snag) => snag.station === 'measure')?.place;
    if (place?.kind === 'point' || place?.kind === 'port')
      return { kind: place.kind, id: place.id };
    const point = view.plan.points[0];
    return point ? { kind: 'point', id: point.id } : null;
  });

  /** The page that shows what is chosen; a plan of nothing but guesses begins with what to measure first. */
  protected readonly page = linkedSignal<Ref | null, Page>({
    source: this.selection.ref,
    computation: (ref, before) => {
      if (ref?.kind === 'thing' || ref?.kind === 'gate') return 'vehicle';
      if (ref && before?.value === 'first') return 'first';
      return ref || !this.allGuessed() ? 'places' : 'first';
    },
  });
  private readonly allGuessed = computed(() => {
    const { parts } = this.store.plan();
    const ports = parts.flatMap((part) => part.ports);
    return ports.length > 0 && ports.every(({ known }) => known.how === 'guessed');
  });
  /** The place that tapes are asked for before it has any. */
  protected readonly taping = signal<Target | null>(null);
  protected readonly thingId = computed(() =>
    this.page() === 'vehicle' ? (this.selection.thing()?.id ?? null) : null,
  );

  protected pick(target: Target): void {
    if (this.page() !== 'first') this.page.set('places');
    this.selection.chooseTarget(target);
  }
  protected tape(target: Target): void {
    this.taping.set(target);
    this.show();
  }
  protected show(): void {
    this.detail().nativeElement.scrollIntoView({ block: 'nearest' });
  }
}
