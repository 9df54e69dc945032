import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  output,
  untracked,
} from '@angular/core';
import { ORDER_STEP_MM, type BracketPlace, type HoseView } from '@firm-line/core/stations/route';
import { formatLength, formatLengthUnit } from '@firm-line/core/lib/units';
import { PlanStore } from '../../../session/plan-store';
import { HoseFinder } from '../../../worker/hose-finder';
import type { HoseRequest } from '../../../worker/jobs/hoses';
import { endMoves, moveEnd } from './move-end';
import { VERDICT_WORDS } from './hose-words';
import { RangeField } from '../../../kit/fields/range-field';

/** How far along its rail a bracket slides, mm to either side. */
const SLIDE_MM = 200;

/** Its length on a slider, and what the worker finds: the lengths that serve, one for all, places for its bracket. */
@Component({
  selector: 'fl-hose-length',
  imports: [RangeField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <fl-range-field
      field="hose-length"
      label="Ordered length"
      [shown]="full(view().hose.orderMm)"
      [least]="range().least"
      [most]="range().most"
      [step]="step"
      [value]="view().hose.orderMm"
      (slid)="tried.emit($event)"
      (taken)="taken.emit($event)"
    />
    <p class="text-sm text-ink-soft">
      {{ full(view().freeMm) }} is free hose, the rest is fittings.
    </p>
    <div class="mt-2 grid grid-cols-2 gap-2">
      <button type="button" class="btn px-2" (click)="look('lengths')" [disabled]="finder.busy()">
        Lengths that work
      </button>
      <button
        type="button"
        class="btn px-2"
        (click)="look('alike')"
        [disabled]="finder.busy() || corners().length < 2"
      >
        Make {{ corners().length }} alike
      </button>
      <button
        type="button"
        class="btn col-span-2 px-2"
        (click)="look('bracket')"
        [disabled]="finder.busy() || view().hose.service === 'feed'"
      >
        Find a bracket position
      </button>
    </div>
    @if (finder.busy()) {
      <p class="mt-2 flex items-center gap-3 text-sm" role="status">
        <progress
          class="h-3 flex-1 accent-fluid"
          max="1"
          [value]="finder.share()"
          aria-label="Search progress"
        ></progress>
        <button type="button" class="btn px-3" (click)="finder.cancel()">Cancel</button>
      </p>
    }
    @if (finder.message(); as text) {
      <p class="fault mt-2" role="alert">{{ text }}</p>
    }
    @if (lengths(); as found) {
      <div class="mt-2" data-test="hose-lengths">
        <div
          class="flex h-6 w-full overflow-hidden rounded"
          role="img"
          [attr.aria-label]="serving()"
        >
          @for (one of found.tried; track one.orderMm) {
            <span
              class="h-full flex-1"
              [class]="one.ok ? 'bg-fluid' : one.rubs ? 'bg-caution' : 'bg-rule'"
              [title]="
                full(one.orderMm) +
                ': ' +
                (one.ok ? 'serves' : one.rubs ? 'rubs' : words[one.verdict])
              "
            ></span>
          }
        </div>
        @if (found.shortestMm !== null) {
          <p class="mt-1 text-sm">
            {{ bare(found.shortestMm) }} to {{ full(found.longestMm!) }} work in every state and
            touch nothing.
          </p>
          <button type="button" class="btn-main mt-1" (click)="taken.emit(found.shortestMm)">
            Use the shortest, {{ bare(found.shortestMm) }}
          </button>
        } @else {
          <p class="fault mt-1">
            No length from {{ bare(found.tried[0]?.orderMm ?? 0) }} up works in every state. Move
            the bracket, or use other ends.
          </p>
        }
      </div>
    }
    @if (alike(); as found) {
      @if (found.orderMm !== null) {
        <p class="mt-2 text-sm">
          {{ full(found.orderMm) }} is the shortest that works for all {{ corners().length }}.
        </p>
        <button type="button" class="btn-main mt-1" (click)="makeAlike(found.orderMm)">
          Take {{ bare(found.orderMm) }} for all
        </button>
      } @else {
        <p class="fault mt-2">
          No single length works for all: {{ found.against }} rules out most of them.
        </p>
      }
    }
    @if (places().length) {
      <ol class="mt-2 grid gap-2" data-test="hose-places">
        @for (place of places(); track $index) {
          <li class="rounded-lg border border-rule p-2 text-sm">
            <p>
              <strong>{{ place.to.name }}</strong> at {{ bare(place.atMm[0]) }},
              {{ bare(place.atMm[1]) }}, {{ bare(place.atMm[2]) }}, pointing {{ pointing(place) }}
            </p>
            <p>
              {{
                place.ok
                  ? 'Works in every state, smallest radius ' + full(place.leastRadiusMm) + '.'
                  : 'Problem: ' + wordsFor(place.why) + '.'
              }}
            </p>
            <button
              type="button"
              class="btn-main mt-1"
              (click)="takePlace(place)"
              [disabled]="!slides()"
            >
              Move the bracket here
            </button>
          </li>
        }
      </ol>
    }
    @if (slides()) {
      <fl-range-field
        class="mt-3"
        field="hose-slide"
        label="Slide the bracket along the rail, or drag it in the picture"
        [shown]="(slidMm() > 0 ? '+' : '') + bare(slidMm())"
        [least]="-slideMm"
        [most]="slideMm"
        [step]="5"
        [value]="slidMm()"
        (slid)="shifted.emit($event)"
        (taken)="shiftTaken.emit()"
      />
    } @else {
      <p class="mt-3 text-sm text-ink-soft">
        End A is at a taped port, so its position cannot be moved.
      </p>
    }
  `,
})
export class HoseLength {
  private readonly store = inject(PlanStore);
  protected readonly finder = inject(HoseFinder);
  readonly view = input.required<HoseView>();
  /** A length that is looked at while the slider moves; one that is taken; a shift of end A that is looked at, aft. */
  readonly tried = output<number>();
  readonly taken = output<number>();
  readonly shifted = output<number>();
  readonly shiftTaken = output();
  /** How far it is slid just now. */
  readonly slidMm = input(0);
  protected readonly step = ORDER_STEP_MM;
  protected readonly slideMm = SLIDE_MM;
  protected readonly words: Record<string, string> = VERDICT_WORDS;

  protected readonly range = computed(() => {
    const { hose, freeMm, states } = this.view();
    const least = Math.max(...states.map((state) => state.chordMm), 40) + hose.orderMm - freeMm;
    return {
      least: Math.floor((least * 0.9) / ORDER_STEP_MM) * ORDER_STEP_MM,
      most: Math.max(Math.ceil((least * 2) / ORDER_STEP_MM) * ORDER_STEP_MM, hose.orderMm),
    };
  });
  protected readonly corners = computed(() =>
    this.store
      .plan()
      .hoses.filter(
        (hose) =>
          hose.service === 'pressure' &&
          hose.motion.kind !== 'still' &&
          hose.stockId === this.view().hose.stockId,
      ),
  );
  private readonly port = computed(() =>
    this.store
      .view()
      .ports.get(
        this.store.plan().hoses.find((hose) => hose.id === this.view().hose.id)?.ends.a.portId ??
          '',
      ),
  );
  protected readonly slides = computed(() => endMoves(this.port()));
  private readonly found = computed(() => this.finder.foundFor(this.view().hose.id));
  protected readonly lengths = computed(() => {
    const found = this.found();
    return found?.kind === 'lengths' ? found : null;
  });
  protected readonly serving = computed(() => {
    const tried = this.lengths()?.tried ?? [];
    return `${tried.filter((one) => one.ok).length} of ${tried.length} lengths tried work.`;
  });
  protected readonly alike = computed(() => {
    const found = this.found();
    return found?.kind === 'alike' ? found : null;
  });
  protected readonly places = computed(() => {
    const found = this.found();
    return found?.kind === 'bracket' ? found.places : [];
  });

  constructor() {
    // What was found holds for the hose and the plan that it was found in.
    effect(() => {
      if (this.finder.isStale({ id: this.view().hose.id, plan: this.store.plan() }))
        untracked(() => this.finder.cancel());
    });
  }

  protected look(kind: HoseRequest['kind']): void {
    const plan = this.store.plan();
    const { id } = this.view().hose;
    this.finder.look(
      { kind, plan, ids: kind === 'alike' ? this.corners().map((hose) => hose.id) : [id] },
      { id, plan },
    );
  }
  protected makeAlike(orderMm: number): void {
    this.store.apply({
      edit: 'equalizeHoseLengths',
      with: { ids: this.corners().map((hose) => hose.id), orderMm },
    });
  }
  protected takePlace({ atMm, direction }: BracketPlace): void {
    this.store.apply(moveEnd(this.view(), this.port(), atMm, direction));
  }
  protected wordsFor(why: string): string {
    return this.words[why] ?? why;
  }
  protected pointing({ direction: [x, y, z] }: BracketPlace): string {
    if (x) return x > 0 ? 'aft' : 'forward';
    return y ? (y > 0 ? 'right' : 'left') : z > 0 ? 'up' : 'down';
  }
  protected full(mm: number): string {
    return formatLengthUnit(mm, this.store.units());
  }
  protected bare(mm: number): string {
    return formatLength(mm, this.store.units());
  }
}
