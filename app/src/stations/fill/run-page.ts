import {
  type ElementRef,
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  inject,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import { RouterLink } from '@angular/router';
import { InputError } from '@firm-line/core/lib/faults';
import {
  airNetworkOf,
  preFillChecks,
  beginRun,
  bleederNotes,
  instructionOf,
  allConfirmed,
  methodById,
  placeName,
  replay,
  STALL_TRIES,
  withEvent,
  withoutLast,
  type AirNow,
} from '@firm-line/core/stations/fill';
import {
  CAME_OUT,
  fluidFor,
  type CameOutAs,
  type FillRun,
  type RunEvent,
} from '@firm-line/core/plan';
import { type BleedView } from '@firm-line/core/plan/results';
import { formatVolume } from '@firm-line/core/lib/units';
import { OptionalNumberField } from '../../kit/fields/optional-number-field';
import { TextField } from '../../kit/fields/text-field';
import { Toggle } from '../../kit/toggle';
import { PlanStore } from '../../session/plan-store';
import { AirWork } from '../../worker/air-work';
import { BeforeList } from './before-list';
import { FillDiagram } from './fill-diagram';
import { FillFacade } from './fill-facade';
import { keepAwake, speaker } from './run-means';

const OUT_NAMES: Record<CameOutAs, string> = {
  bubbles: 'Bubbles',
  froth: 'Fine froth',
  clear: 'Clear',
  dirty: 'Dirty',
};
/** What is left to look at where the pedal stays soft, in the order of how often it is that. Common practice. */
const SOFT_CAUSES = [
  'Let it settle for an hour and bleed once more: fine froth gathers.',
  'Tie the pedal down overnight, wheels chocked, lamps disconnected, a label on the wheel; bleed again in the morning.',
  'Drums not adjusted up, pads that stand off after work on the discs.',
  'Hoses that swell, a caliper on the wrong side with its bleeder low, a master not bench-bled.',
  'Prove tells air from flexing by pedal and pressure.',
];

/** The run at the bleeders: one instruction at a time, taps that last over a reload, where the air is by the simulation. */
@Component({
  selector: 'fl-run-page',
  imports: [BeforeList, FillDiagram, OptionalNumberField, RouterLink, TextField, Toggle],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block', '(document:keydown)': 'key($event)' },
  template: `
    @if (run(); as run) {
      <div
        class="grid min-h-full md:grid-cols-[15rem_minmax(0,1fr)] xl:grid-cols-[20rem_minmax(0,1fr)_18rem]"
      >
        <aside class="contain-content border-r border-rule bg-sheet p-4" aria-label="Where we are">
          <h2 class="h2">
            {{ run.work === 'clutch' ? 'Clutch' : 'Brakes' }}: {{ methodName().toLowerCase() }}
          </h2>
          <p class="text-sm text-ink-soft">
            By the simulation {{ air() ? ml(air()!.airMl) + ' of air are left' : '…'
            }}{{ airWhere() }}.
          </p>
          @if (work(); as work) {
            <fl-fill-diagram
              class="my-2 block"
              [bleeding]="[work]"
              [now]="corner()?.portId ?? null"
              [done]="done()"
              [air]="air()"
            />
          }
          <ol data-test="corners">
            @for (row of rows(); track $index) {
              <li
                class="flex items-baseline justify-between gap-2 border-t border-rule py-2"
                [class.font-bold]="row.now"
              >
                <span>{{ $index + 1 }} {{ row.name }}</span
                ><span class="font-mono text-sm">{{ row.ml }}</span
                ><span class="text-sm">{{ row.word }}</span>
              </li>
            }
          </ol>
        </aside>
        <section class="flex min-w-0 flex-col gap-4 p-5" aria-label="Now" data-test="now">
          <div aria-live="polite">
            <h2 class="text-3xl font-bold" data-test="instruction">{{ said().title }}</h2>
            <p class="mt-1 text-lg text-ink-soft">{{ said().detail }}</p>
            @for (hint of hints(); track hint) {
              <p class="mt-1 text-lg font-semibold">
                <span class="text-mind" aria-hidden="true">▲</span> {{ hint }}
              </p>
            }
          </div>
          @if (fault()) {
            <p class="fault" role="alert">{{ fault() }}</p>
          }
          @if (refused()) {
            <p class="text-sm">
              ▲ {{ refused() }} of what was told could not be in its place and is passed over.
            </p>
          }
          @if (corner(); as corner) {
            <div class="grid gap-4 sm:grid-cols-2">
              <section class="card contain-content p-4" aria-label="Through this bleeder">
                <h3 class="text-sm text-ink-soft">Through this bleeder</h3>
                <p>
                  <span class="font-mono text-5xl" data-test="through">{{ whole(corner.ml) }}</span>
                  <span class="ml-2 font-mono">of {{ ml(wanted()) }}</span>
                </p>
                <div class="mt-2 h-4 rounded-full bg-rule" aria-hidden="true">
                  <div class="h-4 rounded-full bg-fluid" [style.width.%]="share(corner.ml)"></div>
                </div>
                <p class="mt-1 text-sm">
                  {{ corner.strokes }} {{ flows() ? 'readings' : 'strokes' }}
                </p>
              </section>
              <section class="card contain-content p-4" aria-label="Reservoir">
                <h3 class="text-sm text-ink-soft">Reservoir, by what went through</h3>
                <p>
                  <span class="font-mono text-5xl" data-test="reservoir">{{
                    whole(state()!.reservoirMl)
                  }}</span>
                  <span class="ml-2 font-mono">{{ unit() }} left</span>
                </p>
                <p
                  class="mt-1 font-semibold"
                  [class]="state()!.phase === 'low' ? 'text-stop' : 'text-ink-soft'"
                >
                  {{
                    state()!.phase === 'low'
                      ? '✗ At its mark: nothing goes on until it is topped up.'
                      : 'Its mark is at ' + ml(run.markMl) + '.'
                  }}
                </p>
              </section>
            </div>
            <section class="card contain-content p-4" aria-label="What came out">
              <h3 class="mb-2 text-sm text-ink-soft">What came out</h3>
              <div class="grid grid-cols-2 gap-2 sm:grid-cols-4">
                @for (out of outs; track out) {
                  <button
                    type="button"
                    class="btn min-h-16 text-lg"
                    [class.border-fluid]="corner.out === out"
                    [class.bg-fluid-pale]="corner.out === out"
                    [attr.aria-pressed]="corner.out === out"
                    (click)="tell({ act: 'out', out })"
                  >
                    {{ outNames[out] }}{{ corner.out === out ? ' ✓' : '' }}
                  </button>
                }
              </div>
            </section>
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
                    {{ felt === 'firm' ? 'Firm' : felt === 'soft' ? 'Soft' : 'It sinks' }}
                  </button>
                }
              </div>
            } @else {
              <p class="text-lg">
                What each corner took is kept for the next time, on the page Plan.
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
              Take back
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
                label="Or: more in the jar, mL"
                [value]="null"
                none="as read"
                [least]="0.1"
                [most]="5000"
                (changed)="$event === null || tell({ act: 'read', ml: $event })"
              />
            }
            @if (state()!.phase !== 'done' && corner()) {
              <fl-optional-number-field
                class="w-52"
                label="Or: seen in the reservoir, mL"
                [value]="null"
                none="as seen"
                [least]="0"
                [most]="10000"
                (changed)="$event === null || tell({ act: 'level', ml: $event })"
              />
            }
          </div>
        </section>
        <aside
          class="flex flex-col gap-3 border-rule bg-sheet p-4 contain-content max-xl:md:col-span-2 xl:border-l"
          aria-label="Beside the run"
        >
          <p>
            <span class="label block">Time at it</span
            ><span class="font-mono text-3xl" data-test="time">{{ elapsed() }}</span>
          </p>
          <div class="flex flex-wrap gap-2 xl:flex-col">
            <button type="button" class="btn" (click)="big.set(true)">Whole screen goes on</button>
            @if (voice.can) {
              <button
                type="button"
                class="btn"
                [attr.aria-pressed]="voice.on()"
                (click)="voice.toggle()"
              >
                {{ voice.on() ? 'Voice is on' : 'Speak it' }}
              </button>
            }
          </div>
          <p class="text-sm text-ink-soft">
            The space bar, or a foot switch that types it, goes on as well. The screen stays lit;
            all of it works with no network.
          </p>
          <fl-text-field
            field="run-note"
            label="Note, into the log"
            [limits]="{ least: 0, most: 500 }"
            [value]="''"
            (changed)="note($event)"
          />
          <p class="text-sm">{{ beware() }} What was bled out never goes back in.</p>
          @if (state()!.phase === 'done' && state()!.felt !== 'firm' && state()!.felt !== null) {
            <h3 class="font-bold">Still not firm</h3>
            <ol class="flex list-decimal flex-col gap-1 pl-5 text-sm" data-test="soft">
              @for (cause of soft(); track cause) {
                <li>{{ cause }}</li>
              }
            </ol>
            <a class="btn" routerLink="../../prove">Prove: is it air or flex?</a>
          }
          <div class="mt-auto flex flex-wrap gap-2">
            @if (state()!.phase === 'done') {
              <button type="button" class="btn" (click)="again()">Begin another run</button>
            } @else {
              <button type="button" class="btn" (click)="tell({ act: 'finish' })">
                End it here
              </button>
              <button type="button" class="btn" (click)="drop(run)">Throw this run away</button>
            }
          </div>
          <p class="text-sm text-ink-soft">
            The makers' sheets and local rules come first. A soft pedal is not road-worthy; a
            qualified person looks before the road.
          </p>
        </aside>
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
            corner() ? whole(corner()!.ml) + ' of ' + ml(wanted()) : ''
          }}</span>
          <span class="text-4xl font-bold">{{ said().main!.label }}</span>
        </button>
        <button
          type="button"
          class="btn fixed top-4 right-4 z-30 min-h-16"
          (click)="big.set(false)"
        >
          Back to the page
        </button>
      }
    } @else {
      <div class="mx-auto grid max-w-5xl gap-5 p-5">
        <h2 class="text-2xl font-bold">Before the first pump</h2>
        @if (works().length > 1) {
          <fl-toggle
            label="What is bled"
            [options]="works()"
            [value]="work()!.work"
            (changed)="picked.set($event!)"
          />
        }
        @if (work(); as work) {
          @if (work.result) {
            <p>
              {{ methodName() }}, {{ work.result.order.length }}
              {{ work.result.order.length === 1 ? 'bleeder' : 'bleeders' }}. Each of these is said
              by whoever looked; the first pump stays locked until all are.
            </p>
            <fl-before-list class="card block p-3" [work]="work" />
            @if (free()) {
              <button type="button" class="btn-main min-h-20 text-2xl" (click)="begin()">
                Begin at the first bleeder
              </button>
            } @else {
              <button type="button" class="btn min-h-20 text-xl" disabled>
                Locked: {{ left() }} to go
              </button>
            }
          } @else {
            <p class="fault">{{ work.fault?.message }}</p>
          }
        }
      </div>
    }
  `,
})
export class RunPage {
  private readonly store = inject(PlanStore);
  private readonly sheet = inject(FillFacade);
  private readonly airWork = inject(AirWork);
  protected readonly outs = CAME_OUT;
  protected readonly outNames = OUT_NAMES;
  /** Another is to be begun: what goes before it is looked at anew. */
  private readonly another = signal(false);
  protected readonly run = computed(() => (this.another() ? null : this.sheet.run()));
  private readonly replayed = computed(() => {
    const run = this.run();
    return run && replay(run);
  });
  protected readonly state = computed(() => this.replayed()?.state ?? null);
  protected readonly refused = computed(() => this.replayed()?.refused ?? 0);
  protected readonly corner = computed(() => {
    const state = this.state();
    return state && state.phase !== 'done' && state.phase !== 'extra'
      ? (state.corners[state.step] ?? null)
      : null;
  });
  protected readonly picked = signal<BleedView['work'] | null>(null);
  protected readonly works = computed(() =>
    this.sheet
      .works()
      .map(({ work }) => ({ value: work, name: work === 'brake' ? 'Brakes' : 'Clutch' })),
  );
  protected readonly work = computed(() => {
    const wanted = this.run()?.work ?? this.picked();
    return (
      this.sheet.works().find(({ work }) => work === wanted) ??
      this.sheet.first() ??
      this.sheet.works()[0] ??
      null
    );
  });
  private readonly method = computed(() =>
    this.run() ? methodById(this.run()!.method) : this.sheet.method(),
  );
  protected readonly methodName = computed(() =>
    this.method()
      .name.toLowerCase()
      .replace(/^./, (c) => c.toUpperCase()),
  );
  protected readonly flows = computed(() => this.method().flows === true);
  protected readonly beware = computed(() => this.method().beware);
  private readonly before = computed(() =>
    this.work()?.result && !this.run()
      ? preFillChecks(this.work()!, this.sheet.view(), this.sheet.method().id)
      : [],
  );
  protected readonly free = computed(() => allConfirmed(this.before()));
  protected readonly left = computed(() => this.before().filter(({ done }) => !done).length);
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
  protected readonly done = computed(() => this.run()!.order.slice(0, this.state()!.step));
  protected readonly rows = computed(() => {
    const { corners, step, phase } = this.state()!;
    return corners.map(({ portId, ml, out }, i) => ({
      name: `${this.sheet.name(portId)}${corners.findIndex((one) => one.portId === portId) < i ? ', again' : ''}`,
      ml: ml ? this.ml(ml) : '',
      now: i === step && phase !== 'done',
      word: i === step && phase !== 'done' ? 'now' : i < step ? (out ?? 'done') : '',
    }));
  });
  /** What else can be told here, besides what goes on. */
  protected readonly others = computed((): (readonly [RunEvent['act'], string])[] => {
    const { phase } = this.state()!;
    const main = this.said().main?.act;
    const all: Partial<Record<typeof phase, (readonly [RunEvent['act'], string])[]>> = {
      ready: [
        ['open', 'Open'],
        ['stall', 'Nothing comes'],
        ['pause', 'Pause'],
        ['next', 'Next corner'],
        ...(this.run()!.method === 'pressure' ? [['vent', 'Pot vented'] as const] : []),
      ],
      open: [
        ['stroke', 'Stroke'],
        ['close', 'Shut'],
        ['stall', 'Nothing comes'],
        ...(this.method().severalOpen ? [['next', 'Next corner, leave it open'] as const] : []),
      ],
      down: [['stall', 'Nothing comes']],
      low: [['close', 'Shut']],
      stalled: [['resume', 'Fluid comes: go on']],
    };
    const { strokes } = this.corner() ?? { strokes: 0 };
    return (all[phase] ?? []).filter(
      ([act]) =>
        act !== main &&
        !(act === 'stroke' && this.flows()) &&
        !(act === 'open' && main !== 'next') &&
        !(act === 'close' && phase === 'low' && !this.state()!.open.length) &&
        !(act === 'next' && !strokes),
    );
  });
  protected readonly fault = signal('');
  protected readonly big = signal(false);
  protected readonly air = signal<AirNow | null>(null);
  protected readonly airWhere = computed(() => {
    const [air, work] = [this.air(), this.work()];
    if (!air || !work?.net || air.airMl < 0.05) return '';
    const most = work.net.pipes
      .map(({ id }, i) => ({
        pipeId: id,
        share: (air.pipes[i] ?? []).reduce((sum, { from, to }) => sum + to - from, 0),
      }))
      .sort((a, b) => b.share - a.share)[0];
    return most && most.share > 0.02
      ? `, most of the way along ${placeName(this.sheet.view(), work.net, most)}`
      : '';
  });
  protected readonly soft = computed(() => {
    const air = this.air();
    return [
      ...(this.state()!.felt === 'sinks'
        ? [
            'A pedal that sinks leaks: outside at a joint, or inside past the master’s cup. Look at every joint under pressure first.',
          ]
        : []),
      ...(air && air.airMl >= 0.1
        ? [`By the simulation ${this.ml(air.airMl)} of air are still in it${this.airWhere()}.`]
        : []),
      ...SOFT_CAUSES,
    ];
  });
  private readonly clock = signal(Date.now());
  protected readonly elapsed = computed(() => {
    const { seconds, atS, phase } = this.state()!;
    const all =
      seconds +
      (phase === 'paused' || phase === 'done' ? 0 : Math.max(0, this.clock() / 1000 - atS));
    return `${Math.floor(all / 60)}:${String(Math.floor(all % 60)).padStart(2, '0')}`;
  });
  protected readonly voice = speaker(computed(() => (this.run() ? `${this.said().title}.` : '')));
  private readonly mainButton = viewChild<ElementRef<HTMLButtonElement>>('main');

  constructor() {
    const tick = setInterval(() => this.clock.set(Date.now()), 1000);
    inject(DestroyRef).onDestroy(() => clearInterval(tick));
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

  protected ml(ml: number): string {
    return formatVolume(ml, this.store.units());
  }
  protected whole(ml: number): string {
    return this.store.units() === 'metric' ? String(Math.round(ml)) : (ml / 29.5735).toFixed(1);
  }
  protected unit(): string {
    return this.store.units() === 'metric' ? 'mL' : 'fl oz';
  }
  protected share(ml: number): number {
    return this.wanted() ? Math.min(100, (100 * ml) / this.wanted()) : 100;
  }
  protected begin(): void {
    const run = beginRun(this.work()!, this.sheet.view(), new Date().toISOString());
    if (!run) return;
    this.record(run);
    this.another.set(false);
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
  protected drop(run: FillRun): void {
    this.sheet.apply({ edit: 'removeFillRun', with: { id: run.id } });
  }
  private record(run: FillRun): void {
    this.sheet.apply({ edit: 'recordFillRun', with: { run } });
  }
  protected again(): void {
    this.another.set(true);
  }
  protected note(text: string): void {
    if (!text.trim()) return;
    const entry = {
      at: new Date().toISOString(),
      by: '',
      text: text.trim(),
      reading: '',
      about: { kind: 'task' as const, id: 'fill' },
      when: 'now' as const,
      photos: [],
    };
    this.store.apply({ edit: 'recordLogEntry', with: { entry } });
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
