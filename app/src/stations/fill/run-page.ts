import {
  type ElementRef,
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import { InputError } from '@firm-line/core/lib/faults';
import {
  airNetworkOf,
  bleederNotes,
  instructionOf,
  methodById,
  replay,
  STALL_TRIES,
  withEvent,
  withoutLast,
  type AirNow,
} from '@firm-line/core/stations/fill';
import { askedField, fluidFor, RUN_EVENT, type FillRun, type RunEvent } from '@firm-line/core/plan';
import { FieldOf } from '../../kit/fields/field';
import { OptionalNumberField } from '../../kit/fields/optional-number-field';
import { PlanStore } from '../../session/plan-store';
import { AirWork } from '../../worker/air-work';
import { FillFacade } from './fill-facade';
import { keepAwake } from './run-means';
import { RunStart } from './run-start';
import { RunBeside } from './run-beside';
import { RunReadings } from './run-readings';
import { RunWhere } from './run-where';
import { bleederNow, otherActs } from './run-words';

/** The run at the bleeders: one instruction at a time, taps that last over a reload, where the air is by the simulation. */
@Component({
  selector: 'fl-run-page',
  imports: [FieldOf, OptionalNumberField, RunBeside, RunReadings, RunStart, RunWhere],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block', '(document:keydown)': 'key($event)' },
  template: `
    @if (run(); as run) {
      <div
        class="grid min-h-full md:grid-cols-[15rem_minmax(0,1fr)] xl:grid-cols-[20rem_minmax(0,1fr)_18rem]"
      >
        <fl-run-where
          class="contain-content border-r border-rule bg-sheet p-4"
          [run]="run"
          [state]="state()!"
          [work]="work()"
          [air]="air()"
        />
        <section class="flex min-w-0 flex-col gap-4 p-5" aria-label="Now" data-test="now">
          <div aria-live="polite">
            <h2 class="text-3xl font-bold" data-test="instruction">{{ said().title }}</h2>
            <p class="mt-1 text-lg text-ink-soft">{{ said().detail }}</p>
            @for (hint of hints(); track hint) {
              <p class="mt-1 text-lg font-semibold">
                <span class="text-caution" aria-hidden="true">▲</span> {{ hint }}
              </p>
            }
          </div>
          @if (fault()) {
            <p class="fault" role="alert">{{ fault() }}</p>
          }
          @if (refused()) {
            <p class="text-sm">
              ▲ {{ refused() }} recorded steps do not fit the plan and are ignored.
            </p>
          }
          @if (corner(); as corner) {
            <fl-run-readings
              class="grid gap-4"
              [run]="run"
              [state]="state()!"
              [corner]="corner"
              (told)="tell($event)"
            />
          }
          @if (state()!.phase === 'done') {
            @if (state()!.felt === null) {
              <div class="grid gap-3 sm:grid-cols-3">
                @for (felt of ['firm', 'soft', 'sinks']; track felt) {
                  <button
                    type="button"
                    class="btn min-h-20 text-xl"
                    (click)="tell({ act: 'felt', how: felt })"
                  >
                    {{ felt === 'firm' ? 'Firm' : felt === 'soft' ? 'Soft' : 'Sinks' }}
                  </button>
                }
              </div>
            } @else {
              <p class="text-lg">
                The figures for each wheel are kept for next time, on the Plan page.
              </p>
            }
          }
          <div class="mt-auto flex flex-wrap gap-3 pt-4">
            <button
              type="button"
              class="btn min-h-16 px-5"
              [disabled]="!run.log.length"
              (click)="undo()"
            >
              Undo
            </button>
            @if (state()!.phase !== 'done') {
              @if (state()!.phase !== 'low' || said().main?.act !== 'top-up') {
                <button type="button" class="btn min-h-16 px-5" (click)="tell({ act: 'top-up' })">
                  Top up
                </button>
              }
              @for (act of others(); track act[0]) {
                <button type="button" class="btn min-h-16 px-5" (click)="tell({ act: act[0] })">
                  {{ act[1] }}
                </button>
              }
            }
            @if (said().main; as main) {
              <button
                #main
                type="button"
                class="btn-main min-h-20 flex-1 px-6 text-2xl"
                data-test="main"
                (click)="go()"
              >
                {{ main.label }}
              </button>
            }
          </div>
          <div class="flex flex-wrap items-end gap-3">
            @if (flows() && state()!.phase === 'open') {
              <fl-optional-number-field
                class="w-52"
                label="Or: added to the jar, mL"
                [value]="null"
                none="reading"
                [least]="0.1"
                [most]="5000"
                (changed)="$event === null || tell({ act: 'read', ml: $event })"
              />
            }
            @if (state()!.phase !== 'done' && corner()) {
              <fl-optional-number-field
                class="w-52"
                label="Or: reservoir reading, mL"
                [value]="null"
                none="reading"
                [least]="0"
                [most]="10000"
                (changed)="$event === null || tell({ act: 'level', ml: $event })"
              />
              @if (run.method === 'pressure') {
                <fl-field
                  class="w-52"
                  label="Pot pressure at this wheel"
                  [of]="potField"
                  none="not noted"
                  [value]="corner()!.potMPa"
                  (changed)="$event && tell({ act: 'pot', potMPa: $event })"
                />
              }
            }
          </div>
        </section>
        <fl-run-beside
          class="flex flex-col gap-3 border-rule bg-sheet p-4 contain-content max-xl:md:col-span-2 xl:border-l"
          [run]="run"
          [state]="state()!"
          [work]="work()"
          [air]="air()"
          [said]="said().title"
          (wholeScreen)="big.set(true)"
          (told)="tell($event)"
          (again)="another.set(true)"
        />
      </div>
      @if (big() && said().main) {
        <button
          type="button"
          class="fixed inset-0 z-20 flex flex-col items-center justify-center gap-8 bg-fluid p-8 text-center text-sheet"
          (click)="go()"
          data-test="big"
        >
          <span class="text-5xl leading-tight font-bold">{{ said().title }}</span>
          <span class="font-mono text-6xl">{{
            corner() ? sheet.whole(corner()!.ml) + ' of ' + sheet.ml(wanted()) : ''
          }}</span>
          <span class="text-4xl font-bold">{{ said().main!.label }}</span>
        </button>
        <button
          type="button"
          class="btn fixed top-4 right-4 z-30 min-h-16"
          (click)="big.set(false)"
        >
          Back to the run page
        </button>
      }
    } @else {
      <fl-run-start (begun)="another.set(false)" />
    }
  `,
})
export class RunPage {
  protected readonly potField = askedField(RUN_EVENT.fields.potMPa);
  private readonly store = inject(PlanStore);
  protected readonly sheet = inject(FillFacade);
  private readonly airWork = inject(AirWork);
  /** Another is to be begun: what goes before it is looked at anew. */
  protected readonly another = signal(false);
  protected readonly run = computed(() => (this.another() ? null : this.sheet.run()));
  private readonly replayed = computed(() => {
    const run = this.run();
    return run && replay(run);
  });
  protected readonly state = computed(() => this.replayed()?.state ?? null);
  protected readonly refused = computed(() => this.replayed()?.refused ?? 0);
  protected readonly corner = computed(() => {
    const state = this.state();
    return state && bleederNow(state);
  });
  protected readonly work = computed(() => {
    const wanted = this.run()?.work;
    return this.sheet.works().find(({ work }) => work === wanted) ?? null;
  });
  protected readonly flows = computed(() => methodById(this.run()!.method).flows === true);
  protected readonly said = computed(() =>
    instructionOf(this.run()!, this.state()!, (id) => this.sheet.name(id)),
  );
  /** What is different at this bleeder, before and while it is open. */
  protected readonly hints = computed(() =>
    this.corner() && this.work() && ['ready', 'open'].includes(this.state()!.phase)
      ? bleederNotes(this.work()!, this.sheet.view(), this.corner()!.portId)
      : [],
  );
  protected readonly wanted = computed(() => this.run()!.flushMl[this.state()!.step] ?? 0);
  /** What else can be told here, besides what goes on. */
  protected readonly others = computed(() =>
    otherActs(this.run()!, this.state()!, this.said().main?.act),
  );
  protected readonly fault = signal('');
  protected readonly big = signal(false);
  protected readonly air = signal<AirNow | null>(null);
  private readonly mainButton = viewChild<ElementRef<HTMLButtonElement>>('main');

  constructor() {
    keepAwake(computed(() => this.run() !== null && this.state()!.phase !== 'done'));
    effect((clear) => {
      const [run, work] = [this.run(), this.work()];
      if (!run || !work?.net) return;
      const network = untracked(() => airNetworkOf(work, this.sheet.view()));
      if (!network) return;
      const ended = new AbortController();
      // What was tapped is on the screen before the air is reckoned.
      const rest = setTimeout(
        () =>
          void this.airWork
            .now(
              network,
              run,
              untracked(() => fluidFor(this.store.plan(), work.reservoirs)),
              ended.signal,
            )
            .then(
              (now) => this.air.set(now),
              () => undefined,
            ),
        120,
      );
      clear(() => {
        clearTimeout(rest);
        ended.abort();
      });
    });
  }

  protected tell(event: Omit<RunEvent, 'at'>): void {
    this.fault.set('');
    try {
      this.record(withEvent(this.run()!, { ...event, at: new Date().toISOString() }));
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      this.fault.set(error.message);
    }
  }
  protected go(): void {
    const main = this.said().main;
    if (!main) return;
    const { act } = main;
    this.tell({
      act,
      ...(act === 'read' ? { ml: 10 } : {}),
      ...(act === 'tried'
        ? { how: STALL_TRIES.find((one) => !this.state()!.tried.includes(one))! }
        : {}),
    });
  }
  protected undo(): void {
    this.fault.set('');
    this.record(withoutLast(this.run()!));
  }
  private record(run: FillRun): void {
    this.sheet.apply({ edit: 'recordFillRun', with: { run } });
  }
  /** A foot switch types a space; where something else is typed into or pressed by it, it is that one's. */
  protected key(event: KeyboardEvent): void {
    const at = event.target as HTMLElement;
    if (event.key === 'Escape' && this.big()) this.big.set(false);
    if (
      event.key !== ' ' ||
      event.repeat ||
      !this.run() ||
      at.closest('input, textarea, select, dialog, button, a, summary')
    )
      return;
    event.preventDefault();
    this.go();
    this.mainButton()?.nativeElement.scrollIntoView({ block: 'nearest' });
  }
}
