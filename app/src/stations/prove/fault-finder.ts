import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { findFault, type Evidence } from '@firm-line/core/stations/prove';
import { OptionalNumberField } from '../../kit/fields/optional-number-field';
import { YesNoField } from '../../kit/fields/yes-no-field';
import { PlanStore } from '../../session/plan-store';

const ASKED: readonly {
  readonly key:
    'pumps' | 'sinks' | 'wet' | 'drags' | 'dragsHot' | 'fountain' | 'firmPlugged' | 'drumsUp';
  readonly label: string;
  readonly yes: string;
  readonly no: string;
}[] = [
  { key: 'pumps', label: 'Pumped three times', yes: 'pedal comes up', no: 'pedal stays' },
  { key: 'sinks', label: 'Held for a minute', yes: 'pedal sinks', no: 'pedal stays' },
  { key: 'wet', label: 'A rag at every joint', yes: 'one is wet', no: 'all dry' },
  { key: 'drags', label: 'Wheels, pedal up', yes: 'one drags', no: 'all free' },
  { key: 'dragsHot', label: 'Wheels, after heat', yes: 'wheels drag', no: 'all free' },
  { key: 'fountain', label: 'Reservoir, pedal going down', yes: 'a fountain', no: 'still' },
  { key: 'firmPlugged', label: 'Circuit plugged off', yes: 'firm', no: 'still soft' },
  { key: 'drumsUp', label: 'Drums', yes: 'adjusted up', no: 'not adjusted' },
];

/** What a soft or long pedal may come from, by its curve and by what else was seen, and what to look at next. */
@Component({
  selector: 'fl-fault-finder',
  imports: [OptionalNumberField, YesNoField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { role: 'complementary', 'aria-label': 'Possible faults' },
  template: `
    <section class="card p-4">
      <h2 class="h2">
        {{ isFirm() ? 'Fault finder' : 'Possible faults' }}
      </h2>
      <table class="mt-1 w-full" data-test="causes">
        <tbody>
          @for (one of fault().ranked.slice(0, 4); track one.cause) {
            <tr class="border-t border-rule">
              <td class="py-1">{{ one.cause }}</td>
              <td class="text-right font-mono">{{ (100 * one.share).toFixed(0) }} %</td>
            </tr>
          }
        </tbody>
      </table>
      <p class="mt-2 text-sm">
        {{ fault().told ? 'The first is clearly the most likely.' : 'Cannot tell yet.' }}
      </p>
      @if (fault().next; as next) {
        <p class="mt-2 font-semibold" data-test="next">
          Next, {{ next.minutes }} min: {{ next.act }}
        </p>
      }
    </section>
    <section class="card flex flex-col gap-2 p-4" aria-label="Observations">
      <h2 class="h2">Observations</h2>
      @for (one of asked; track one.key) {
        <fl-yes-no-field
          [field]="'seen-' + one.key"
          [label]="one.label"
          [yes]="one.yes"
          [no]="one.no"
          [value]="known()[one.key] ?? null"
          (changed)="see(one.key, $event)"
        />
      }
      <fl-optional-number-field
        label="Pressure measured over planned"
        [value]="known().pressureRatio ?? null"
        none="not measured"
        [least]="0"
        [most]="10"
        (changed)="ratio($event)"
      />
    </section>
    <section class="card p-4" aria-label="Scan tool">
      <h2 class="h2">Scan tool, simulated</h2>
      @for (one of modulators(); track one.id) {
        <button type="button" class="btn mt-1 w-full" (click)="scan(one.id)">
          Cycle {{ one.name }}
        </button>
      } @empty {
        <p class="text-sm text-ink-soft">No modulator in this plan.</p>
      }
      @if (scanned()) {
        <p class="mt-1 text-sm" role="status">{{ scanned() }}</p>
      }
    </section>
    <p class="text-sm text-ink-soft">
      Shares are our judgement, from common practice. Never drive on a soft pedal, whatever this
      list shows.
    </p>
  `,
})
export class FaultFinder {
  private readonly store = inject(PlanStore);
  /** What the curve tells. */
  readonly curve = input.required<Evidence>();
  readonly isFirm = input.required<boolean>();
  protected readonly asked = ASKED;
  protected readonly known = signal<Evidence>({});
  protected readonly fault = computed(() => findFault({ ...this.curve(), ...this.known() }));
  protected readonly modulators = computed(() =>
    this.store.plan().parts.filter(({ kind }) => kind === 'modulator'),
  );
  protected readonly scanned = signal('');

  protected see(key: (typeof ASKED)[number]['key'], is: boolean | null): void {
    const { [key]: _gone, ...rest } = this.known();
    this.known.set(is === null ? rest : { ...rest, [key]: is });
  }
  protected ratio(value: number | null): void {
    const { pressureRatio: _gone, ...rest } = this.known();
    this.known.set(value === null ? rest : { ...rest, pressureRatio: value });
  }
  protected async scan(part: string): Promise<void> {
    try {
      const answer = (await (await fetch(`/api/scan/${encodeURIComponent(part)}`)).json()) as {
        supported: boolean;
        words: string;
      };
      this.scanned.set(`${answer.supported ? '✓' : '▲ Not supported:'} ${answer.words}`);
    } catch {
      this.scanned.set('The scan tool does not answer.');
    }
  }
}
