import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  linkedSignal,
  output,
  untracked,
} from '@angular/core';
import { figure } from '@firm-line/core/lib/faults';
import type { Target } from '@firm-line/core/plan';
import { formatLengthUnit } from '@firm-line/core/lib/units';
import type { MeasurementValue } from '@firm-line/core/stations/measure';
import { ListRow } from '../../kit/list-row';
import { Hints } from '../../pieces/hints';
import { PlanStore } from '../../session/plan-store';
import { Selection } from '../../session/selection';
import { WorthFinder } from '../../worker/worth-finder';

/** A plan rests for so long before its guesses are weighed again. */
const REST_MS = 250;
const SHOWN = 3;
const listed = (names: readonly string[]): string =>
  names.length > SHOWN
    ? `${names.slice(0, SHOWN).join(', ')} and ${names.length - SHOWN} more`
    : names.join(', ');

/** The open guesses, most worth taping first, and what each would settle. */
@Component({
  selector: 'fl-measure-first',
  imports: [Hints, ListRow],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <fl-hints station="measure" />
    <h2 class="h2">What to measure first</h2>
    <p class="text-sm text-ink-soft">
      Measure these first. Ranked by what one measurement settles: a clearance, a cut length, or the
      most uncertainty.
    </p>
    @if (frameGuessed()) {
      <div class="mt-2 rounded-lg bg-copper-pale px-3 py-2 text-sm">
        <p>
          <strong>Measure the frame first:</strong> its datums are estimates, and so is everything
          taped from them.
        </p>
        <button type="button" class="link" (click)="frame.emit()">Measure the frame</button>
      </div>
    }
    <ol class="mt-2" aria-label="Places worth measuring">
      @for (row of rows(); track row.target.id; let i = $index) {
        <li class="border-t border-rule">
          <button
            [flListRow]="row.target.id === selection.target()?.id"
            (click)="choose(row.target)"
          >
            <span class="w-6 shrink-0 self-start pt-0.5 font-mono text-ink-soft">{{ i + 1 }}</span>
            <span class="min-w-0 flex-1">
              <span class="block font-semibold">{{ row.where }}</span>
              <span class="block text-sm text-ink">{{ row.words }}</span>
            </span>
          </button>
        </li>
      } @empty {
        <li class="border-t border-rule py-2 text-sm">
          {{
            busy()
              ? 'Ranking the estimates…'
              : (finder.message() ??
                'Every line is measured well enough to cut and to clear its neighbors.')
          }}
        </li>
      }
    </ol>
    @if (busy() && rows().length) {
      <p class="py-1 text-sm text-ink-soft" role="status">Ranking again…</p>
    }
    @if (comesOff().length) {
      <h2 class="h2 mt-4">Parts to remove first</h2>
      <ul class="list-disc pl-6">
        @for (one of comesOff(); track one) {
          <li>{{ one }}</li>
        }
      </ul>
    }
  `,
})
export class MeasureFirst {
  private readonly store = inject(PlanStore);
  protected readonly selection = inject(Selection);
  protected readonly finder = inject(WorthFinder);
  /** A place is to be taped. */
  readonly taping = output<Target>();
  /** The frame is to be measured. */
  readonly frame = output();

  protected readonly busy = computed(() => this.finder.isStale(this.about()) || this.finder.busy());
  private readonly about = computed(() => ({ id: 'worth', plan: this.store.plan() }));
  private readonly fresh = computed(() =>
    this.finder.isStale(this.about()) ? null : this.finder.foundFor('worth'),
  );
  /** The last list that was reckoned stands until the next. */
  private readonly found = linkedSignal<
    readonly MeasurementValue[] | null,
    readonly MeasurementValue[]
  >({
    source: this.fresh,
    computation: (now, before) => now ?? before?.value ?? [],
  });
  protected readonly rows = computed(() => {
    const { ports, points } = this.store.view();
    return this.found()
      .filter(({ target }) =>
        target.kind === 'port' ? ports.has(target.id) : points.has(target.id),
      )
      .map((one) => ({ target: one.target, where: one.where, words: this.words(one) }));
  });
  protected readonly frameGuessed = computed(() => {
    const { points } = this.store.plan();
    return points.length > 0 && points.every(({ known }) => known.how === 'guessed');
  });
  protected readonly comesOff = computed(() => this.store.plan().comesOff ?? []);

  constructor() {
    effect((clear) => {
      const about = this.about();
      const rest = setTimeout(() => this.finder.look(about.plan, about), REST_MS);
      clear(() => {
        clearTimeout(rest);
        untracked(() => this.finder.cancel());
      });
    });
  }
  private words({
    clearancesDecided: settles,
    cutsBroughtInTolerance: brings,
    removedMm,
  }: MeasurementValue): string {
    const units = this.store.units();
    const off =
      units === 'metric' ? `${figure(removedMm, 0)} mm` : formatLengthUnit(removedMm, 'inch');
    return [
      ...(settles.length ? [`settles ${listed(settles)}`] : []),
      ...(brings.length ? [`brings ${listed(brings)} within trim`] : []),
      `takes ±${off} off`,
    ].join('; ');
  }
  protected choose(target: Target): void {
    this.selection.chooseTarget(target);
    this.taping.emit(target);
  }
}
