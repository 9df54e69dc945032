import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { methodById } from '@firm-line/core/stations/fill';
import { CAME_OUT, type CameOutAs, type FillRun, type RunEvent } from '@firm-line/core/plan';
import { FillFacade } from './fill-facade';
import type { RunState } from './run-words';

const OUT_NAMES: Record<CameOutAs, string> = {
  bubbles: 'Bubbles',
  froth: 'Fine foam',
  clear: 'Clear',
  dirty: 'Dirty',
};

/** What went through the bleeder at hand, what is left in the reservoir, and what came out. */
@Component({
  selector: 'fl-run-readings',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="grid gap-4 sm:grid-cols-2">
      <section class="card contain-content p-4" aria-label="Through this bleeder">
        <h3 class="text-sm text-ink-soft">Through this bleeder</h3>
        <p>
          <span class="font-mono text-5xl" data-test="through">{{ sheet.whole(corner().ml) }}</span>
          <span class="ml-2 font-mono">of {{ sheet.ml(wanted()) }}</span>
        </p>
        <div class="mt-2 h-4 rounded-full bg-rule" aria-hidden="true">
          <div class="h-4 rounded-full bg-fluid" [style.width.%]="share(corner().ml)"></div>
        </div>
        <p class="mt-1 text-sm">{{ corner().strokes }} {{ flows() ? 'readings' : 'strokes' }}</p>
      </section>
      <section class="card contain-content p-4" aria-label="Reservoir">
        <h3 class="text-sm text-ink-soft">Reservoir, calculated from the volume bled</h3>
        <p>
          <span class="font-mono text-5xl" data-test="reservoir">{{
            sheet.whole(state().reservoirMl)
          }}</span>
          <span class="ml-2 font-mono">{{ sheet.unit() }} left</span>
        </p>
        <p
          class="mt-1 font-semibold"
          [class]="state().phase === 'low' ? 'text-stop' : 'text-ink-soft'"
        >
          {{
            state().phase === 'low'
              ? '✗ At the mark. Top up to go on.'
              : 'Top up at ' + sheet.ml(run().markMl) + '.'
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
            [class.border-fluid]="corner().out === out"
            [class.bg-fluid-pale]="corner().out === out"
            [attr.aria-pressed]="corner().out === out"
            (click)="told.emit({ act: 'out', out })"
          >
            {{ outNames[out] }}{{ corner().out === out ? ' ✓' : '' }}
          </button>
        }
      </div>
    </section>
  `,
})
export class RunReadings {
  protected readonly sheet = inject(FillFacade);
  readonly run = input.required<FillRun>();
  readonly state = input.required<RunState>();
  readonly corner = input.required<RunState['corners'][number]>();
  readonly told = output<Omit<RunEvent, 'at'>>();
  protected readonly outs = CAME_OUT;
  protected readonly outNames = OUT_NAMES;
  protected readonly flows = computed(() => methodById(this.run().method).flows === true);
  protected readonly wanted = computed(() => this.run().flushMl[this.state().step] ?? 0);

  protected share(ml: number): number {
    return this.wanted() ? Math.min(100, (100 * ml) / this.wanted()) : 100;
  }
}
