import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  linkedSignal,
  signal,
} from '@angular/core';
import { endFor, firstEnd, halfOfNut, turningOf, type EndChoice } from '@firm-line/core/trade/ends';
import { figure } from '@firm-line/core/lib/faults';
import { adaptersOf, jointsAt, type JointEnd, type JointView } from '@firm-line/core/stations/join';
import { adapterOf, type LineView } from '@firm-line/core/plan';
import { END_NAMES, FLARES, nutById, SEAT_NAMES } from '@firm-line/core/trade/stock';
import { SnagRow } from '../../pieces/snag-row';
import { PlanStore } from '../../session/plan-store';
import { JointSection } from './joint-section';
import { OwnAdapters } from './own-adapters';
import { VERDICT_WORDS } from './joint-list';
import { Toggle } from '../../kit/toggle';

/** What the verdict and its reasons say already. */
const SHOWN_ABOVE: ReadonlySet<string> = new Set(['threads-differ', 'will-not-seal']);

/** The chosen end: each of its joints drawn to scale with its verdict, what would seal there, and in what order to fit it. */
@Component({
  selector: 'fl-joint-panel',
  imports: [Toggle, JointSection, OwnAdapters, SnagRow],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <section class="card p-4" aria-label="The joint cut through">
      <div class="flex flex-wrap items-center gap-2">
        <h2 class="mr-auto text-2xl font-bold">{{ at().name }}</h2>
        @if (joints().length > 1) {
          <fl-toggle
            label="Which joint"
            [options]="jointChoices()"
            [value]="index()"
            (changed)="index.set($event)"
          />
        }
        @if (joint()?.join) {
          <button type="button" class="btn" (click)="together.set(!together())">
            {{ together() ? 'Take apart' : 'Put together' }}
          </button>
        }
      </div>
      @if (joint(); as one) {
        @if (one.join; as join) {
          <fl-joint-section
            class="mt-2 h-72"
            [male]="join.male"
            [female]="join.female"
            [together]="together()"
            #drawing
          />
          <p class="text-center text-sm" data-test="drawing-words">{{ drawing.words() }}</p>
        }
        <div class="mt-3 flex flex-wrap items-baseline gap-x-4">
          <p
            class="text-xl font-bold"
            [class]="one.verdict === 'seals' ? 'text-ok' : 'text-stop'"
            data-test="verdict"
          >
            {{ verdicts[one.verdict] }}
          </p>
          <p class="text-sm text-ink-soft">{{ figures() }}</p>
        </div>
        <p class="mt-1">{{ halves() }}</p>
        @for (reason of one.reasons; track $index) {
          <p class="text-sm">{{ reason }}</p>
        }
      } @else {
        <p class="mt-2">
          Thread and seat are not known. Measure the thread and check the seat here. The joint is
          then drawn and checked.
        </p>
      }
      @for (snag of snags(); track $index) {
        <fl-snag-row class="mt-2" [snag]="snag" />
      }
      @if (order(); as text) {
        <p class="mt-3 border-t border-rule pt-2 text-sm">
          <strong>Fitting order.</strong> {{ text }}
        </p>
      }
    </section>
    @if (line() && at().at; as port) {
      <section class="card mt-4 p-4" aria-label="Ends that seal here">
        <h2 class="h2">Ends that seal here</h2>
        <p class="text-sm text-ink-soft">
          For {{ line()!.tube.name }} tube, fewest joints first. Prices are invented.
        </p>
        <ul class="mt-1">
          @for (choice of choices(); track choice.key) {
            <li class="grid grid-cols-[1fr_auto_6rem] items-center gap-3 border-t border-rule py-1">
              <span
                ><strong>{{ choice.end }}</strong>
                <span class="ml-1 text-sm">{{ choice.over }}</span></span
              >
              <span class="text-sm text-ink-soft">{{ choice.joints }}</span>
              @if (choice.now) {
                <span class="inline-flex min-h-tap items-center px-2 font-semibold">as fitted</span>
              } @else {
                <button
                  type="button"
                  class="btn px-3"
                  (click)="use(choice.of)"
                  [attr.aria-label]="'Use adapters: ' + choice.end + ' ' + choice.over"
                >
                  Use
                </button>
              }
            </li>
          } @empty {
            <li class="border-t border-rule py-2 text-sm">
              {{
                port.port.fitting
                  ? 'No adapters in the catalog join this port to a nut for this tube.'
                  : 'Enter the thread and seat of the port first.'
              }}
            </li>
          }
        </ul>
        <fl-own-adapters class="mt-2 border-t border-rule" />
      </section>
    }
  `,
})
export class JointPanel {
  private readonly store = inject(PlanStore);
  readonly at = input.required<JointEnd>();
  /** The line whose end it is; null of a hose's. */
  readonly line = input.required<LineView | null>();
  protected readonly verdicts = VERDICT_WORDS;
  protected readonly together = signal(true);
  /** Which joint of the end; the first again when another end is chosen. */
  protected readonly index = linkedSignal({ source: () => this.at().name, computation: () => 0 });
  protected readonly joints = computed((): readonly JointView[] => this.at().joints ?? []);
  protected readonly jointChoices = computed(() =>
    this.joints().map((_, value) => ({ value, name: `Joint ${value + 1}` })),
  );
  protected readonly joint = computed(
    (): JointView | null => this.joints()[Math.min(this.index(), this.joints().length - 1)] ?? null,
  );
  protected readonly halves = computed(() => {
    const { join } = this.joint()!;
    return join
      ? `${join.male.thread} ${END_NAMES[join.male.end]} in ${join.female.thread} ${SEAT_NAMES[join.female.seat]}.`
      : '';
  });
  protected readonly figures = computed(() => {
    const { overlap, turnsToBind, join } = this.joint()!;
    if (!join) return '';
    const flank = `${figure(100 * Math.max(0, Math.min(1, overlap)), 0)} % of the thread flank in contact`;
    return turnsToBind === null ? flank : `${flank}, binds after ${figure(turnsToBind)} turns`;
  });
  protected readonly snags = computed(() => {
    return this.store
      .laidOutSnags()
      .filter(
        (snag) =>
          snag.station === 'join' && snag.where === this.at().name && !SHOWN_ABOVE.has(snag.rule),
      );
  });
  /** Each end of a line, as it turns while it is tightened; a hose's order stands with the hoses. */
  protected readonly order = computed(() => {
    const line = this.line();
    if (!line) return null;
    const turning = (end: 'a' | 'b') =>
      turningOf(jointsAt(line, end)?.at(-1)?.far ?? halfOfNut(line.nuts[end]));
    const { first, why } = firstEnd(turning('a'), turning('b'));
    return first === 'either' ? why : `End ${first.toUpperCase()} first. ${why}`;
  });
  protected readonly choices = computed(() => {
    const line = this.line();
    const half = this.at().at?.port.fitting?.half;
    if (!half || !line) return [];
    const now = line.line.ends[this.at().end];
    return endFor(half, line.tube.odMm, adaptersOf(this.store.plan().bench)).map((of) => ({
      of,
      key: `${of.nutId} ${of.chain.parts.join()}`,
      end: `${FLARES[of.flare].name}, ${nutById(of.nutId)!.name}`,
      over: of.chain.parts.length
        ? `over ${of.chain.parts.map((id) => adapterOf(this.store.plan().bench, id)!.name).join(' and ')}, price ${(of.chain.costMinor / 100).toFixed(2)}`
        : 'directly',
      joints: of.chain.joints === 1 ? '1 joint' : `${of.chain.joints} joints`,
      now: of.nutId === now.nutId && of.chain.parts.join() === now.adapters.join(),
    }));
  });

  /** Another end, with all that goes with it: flare, nut, adapters; what these hold off is to be measured anew. */
  protected use({ flare, nutId, chain }: EndChoice): void {
    const { id, end } = this.at();
    this.store.apply({
      edit: 'changeEnd',
      with: { id, end, patch: { flare, nutId, adapters: chain.parts, standoffMm: 0 } },
    });
  }
}
