import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { methodById, type AirNow } from '@firm-line/core/stations/fill';
import type { FillRun } from '@firm-line/core/plan';
import type { BleedView } from '@firm-line/core/plan/results';
import { FillDiagram } from './fill-diagram';
import { FillFacade } from './fill-facade';
import { airWhere, bleederNow, type RunState } from './run-words';

/** Where a run stands: the circuit with its air, and each bleeder with what came out of it. */
@Component({
  selector: 'fl-run-where',
  imports: [FillDiagram],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { role: 'complementary', 'aria-label': 'Where we are', class: 'block' },
  template: `
    <h2 class="h2">
      {{ run().work === 'clutch' ? 'Clutch' : 'Brakes' }}: {{ method().name.toLowerCase() }}
    </h2>
    <p class="text-sm text-ink-soft">Estimated: {{ airWords() }}.</p>
    @if (work(); as work) {
      <fl-fill-diagram
        class="my-2 block"
        [bleeding]="[work]"
        [now]="now()"
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
  `,
})
export class RunWhere {
  protected readonly sheet = inject(FillFacade);
  readonly run = input.required<FillRun>();
  readonly state = input.required<RunState>();
  readonly work = input.required<BleedView | null>();
  readonly air = input.required<AirNow | null>();
  protected readonly method = computed(() => methodById(this.run().method));
  protected readonly now = computed(() => bleederNow(this.state())?.portId ?? null);
  protected readonly done = computed(() => this.run().order.slice(0, this.state().step));
  protected readonly airWords = computed(() => {
    const [air, work] = [this.air(), this.work()];
    if (!air) return '…';
    return `${this.sheet.ml(air.airMl)} of air left${work ? airWhere(air, work, this.sheet.view()) : ''}`;
  });
  protected readonly rows = computed(() => {
    const { corners, step, phase } = this.state();
    return corners.map(({ portId, ml, out }, i) => {
      const isAgain = corners.findIndex((one) => one.portId === portId) < i;
      const isNow = i === step && phase !== 'done';
      return {
        name: `${this.sheet.name(portId)}${isAgain ? ', again' : ''}`,
        ml: ml ? this.sheet.ml(ml) : '',
        now: isNow,
        word: isNow ? 'now' : i < step ? (out ?? 'done') : '',
      };
    });
  });
}
