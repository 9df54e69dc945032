import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  linkedSignal,
  signal,
  untracked,
} from '@angular/core';
import { Router } from '@angular/router';
import { figure, InputError } from '@firm-line/core/lib/faults';
import type { Plan } from '@firm-line/core/plan';
import {
  answered,
  defaultsFor,
  sentencesFor,
  sketchOut,
  type Answers,
  type Ask,
  type SetOut,
} from '@firm-line/core/proposals/set-out';
import { formatLengthUnit, type UnitSystem } from '@firm-line/core/lib/units';
import { DISPLAY_UNITS } from '../kit/units';
import { PlanFiles } from '../storage/plan-files';
import { SetOutFinder } from '../worker/set-out-finder';
import { readDraft, writeDraft, type Draft } from './draft';
import { SetOutPicture } from './set-out-picture';
import { SetOutWord, type Word } from './set-out-word';

const NEW_PLAN = { id: 'new', now: '2026-01-01T00:00:00.000Z' };
/** Answers rest for so long before lines are led to them. */
const REST_MS = 600;
/** What follows a word without a space between. */
const CLOSES = /^[,.;]/;

const count = (n: number, what: string): string => `${n} ${what}${n === 1 ? '' : 's'}`;
interface Fault {
  readonly ask: Ask;
  readonly message: string;
}
interface Tried {
  readonly plan: Plan | null;
  readonly answers: Answers;
  readonly fault: Fault | null;
}

/** A new plan, said in sentences whose words are the choices. */
@Component({
  selector: 'fl-set-out-page',
  imports: [SetOutPicture, SetOutWord],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'flex min-h-dvh flex-col md:h-dvh' },
  providers: [{ provide: DISPLAY_UNITS, useFactory: () => inject(SetOutPage).units }],
  template: `
    <header class="flex flex-wrap items-center gap-4 border-b border-rule bg-sheet px-6 py-3">
      <a href="/" aria-label="All plans" (click)="leave($event)"
        ><img src="favicon.svg" alt="" class="size-11"
      /></a>
      <div class="mr-auto">
        <h1 class="text-2xl font-bold">Set out a new plan</h1>
        <p class="text-ink-soft">
          Fill in what you know. Everything else is an estimate until you measure it.
        </p>
      </div>
      <button
        type="button"
        class="btn"
        [attr.aria-label]="'Units: ' + (units() === 'metric' ? 'mm' : 'in') + '. Switch.'"
        (click)="swapUnits()"
      >
        {{ units() === 'metric' ? 'mm' : 'in' }}
      </button>
      <button type="button" class="btn" (click)="begin(null)">Start empty</button>
    </header>
    <main class="grid min-h-0 flex-1 md:grid-cols-[minmax(0,1fr)_minmax(0,0.9fr)]">
      <div class="flex min-h-0 min-w-0 flex-col bg-sheet">
        <div class="min-h-0 flex-1 overflow-auto px-6 pt-1">
          <ol class="text-lg" aria-label="What you know">
            @for (sentence of sentences(); track $index) {
              <li class="flex gap-5 border-b border-rule py-2 leading-10">
                <span class="w-4 shrink-0 font-mono text-base text-ink-soft" aria-hidden="true">{{
                  $index + 1
                }}</span>
                <p>
                  @for (one of sentence; track $index) {
                    @if (one.ask) {
                      <fl-set-out-word
                        [ask]="one.ask"
                        [answers]="answers()"
                        [said]="draft().said.includes(one.ask)"
                        [text]="draft().typed[one.ask] ?? null"
                        [fault]="fault()?.ask === one.ask"
                        (chosen)="take($event)"
                      />
                    }
                    {{ one.words }}
                  }
                </p>
              </li>
            }
          </ol>
          <p class="py-2 text-sm text-ink-soft">
            The starting figures are common practice for an ordinary vehicle, not measurements of
            yours. The maker’s sheet and local rules come first.
          </p>
        </div>
        <footer
          class="sticky bottom-0 flex items-center gap-4 border-t border-rule bg-sheet px-6 py-4"
        >
          <div class="min-w-0 flex-1" aria-live="polite">
            @if (fault(); as wrong) {
              <p class="fault" role="alert">{{ wrong.message }}</p>
            } @else {
              <p class="font-semibold" data-test="sums">{{ sumWords() }}</p>
              <p class="text-sm text-ink-soft">{{ guessWords() }}</p>
            }
          </div>
          @if (waiting()) {
            <button type="button" class="btn" (click)="waiting.set(false)">Cancel</button>
          }
          <button
            type="button"
            class="btn-main min-h-14 px-8 text-lg"
            [disabled]="waiting() || kept() || fault() !== null"
            (click)="set()"
          >
            {{ waiting() ? 'Routing lines, ' + share() + ' %' : 'Set out the plan' }}
          </button>
        </footer>
      </div>
      @if (shown(); as plan) {
        <fl-set-out-picture
          class="max-md:h-[36rem]"
          [plan]="plan"
          [answers]="drawn()"
          [led]="found() !== null"
        />
      }
    </main>
  `,
})
export class SetOutPage {
  private readonly router = inject(Router);
  private readonly files = inject(PlanFiles);
  private readonly finder = inject(SetOutFinder);
  protected readonly draft = signal<Draft>(
    readDraft() ?? { answers: defaultsFor('van'), said: [], typed: {}, units: null },
  );
  private readonly last = signal<Plan | undefined>(undefined);
  readonly units = computed((): UnitSystem => this.draft().units ?? this.last()?.units ?? 'metric');
  protected readonly answers = computed(() => this.draft().answers);
  private readonly untaken = signal<Fault | null>(null);
  protected readonly waiting = signal(false);
  protected readonly kept = signal(false);

  private readonly asked = computed((): SetOut => ({
    answers: this.answers(),
    said: this.draft().said,
    name: 'New plan',
    units: this.units(),
    bench: this.last()?.bench,
  }));
  private readonly tried = computed((): Tried => {
    const asked = this.asked();
    try {
      return { plan: sketchOut(asked, NEW_PLAN), answers: asked.answers, fault: null };
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      return {
        plan: null,
        answers: asked.answers,
        fault: { ask: error.path as Ask, message: error.message },
      };
    }
  });
  /** What is drawn: while answers do not go together, the last that did. */
  private readonly sketch = linkedSignal<Tried, Tried>({
    source: this.tried,
    computation: (now, before) => (now.plan ? now : (before?.value ?? now)),
  });
  protected readonly drawn = computed(() => this.sketch().answers);
  protected readonly fault = computed(() => this.untaken() ?? this.tried().fault);
  protected readonly found = computed(() => {
    const asked = this.asked();
    return this.finder.isStale({ id: 'set-out', plan: asked })
      ? null
      : this.finder.foundFor('set-out');
  });
  protected readonly shown = computed(() => this.found()?.plan ?? this.sketch().plan);
  protected readonly share = computed(() => Math.round(100 * this.finder.share()));

  protected readonly sentences = computed(() =>
    sentencesFor(this.answers()).map((said) =>
      said.map((one, i): { ask: Ask | null; words: string } => {
        const next = said[i + 1];
        const closes = typeof next === 'string' && CLOSES.test(next);
        const gap = closes ? '' : ' ';
        return typeof one === 'string'
          ? { ask: null, words: one + gap }
          : { ask: one.ask, words: gap };
      }),
    ),
  );
  protected readonly sumWords = computed(() => {
    const sums = this.found()?.sums;
    const plan = this.shown();
    if (!sums)
      return plan
        ? `${count(plan.parts.length, 'part')}, ${count(plan.lines.length, 'line')}, ${count(plan.hoses.length, 'hose')}`
        : '';
    const tube = formatLengthUnit(sums.tubeMm, this.units());
    return `${count(sums.parts, 'part')}, ${count(sums.lines, 'line')}, ${count(sums.hoses, 'hose')}, ${this.units() === 'metric' ? `${figure(sums.tubeMm / 1000, 1)} m` : tube} of tube, ${count(sums.clips, 'clip')}`;
  });
  protected readonly guessWords = computed(() => {
    const sums = this.found()?.sums;
    if (!sums)
      return this.finder.busy()
        ? `Routing the lines, ${this.share()} %`
        : (this.finder.message() ?? '');
    const off = this.found()!.plan.comesOff ?? [];
    const comes = off.length
      ? ` Parts to remove: ${off.map((one) => one.toLowerCase()).join('; ')}.`
      : '';
    return `${sums.guesses} places are estimates. Next, see what to measure first.${comes}`;
  });

  constructor() {
    void this.files
      .last()
      .then((plan) => this.last.set(plan))
      .catch(() => undefined);
    effect(() => writeDraft(this.draft()));
    effect((clear) => {
      const asked = this.asked();
      untracked(() => this.finder.cancel());
      if (this.tried().fault) return;
      const rest = setTimeout(
        () => this.finder.look(asked, { id: 'set-out', plan: asked }),
        REST_MS,
      );
      clear(() => clearTimeout(rest));
    });
    // What was waited for is kept as soon as it is found.
    effect(() => {
      const found = this.found();
      if (found && this.waiting()) untracked(() => this.begin(found.plan));
    });
    effect(() => {
      if (this.finder.message()) this.waiting.set(false);
    });
  }

  protected take(word: Word): void {
    this.waiting.set(false);
    if (!word.ok) return this.untaken.set({ ask: word.ask, message: word.message });
    const { ask, value, text } = word;
    try {
      const { answers, said, typed } = this.draft();
      const now = new Set<Ask>([...said, ask]);
      const next = answered(answers, now, ask, value);
      this.draft.update((draft) => ({
        ...draft,
        answers: next,
        said: [...now],
        typed: { ...typed, [ask]: text ?? undefined },
      }));
      this.untaken.set(null);
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      this.untaken.set({ ask, message: error.message });
    }
  }
  protected swapUnits(): void {
    this.draft.update((draft) => ({
      ...draft,
      units: this.units() === 'metric' ? 'inch' : 'metric',
    }));
  }
  protected set(): void {
    if (this.fault()) return;
    const found = this.found();
    if (found) void this.begin(found.plan);
    else {
      this.waiting.set(true);
      if (!this.finder.busy())
        this.finder.look(this.asked(), { id: 'set-out', plan: this.asked() });
    }
  }
  /** Keeps the plan, or an empty one, and goes to it. */
  protected async begin(plan: Plan | null): Promise<void> {
    if (this.kept()) return;
    this.kept.set(true);
    try {
      const { id } = plan ? await this.files.begin(plan) : await this.files.create();
      writeDraft(null);
      // All places of a plan that was set out are guesses; an empty one has none yet.
      await this.router.navigate(['/plan', id, 'measure', plan ? 'first' : 'places']);
    } catch (error) {
      this.waiting.set(false);
      this.kept.set(false);
      this.untaken.set({
        ask: 'job',
        message: `The plan was not saved: ${(error as Error).message}`,
      });
    }
  }
  protected leave(event: Event): void {
    event.preventDefault();
    void this.router.navigate(['/']);
  }
}
