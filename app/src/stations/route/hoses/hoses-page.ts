import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  linkedSignal,
  output,
  signal,
  viewChild,
} from '@angular/core';
import {
  hoseOrder,
  hoseView,
  ORDER_STEP_MM,
  slideAlong,
  slideTo,
  type HoseState,
  type HoseView,
} from '@firm-line/core/stations/route';
import { RIDE, type Pose } from '@firm-line/core/shape/rod';
import type { Hose } from '@firm-line/core/plan';
import type { Vec3 } from '@firm-line/core/lib/vec';
import { SnagRow } from '../../../pieces/snag-row';
import { PlanStore } from '../../../session/plan-store';
import { Selection } from '../../../session/selection';
import { SpaceView } from '../../../scene/space-view';
import { HoseCells } from './hose-cells';
import { HoseFigures } from './hose-figures';
import { HoseForm } from './hose-form';
import { HoseLength } from './hose-length';
import { HoseList } from './hose-list';
import { around, fittingsOf, hangIn, movingBy, type Held } from './hose-live';
import { HoseScrub } from './hose-scrub';
import { HoseSheet } from './hose-sheet';
import { HoseStrip } from './hose-strip';
import { endAt, endMoves, moveEnd } from './move-end';
import { VERDICT_WORDS } from './hose-words';
import { Disclosure } from '../../../kit/disclosure';

/** The flexible lines: one hose through its travel, in the scene, on its strip and in cells; its length and its bracket. */
@Component({
  selector: 'fl-hoses-page',
  imports: [
    Disclosure,
    SpaceView,
    SnagRow,
    HoseCells,
    HoseFigures,
    HoseForm,
    HoseLength,
    HoseList,
    HoseScrub,
    HoseSheet,
    HoseStrip,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'flex min-h-0 flex-1 flex-col' },
  template: `
    @if (view(); as hose) {
      <section
        class="flex flex-wrap items-center gap-x-6 border-b border-rule bg-sheet px-6 pt-2"
        aria-label="Selected hose"
      >
        <div class="w-52">
          <h2 class="text-2xl leading-tight font-bold">{{ hose.hose.name }}</h2>
          <p class="leading-tight">{{ hose.hose.title }}</p>
          <p class="text-sm text-ink-soft">{{ hose.stock.name }}</p>
          @if (live(); as state) {
            <p class="text-sm text-ink-soft">
              At {{ state.name }}:
              <strong class="text-ink" data-test="hose-live">{{ words[state.verdict] }}</strong>
            </p>
          }
        </div>
        @if (live(); as state) {
          <fl-hose-strip class="min-w-80 flex-1" [view]="hose" [state]="state" />
        }
      </section>
    }
    <div class="grid min-h-0 flex-1 lg:grid-cols-[1fr_23rem] lg:grid-rows-[minmax(0,1fr)]">
      <section
        class="relative flex min-h-[30rem] min-w-0 flex-col lg:min-h-0"
        aria-label="The vehicle"
      >
        @if (selection.line() && hasSpace()) {
          <fl-space-view
            class="flex-1"
            [laid]="store.view()"
            [view]="selection.line()!"
            [namesEnds]="false"
            zoomTo="Hose"
            [moving]="playing()"
            [hoses]="shown()"
            [focus]="focus()"
            [handles]="grip()"
            (dragged)="drag($event.at)"
            (letGo)="drop($event)"
            (failed)="hasSpace.set(false)"
          />
        } @else {
          <p class="m-auto max-w-md p-6 text-center" role="status">
            {{
              hasSpace()
                ? 'The 3-D view appears once the plan has a line.'
                : 'The 3-D view is unavailable in this browser (WebGL is missing or off): strip, cells and figures show the same.'
            }}
          </p>
        }
        @if (view(); as hose) {
          <fl-hose-scrub
            class="p-3"
            [view]="hose"
            [pose]="pose()"
            (posed)="pose.set($event)"
            (played)="playing.set($event)"
          />
        }
      </section>
      <aside class="flex min-h-0 flex-col border-rule bg-sheet lg:border-l" aria-label="Hoses">
        <div class="flex gap-2 border-b border-rule px-4 py-2">
          <button type="button" class="btn px-3" (click)="left.emit()">Lines</button>
          <button
            type="button"
            class="btn px-3"
            (click)="sheet().print()"
            [disabled]="!hoses().length"
          >
            Order sheet
          </button>
          <button type="button" class="btn ml-auto px-3" (click)="form().openNew()">
            New hose
          </button>
        </div>
        <div
          class="relative min-h-0 flex-1 overflow-auto px-4 py-2"
          tabindex="0"
          role="region"
          aria-label="Hoses and figures of the selected hose"
        >
          <fl-hose-list (added)="form().openNew()" />
          @if (view(); as hose) {
            <div class="mt-2 flex items-center gap-2 border-t border-rule pt-2">
              <h3 class="h2 flex-1">{{ hose.hose.name }} through its travel</h3>
              <button type="button" class="btn px-3" (click)="form().openOn(selection.hose()!)">
                Hose details
              </button>
            </div>
            @for (snag of snags(); track snag.rule) {
              <fl-snag-row class="mt-2" [snag]="snag" />
            }
            @if (hose.fault; as text) {
              <p class="fault mt-2" role="alert">{{ text }}</p>
            } @else {
              <fl-hose-cells class="mt-2" [view]="hose" (picked)="pose.set($event)" />
              @if (live(); as state) {
                <fl-hose-figures class="mt-1" [view]="hose" [state]="state" />
              }
              <fl-hose-length
                class="mt-3"
                [view]="hose"
                (tried)="trial.set({ orderMm: $event })"
                (taken)="take($event)"
                (shifted)="shift($event)"
                (shiftTaken)="takeShift()"
                [slidMm]="slidMm()"
              />
            }
            <fl-disclosure class="mt-3 border-t border-rule" summary="Fitting without twist…">
              <ol class="list-decimal pl-5 text-sm">
                @for (step of order(); track step) {
                  <li class="py-0.5">{{ step }}</li>
                }
              </ol>
            </fl-disclosure>
            <p class="mt-3 text-sm text-ink-soft">
              The hose is modelled as an elastic rod without weight, contact or aging. Before road
              use, fit the wheel and turn it by hand lock to lock, at full droop and full bump. The
              hose maker’s sheet comes before these figures.
            </p>
          }
        </div>
      </aside>
    </div>
    <fl-hose-form />
    <fl-hose-sheet />
  `,
})
export class HosesPage {
  protected readonly store = inject(PlanStore);
  protected readonly selection = inject(Selection);
  readonly left = output();
  protected readonly form = viewChild.required(HoseForm);
  protected readonly sheet = viewChild.required(HoseSheet);
  protected readonly words = VERDICT_WORDS;
  protected readonly playing = signal(false);
  protected readonly hasSpace = signal(typeof WebGL2RenderingContext !== 'undefined');
  /** What is looked at before it is taken: a length or a place of end A. */
  protected readonly trial = linkedSignal<Hose | null, Partial<Hose> | null>({
    source: this.selection.hose,
    computation: () => null,
  });

  protected readonly hoses = computed(() => this.store.plan().hoses);
  private readonly of = (hose: Hose): HoseView =>
    hoseView(this.store.plan(), hose, this.store.view().ports);
  protected readonly view = computed(() => {
    const [hose, trial] = [this.selection.hose(), this.trial()];
    // The plan's own hose is known by itself: a copy of it would be computed anew at every edit.
    return hose && this.of(trial ? { ...hose, ...trial } : hose);
  });
  /** It is first seen in its worst state. */
  protected readonly pose = linkedSignal<string | undefined, Pose>({
    source: () => this.selection.hose()?.id,
    computation: () => this.view()?.worst?.pose ?? RIDE,
  });

  private held: Held | null = null;
  /** The hose as it hangs in the pose that is looked at: followed from where it hung before. */
  protected readonly live = computed((): HoseState | null => {
    const [view, pose] = [this.view(), this.pose()];
    const state = view && hangIn(view, pose, this.held?.view === view ? this.held.rods : null);
    if (state) this.held = { view: view!, rods: state.rods };
    return state ?? null;
  });

  private readonly things = computed(() => this.store.plan().things);
  protected readonly shown = computed(() => {
    const chosen = this.view();
    const live = this.live();
    const ink = (hose: Hose): string => this.store.view().circuits.get(hose.circuitId)!.ink;
    const hoses = this.hoses().flatMap((hose) => {
      const isChosen = hose.id === chosen?.hose.id;
      const view = isChosen ? chosen : this.of(hose);
      const shape = isChosen ? live?.shape : view.states[0]?.shape;
      const tube = { radiusMm: view.stock.odMm / 2, ink: ink(hose) };
      const points = shape?.pointsMm ?? [];
      const fittings =
        isChosen && live
          ? fittingsOf(view, live.pose).map((way) => ({
              points: way,
              radiusMm: view.stock.odMm / 2 + 3,
              ink: 'ink',
            }))
          : [];
      return points.length ? [{ ...tube, points, chosen: isChosen, fittings }] : [];
    });
    const moving = chosen && live ? movingBy(chosen, live.pose, this.things()) : [];
    return { hoses, moving };
  });
  /** Round the chosen hose as it stands at ride. */
  protected readonly focus = computed(
    () => {
      const hose = this.selection.hose();
      const view = hose && this.of(hose);
      return view
        ? [
            view.ends.a.seatMm,
            view.ends.b.seatMm,
            ...(view.states[0]?.shape?.pointsMm ?? []),
          ].flatMap(around)
        : null;
    },
    { equal: (a, b) => a?.join() === b?.join() },
  );

  protected readonly snags = computed(() =>
    this.store
      .laidOutSnags()
      .filter(({ place }) => place.kind === 'hose' && place.id === this.selection.hose()?.id),
  );
  protected readonly order = computed(() => {
    const view = this.view();
    return view ? hoseOrder(view) : [];
  });

  protected take(orderMm: number): void {
    const { id } = this.selection.hose()!;
    this.store.apply({ edit: 'changeHose', with: { id, patch: { orderMm } } });
    this.trial.set(null);
  }
  /** Where its bracket can be taken hold of in the scene; none where tapes fix it. */
  protected readonly grip = computed((): readonly Vec3[] => {
    const hose = this.selection.hose();
    const port = this.store.view().ports.get(hose?.ends.a.portId ?? '');
    return hose && endMoves(port) ? [this.view()!.ends.a.seatMm] : [];
  });
  /** The bracket as it is dragged: it slides along the rail beside it. */
  protected drag(toMm: Vec3): void {
    this.shift(
      slideTo(this.things(), this.of(this.selection.hose()!).ends.a.seatMm, toMm, ORDER_STEP_MM),
    );
  }
  protected drop(how: 'kept' | 'broken off'): void {
    if (how === 'kept') return this.takeShift();
    this.slidMm.set(0);
    this.trial.set(null);
  }
  /** How far its bracket is slid along the rail before that is taken, by slider or by hand. */
  protected readonly slidMm = linkedSignal({ source: this.selection.hose, computation: () => 0 });
  protected shift(mm: number): void {
    this.slidMm.set(mm);
    const view = this.of(this.selection.hose()!);
    const { seatMm, thread } = view.ends.a;
    this.trial.set(endAt(view, slideAlong(this.things(), seatMm, mm), thread));
  }
  protected takeShift(): void {
    const mm = this.slidMm();
    this.slidMm.set(0);
    const view = this.of(this.selection.hose()!);
    const { seatMm, thread } = view.ends.a;
    const port = this.store.view().ports.get(view.hose.ends.a.portId ?? '');
    this.trial.set(null);
    if (mm) this.store.apply(moveEnd(view, port, slideAlong(this.things(), seatMm, mm), thread));
  }
}
