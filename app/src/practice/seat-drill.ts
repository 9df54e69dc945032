import { ChangeDetectionStrategy, Component, computed, signal } from '@angular/core';
import { drillQuestion, drillReasons } from '@firm-line/core/trade/ends';
import { SEAT_NAMES, type SeatForm } from '@firm-line/core/trade/stock';
import { JointSection } from '../stations/join/joint-section';

/** A drill for the learner: a port cut through and two readings; which thread, which seat. */
@Component({
  selector: 'fl-seat-drill',
  imports: [JointSection],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <div class="mx-auto grid max-w-5xl gap-4 p-4 lg:grid-cols-[1fr_24rem]">
      <p class="font-mono text-xl lg:col-span-2" aria-live="polite" data-test="score">
        {{ right() }} of {{ asked() }} right
      </p>
      <section class="card p-4" aria-label="The port">
        <h2 class="h2">A port, cut through</h2>
        <fl-joint-section class="h-80" [female]="question().port" />
        <dl class="mt-2 flex gap-10">
          <div>
            <dt class="label">Vernier, bore at the crests</dt>
            <dd class="font-mono text-3xl">{{ question().diameterMm.toFixed(2) }} mm</dd>
          </div>
          <div>
            <dt class="label">Pitch gauge</dt>
            <dd class="font-mono text-3xl">{{ question().pitchMm.toFixed(2) }} mm</dd>
          </div>
        </dl>
      </section>
      <section class="card p-4" aria-label="Your answer">
        <fieldset>
          <legend class="h2">Which thread?</legend>
          <div class="mt-1 grid grid-cols-2 gap-2">
            @for (name of question().threads; track $index) {
              <button
                type="button"
                [class]="look(name === thread(), name === question().port.thread)"
                [attr.aria-pressed]="name === thread()"
                [disabled]="answered()"
                (click)="thread.set(name)"
              >
                {{ name }}{{ mark(name === thread(), name === question().port.thread) }}
              </button>
            }
          </div>
        </fieldset>
        <fieldset class="mt-4">
          <legend class="h2">Which seat?</legend>
          <div class="mt-1 grid gap-2">
            @for (form of question().seats; track $index) {
              <button
                type="button"
                [class]="look(form === seat(), form === question().port.seat)"
                [attr.aria-pressed]="form === seat()"
                [disabled]="answered()"
                (click)="seat.set(form)"
              >
                {{ names[form] }}{{ mark(form === seat(), form === question().port.seat) }}
              </button>
            }
          </div>
        </fieldset>
        @if (answered()) {
          <div class="mt-4" role="status">
            <p
              class="text-lg font-bold"
              [class]="score() === 2 ? 'text-ok' : 'text-stop'"
              data-test="result"
            >
              {{ score() === 2 ? 'Both right.' : score() === 1 ? 'One right.' : 'Neither.' }}
            </p>
            <p class="mt-1">{{ reasons().thread }}</p>
            <p class="mt-1">{{ reasons().seat }}</p>
            <button type="button" class="btn-main mt-3" (click)="next()">Next</button>
          </div>
        } @else {
          <button
            type="button"
            class="btn-main mt-4"
            [disabled]="!thread() || !seat()"
            (click)="answer()"
          >
            Answer
          </button>
        }
      </section>
    </div>
  `,
})
export class SeatDrill {
  protected readonly names = SEAT_NAMES;
  protected readonly question = signal(drillQuestion(Math.random));
  protected readonly thread = signal<string | null>(null);
  protected readonly seat = signal<SeatForm | null>(null);
  protected readonly answered = signal(false);
  protected readonly right = signal(0);
  protected readonly asked = signal(0);
  protected readonly reasons = computed(() => drillReasons(this.question()));
  protected readonly score = computed(
    () =>
      Number(this.thread() === this.question().port.thread) +
      Number(this.seat() === this.question().port.seat),
  );

  protected answer(): void {
    this.answered.set(true);
    this.asked.update((n) => n + 2);
    this.right.update((n) => n + this.score());
  }
  protected next(): void {
    this.question.set(drillQuestion(Math.random));
    this.thread.set(null);
    this.seat.set(null);
    this.answered.set(false);
  }
  /** Before the answer the chosen stands out; after it, the right one and a wrong choice do, by color and by a sign. */
  protected look(chosen: boolean, right: boolean): string {
    if (!this.answered()) return chosen ? 'btn-dark' : 'btn';
    return right
      ? 'btn border-ok text-ok disabled:opacity-100'
      : chosen
        ? 'btn border-stop text-stop disabled:opacity-100'
        : 'btn';
  }
  protected mark(chosen: boolean, right: boolean): string {
    if (!this.answered()) return '';
    return right ? ' ✓' : chosen ? ' ✗' : '';
  }
}
