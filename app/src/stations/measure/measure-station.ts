import type { ElementRef } from '@angular/core';
import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, viewChild } from '@angular/core';
import type { Target } from '@firm-line/core/plan';
import { FlatViews } from '../../pieces/flat-views';
import { PlanStore } from '../../session/plan-store';
import { Selection } from '../../session/selection';
import { PlaceDetail } from './place-detail';
import { PlaceList } from './place-list';
import { ThingDetail } from './thing-detail';
import { VehicleList } from './vehicle-list';
import { Toggle } from '../../kit/toggle';

@Component({
  selector: 'fl-measure-station',
  imports: [Toggle, PlaceList, PlaceDetail, FlatViews, ThingDetail, VehicleList],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'flex min-h-0 flex-1 flex-col' },
  template: `
    <h1 class="sr-only">Measure</h1>
    @if (store.view()) {
      <div class="grid flex-1 md:grid-cols-[19rem_1fr]">
        <aside
          class="border-r border-rule bg-sheet p-4 md:max-h-[calc(100dvh-4.75rem)] md:overflow-auto"
          aria-label="Places"
          tabindex="0"
        >
          <fl-toggle
            class="mb-3"
            label="What is measured"
            [options]="sides"
            [value]="vehicle()"
            (changed)="vehicle.set($event)"
          />
          @if (vehicle()) {
            <fl-vehicle-list
              [chosen]="selection.thing()?.id ?? null"
              (picked)="selection.choose({ kind: 'thing', id: $event })"
            />
          } @else {
            <fl-place-list (chosen)="show()" />
          }
        </aside>
        <div class="flex min-w-0 flex-col xl:grid xl:grid-cols-[minmax(0,1fr)_24rem]">
          <section #detail class="card m-4 self-start p-5 max-xl:self-stretch" aria-label="The chosen place">
            @if (vehicle()) {
              @if (selection.thing(); as one) {
                <fl-thing-detail [thing]="one" />
              } @else {
                <h2 class="text-2xl font-bold">Nothing on the vehicle yet</h2>
                <p class="mt-2 max-w-prose">Add rails, axles, exhaust and whatever lines must keep from, beside this.</p>
              }
            } @else if (target(); as target) {
              <fl-place-detail [target]="target" />
            } @else {
              <h2 class="text-2xl font-bold">Nothing measured yet</h2>
              <p class="mt-2 max-w-prose">
                x runs rearward from the front axle, y to the vehicle's right from its middle, z up from the ground at ride
                height. Add three datums or more on the frame, then the parts, and tape each port from the datums.
              </p>
            }
          </section>
          <fl-flat-views
            class="min-h-72 flex-1"
            [target]="vehicle() ? null : target()"
            [thing]="thingId()"
            (targetPicked)="pick($event)"
          />
        </div>
      </div>
    }
  `,
})
export class MeasureStation {
  protected readonly sides = [
    { value: false, name: 'Places' },
    { value: true, name: 'Vehicle' },
  ];
  protected readonly store = inject(PlanStore);
  protected readonly selection = inject(Selection);
  private readonly detail = viewChild.required<ElementRef<HTMLElement>>('detail');

  /** The chosen place, else the first one that a snag is about, else the first there is. */
  protected readonly target = computed((): Target | null => {
    const view = this.store.view();
    const chosen = this.selection.target();
    if (chosen || !view) return chosen;
    const place = this.store.snags().find((snag) => snag.station === 'measure')?.place;
    if (place?.kind === 'point' || place?.kind === 'port') return { kind: place.kind, id: place.id };
    const point = view.plan.points[0];
    return point ? { kind: 'point', id: point.id } : null;
  });

  /** Whether the vehicle's things are looked at, in place of places and ports. */
  protected readonly vehicle = linkedSignal(() => ['thing', 'gate'].includes(this.selection.ref()?.kind ?? ''));
  protected readonly thingId = computed(() => (this.vehicle() ? (this.selection.thing()?.id ?? null) : null));

  protected pick(target: Target): void {
    this.vehicle.set(false);
    this.selection.chooseTarget(target);
  }
  protected show(): void {
    this.detail().nativeElement.scrollIntoView({ block: 'nearest' });
  }
}
