import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  inject,
  input,
  output,
  signal,
} from '@angular/core';
import { RouterLink } from '@angular/router';
import { methodById, type AirNow } from '@firm-line/core/stations/fill';
import type { FillRun, RunEvent } from '@firm-line/core/plan';
import type { BleedView } from '@firm-line/core/plan/results';
import { TextField } from '../../kit/fields/text-field';
import { FillFacade } from './fill-facade';
import { speaker } from './run-means';
import { airWhere, softCauses, type RunState } from './run-words';

/** Beside a run: its time, a voice, a note into the log, what to look at where the pedal stays soft, and how it ends. */
@Component({
  selector: 'fl-run-beside',
  imports: [RouterLink, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { role: 'complementary', 'aria-label': 'Beside the run' },
  template: `
    <p>
      <span class="label block">Time so far</span
      ><span class="font-mono text-3xl" data-test="time">{{ elapsed() }}</span>
    </p>
    <div class="flex flex-wrap gap-2 xl:flex-col">
      <button type="button" class="btn" (click)="wholeScreen.emit()">Tap anywhere to go on</button>
      @if (voice.can) {
        <button type="button" class="btn" [attr.aria-pressed]="voice.on()" (click)="voice.toggle()">
          {{ voice.on() ? 'Turn voice off' : 'Turn voice on' }}
        </button>
      }
    </div>
    <p class="text-sm text-ink-soft">
      The space bar, or a foot switch that types a space, also moves on. The screen stays lit. No
      network needed.
    </p>
    <fl-text-field
      field="run-note"
      label="Note for the log"
      [limits]="{ least: 0, most: 500 }"
      [value]="''"
      (changed)="note($event)"
    />
    <p class="text-sm">{{ beware() }} Never reuse fluid that was bled out.</p>
    @if (state().phase === 'done' && state().felt !== 'firm' && state().felt !== null) {
      <h3 class="font-bold">Still not firm</h3>
      <ol class="flex list-decimal flex-col gap-1 pl-5 text-sm" data-test="soft">
        @for (cause of soft(); track cause) {
          <li>{{ cause }}</li>
        }
      </ol>
      <a class="btn" routerLink="../../prove">Test for air or flex in Prove</a>
    }
    <div class="mt-auto flex flex-wrap gap-2">
      @if (state().phase === 'done') {
        <button type="button" class="btn" (click)="again.emit()">Start another run</button>
      } @else {
        <button type="button" class="btn" (click)="told.emit({ act: 'finish' })">
          End the run here
        </button>
        <button type="button" class="btn" (click)="drop()">Discard this run</button>
      }
    </div>
    <p class="text-sm text-ink-soft">
      The makers’ sheets and local rules come first. Never drive on a soft pedal. A qualified person
      checks the brakes before road use.
    </p>
  `,
})
export class RunBeside {
  private readonly sheet = inject(FillFacade);
  readonly run = input.required<FillRun>();
  readonly state = input.required<RunState>();
  readonly work = input.required<BleedView | null>();
  readonly air = input.required<AirNow | null>();
  /** The instruction at hand, which the voice speaks. */
  readonly said = input.required<string>();
  readonly wholeScreen = output();
  readonly told = output<Omit<RunEvent, 'at'>>();
  readonly again = output();
  protected readonly beware = computed(() => methodById(this.run().method).beware);
  protected readonly soft = computed(() => {
    const work = this.work();
    return softCauses(this.state().felt, this.air(), (air) => {
      const where = work ? airWhere(air, work, this.sheet.view()) : '';
      return `${this.sheet.ml(air.airMl)} of air still in the lines${where}`;
    });
  });
  private readonly clock = signal(Date.now());
  protected readonly elapsed = computed(() => {
    const { seconds, atS, phase } = this.state();
    const isAtRest = phase === 'paused' || phase === 'done';
    const all = seconds + (isAtRest ? 0 : Math.max(0, this.clock() / 1000 - atS));
    return `${Math.floor(all / 60)}:${String(Math.floor(all % 60)).padStart(2, '0')}`;
  });
  protected readonly voice = speaker(computed(() => `${this.said()}.`));

  constructor() {
    const tick = setInterval(() => this.clock.set(Date.now()), 1000);
    inject(DestroyRef).onDestroy(() => clearInterval(tick));
  }

  protected drop(): void {
    this.sheet.apply({ edit: 'removeFillRun', with: { id: this.run().id } });
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
    this.sheet.apply({ edit: 'recordLogEntry', with: { entry } });
  }
}
