import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  linkedSignal,
  signal,
} from '@angular/core';
import { RouterLink } from '@angular/router';
import { TEST_GROUPS, type ProvingTest } from '@firm-line/core/stations/prove';
import { EmptyState } from '../../kit/empty-state';
import { ListRow } from '../../kit/list-row';
import { SCREENS } from '../registry';
import { AirTestForm } from './air-test-form';
import { HoldForm } from './hold-form';
import { PedalForm } from './pedal-form';
import { ProveFacade } from './prove-facade';
import { Words } from '../../kit/words';

const SIGNS: Record<ProvingTest['state'], readonly [sign: string, word: string, ink: string]> = {
  done: ['✓', 'good', 'text-ok'],
  bad: ['✗', 'not good', 'text-stop'],
  void: ['▲', 'void', 'text-caution'],
  open: ['○', 'open', 'text-copper'],
  locked: ['·', 'waits', 'text-ink-soft'],
};

/** The rounds that are walked: each with how it is done, what is good, and what was found. */
@Component({
  selector: 'fl-rounds-page',
  imports: [Words, AirTestForm, EmptyState, HoldForm, ListRow, PedalForm, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    @if (sheet.rounds().length) {
      <div class="grid min-h-full md:grid-cols-[19rem_minmax(0,1fr)]">
        <aside class="border-r border-rule bg-sheet py-3" aria-label="Tests">
          <p class="px-4 text-sm text-ink-soft">
            {{ done() }} of {{ sheet.rounds().length }} passed.
          </p>
          @for (group of groups(); track group.name) {
            <h2 class="px-4 pt-3 font-bold">{{ group.name }}</h2>
            <ul>
              @for (round of group.rounds; track round.key) {
                <li class="border-t border-rule px-2">
                  <button
                    [flListRow]="round.key === chosen()?.key"
                    [attr.data-round]="round.key"
                    (click)="key.set(round.key)"
                  >
                    <span
                      class="w-6 text-center font-bold"
                      [class]="signs[round.state][2]"
                      aria-hidden="true"
                      >{{ signs[round.state][0] }}</span
                    >
                    <span class="min-w-0 flex-1"
                      ><span class="block font-semibold">{{ round.name }}</span
                      ><span class="block text-sm">{{
                        round.state === 'locked' ? 'after: ' + round.after : signs[round.state][1]
                      }}</span></span
                    >
                  </button>
                </li>
              }
            </ul>
          }
        </aside>
        <div
          class="flex min-w-0 flex-col gap-5 self-start p-5 md:sticky md:top-0 md:max-h-dvh md:overflow-auto"
        >
          @if (chosen(); as round) {
            <section class="card p-5" aria-label="Test" data-test="round">
              <h2 class="text-2xl font-bold">{{ round.name }}</h2>
              <ul
                class="mt-2 flex flex-col gap-1 text-lg"
                [class.list-disc]="steps().length > 1"
                [class.pl-5]="steps().length > 1"
              >
                @for (step of steps(); track step) {
                  <li><fl-words [text]="step" /></li>
                }
              </ul>
              @if (round.note) {
                <p class="mt-2 font-semibold">
                  <span [class]="signs[round.state][2]" aria-hidden="true">{{
                    signs[round.state][0]
                  }}</span>
                  {{ round.note }}
                </p>
              }
              @if (round.hold; as hold) {
                <fl-hold-form class="mt-4" [ask]="hold" [rests]="round.rests" />
              } @else if (round.reading; as reading) {
                <p class="mt-4">
                  Judged by its readings.
                  @if (reading.screen) {
                    <a class="link" [routerLink]="'../../' + reading.screen" data-test="reading"
                      >Enter them in {{ nameOf(reading.screen) }}</a
                    >
                  }
                </p>
              } @else {
                @if (round.looks.length) {
                  <ul class="mt-3" aria-label="Each place">
                    @for (look of round.looks; track look.key) {
                      <li
                        class="flex flex-wrap items-center gap-3 border-t border-rule py-2"
                        [attr.data-look]="look.key"
                      >
                        <span
                          class="w-5 text-center font-bold"
                          [class]="signs[look.state][2]"
                          aria-hidden="true"
                          >{{ signs[look.state][0] }}</span
                        >
                        <span class="min-w-0 flex-1"
                          ><span class="block text-lg">{{ look.name }}</span
                          ><span class="block text-sm"
                            >{{
                              look.state === 'done'
                                ? round.words.good.toLowerCase()
                                : look.state === 'bad'
                                  ? round.words.bad.toLowerCase()
                                  : look.state === 'void'
                                    ? 'void'
                                    : 'not checked'
                            }}{{ look.note ? ': ' + look.note : '' }}</span
                          ></span
                        >
                        <button
                          type="button"
                          class="min-h-12 px-6"
                          [class]="look.state === 'done' ? 'btn-dark' : 'btn'"
                          [attr.aria-pressed]="look.state === 'done'"
                          [attr.aria-label]="look.name + ': ' + round.words.good.toLowerCase()"
                          (click)="tell(round, true, look.key)"
                        >
                          {{ round.words.good }}
                        </button>
                        <button
                          type="button"
                          class="min-h-12 px-6"
                          [class]="look.state === 'bad' ? 'btn-dark' : 'btn'"
                          [attr.aria-pressed]="look.state === 'bad'"
                          [attr.aria-label]="look.name + ': ' + round.words.bad.toLowerCase()"
                          (click)="tell(round, false, look.key)"
                        >
                          {{ round.words.bad }}
                        </button>
                      </li>
                    }
                  </ul>
                }
                <div class="mt-4">
                  <label class="label block" for="round-note">Observation</label
                  ><input
                    #noted
                    id="round-note"
                    class="field w-full"
                    maxlength="500"
                    [value]="note()"
                    (input)="note.set(noted.value)"
                  />
                </div>
                <div class="mt-3 flex flex-wrap gap-3">
                  @if (!round.looks.length) {
                    <button
                      type="button"
                      class="btn-main min-h-16 px-8 text-xl"
                      (click)="tell(round, true)"
                    >
                      Good
                    </button>
                    <button
                      type="button"
                      class="btn min-h-16 px-8 text-xl"
                      (click)="tell(round, false)"
                    >
                      Not good
                    </button>
                  }
                  @if (isTold(round)) {
                    <button type="button" class="btn min-h-16" (click)="forget(round)">Undo</button>
                  }
                </div>
                @if (round.state === 'locked') {
                  <p class="mt-2 text-sm">▲ Do this first: {{ round.after }}.</p>
                }
              }
            </section>
          }
          <fl-pedal-form />
          <fl-air-test-form />
          <p class="max-w-prose text-sm text-ink-soft">
            Brakes can kill. These tests are common practice. The makers’ sheets and local rules
            come first, and a qualified person inspects before road use.
          </p>
        </div>
      </div>
    } @else {
      <fl-empty-state
        heading="Nothing to prove yet"
        text="This page lists the tests to pass: pressure, leaks, grip, release, stops. It needs lines from a master cylinder to brakes."
      >
        <a class="btn-main" routerLink="../../route">Go to Route</a>
      </fl-empty-state>
    }
  `,
})
export class RoundsPage {
  protected readonly sheet = inject(ProveFacade);
  protected readonly signs = SIGNS;
  protected nameOf(screen: string): string {
    return SCREENS.find(({ path }) => path === screen)!.name;
  }
  protected readonly groups = computed(() =>
    TEST_GROUPS.map((name) => ({
      name,
      rounds: this.sheet.rounds().filter(({ group }) => group === name),
    })).filter(({ rounds }) => rounds.length),
  );
  protected readonly done = computed(
    () => this.sheet.rounds().filter(({ state }) => state === 'done').length,
  );
  protected readonly key = signal<string | null>(null);
  /** How the chosen one is done, a point each. */
  protected readonly steps = computed(() => this.chosen()?.how.split('\n') ?? []);
  protected readonly chosen = computed((): ProvingTest | null => {
    const rounds = this.sheet.rounds();
    return (
      rounds.find(({ key }) => key === this.key()) ??
      rounds.find(({ state }) => state !== 'done' && state !== 'locked') ??
      rounds[0] ??
      null
    );
  });
  /** Begun anew with every round. */
  protected readonly note = linkedSignal({
    source: () => this.chosen()?.key,
    computation: () => '',
  });

  /** Tells a round, or one place of it; a place is stayed with until all of its round are told. */
  protected tell(round: ProvingTest, good: boolean, look?: string): void {
    this.key.set(
      good && (!look || round.looks.every(({ key, state }) => key === look || state === 'done'))
        ? null
        : round.key,
    );
    this.sheet.apply({
      edit: 'putRecordedTest',
      with: {
        recordedTest: {
          key: look ?? round.key,
          at: new Date().toISOString(),
          good,
          note: this.note().trim(),
          rests: round.rests,
        },
      },
    });
    this.note.set('');
  }
  protected isTold({ state, looks }: ProvingTest): boolean {
    return looks.length
      ? looks.some((look) => look.state !== 'open')
      : state !== 'open' && state !== 'locked';
  }
  protected forget(round: ProvingTest): void {
    this.sheet.apply({ edit: 'clearTest', with: { key: round.key } });
  }
}
