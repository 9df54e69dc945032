import type { ElementRef } from '@angular/core';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  signal,
  viewChild,
} from '@angular/core';
import type { Target } from '@firm-line/core/plan';
import { FlatViews } from '../../pieces/flat-views';
import { PlanStore } from '../../session/plan-store';
import { Selection } from '../../session/selection';
import { PlaceDetail } from './place-detail';
import { PlaceList } from './place-list';
import { ThingDetail } from './thing-detail';
import { VehicleList } from './vehicle-list';
import { Jump } from '../../session/jump';
import { MeasureFirst } from './measure-first';

/** Places, what to measure first, or what is on the vehicle: a list beside the chosen one and the flat views. */
@Component({
  selector: 'fl-places-page',
  imports: [MeasureFirst, PlaceList, PlaceDetail, FlatViews, ThingDetail, VehicleList],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'flex min-h-0 min-w-0 flex-1 flex-col' },
  template: `
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
            <fl-measure-first (taping)="tape($event)" (frame)="jump.toPage('measure', 'frame')" />
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
          aria-label="Selected point"
        >
          @if (page() === 'vehicle') {
            @if (selection.thing(); as one) {
              <fl-thing-detail [thing]="one" />
            } @else {
              <h2 class="text-2xl font-bold">Nothing on the vehicle yet</h2>
              <p class="mt-2 max-w-prose">
                Add rails, axles, exhaust, and anything else lines must clear.
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
              Add three or more datums on the frame, then parts, and tape each port from the datums.
              x runs aft from the front axle, y to the right from the middle, z up from the ground
              at ride height.
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
  `,
})
export class PlacesPage {
  /** Which of its three pages is open: `first`, `places` or `vehicle`. */
  readonly page = input.required<string>();
  protected readonly jump = inject(Jump);
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

  /** The place that tapes are asked for before it has any. */
  protected readonly taping = signal<Target | null>(null);
  protected readonly thingId = computed(() =>
    this.page() === 'vehicle' ? (this.selection.thing()?.id ?? null) : null,
  );

  protected pick(target: Target): void {
    if (this.page() === 'vehicle') this.jump.to('measure', target);
    else this.selection.chooseTarget(target);
  }
  protected tape(target: Target): void {
    this.taping.set(target);
    this.show();
  }
  protected show(): void {
    this.detail().nativeElement.scrollIntoView({ block: 'nearest' });
  }
}
