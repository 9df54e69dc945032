import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import {
  causeRow,
  checkKey,
  checkRow,
  circuitDigest,
  findFault,
  fittedOn,
  recordedEvidence,
  SYMPTOMS,
  type CheckRow,
  type Evidence,
  type Symptom,
} from '@firm-line/core/stations/prove';
import { YesNoField } from '../../kit/fields/yes-no-field';
import { PlanStore } from '../../session/plan-store';
import { ProveFacade } from './prove-facade';

/** As many causes are shown. */
const SHOWN = 5;
/** Less than this is not worth a row. */
const LEAST_SHOWN = 0.02;
/** Checks that are read off records and tests, and entered there. */
const READ_OFF: ReadonlySet<Symptom> = new Set([
  ...SYMPTOMS.filter((symptom) => checkRow(symptom).group === 'Curve'),
  'pistonStill',
]);
const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** What a soft, long or hard pedal may come from, by its curve and by everything else that was checked, and what to check next. */
@Component({
  selector: 'fl-fault-finder',
  imports: [YesNoField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { role: 'complementary', 'aria-label': 'Fault finder' },
  template: `
    <section class="card p-4">
      <p class="eyebrow">Fault finder</p>
      <h2 class="text-2xl font-bold" data-test="fault">{{ title() }}</h2>
      @for (reason of reasons(); track reason) {
        <p class="text-sm text-ink-soft">{{ reason }}</p>
      }
      <ul class="mt-2" data-test="causes">
        @for (one of rows(); track one.name) {
          <li class="py-1">
            <span class="flex justify-between gap-2"
              ><span>{{ one.name }}</span
              ><span class="font-mono">{{ one.percent }} %</span></span
            >
            <span class="mt-0.5 block h-2 bg-rule" aria-hidden="true"
              ><span
                class="block h-2"
                [class]="one.good ? 'bg-ok' : 'bg-copper'"
                [style.width.%]="one.percent"
              ></span
            ></span>
          </li>
        }
      </ul>
      @if (fault().next; as next) {
        <div class="mt-3 border-t border-rule pt-3" data-test="next">
          <p class="font-semibold">Next, {{ next.minutes }} min: {{ next.act }}</p>
          @if (!readOff(next.symptom)) {
            <div class="mt-2 flex gap-2">
              <button type="button" class="btn min-h-14 flex-1" (click)="see(next.symptom, true)">
                {{ capital(row(next.symptom).yes) }}
              </button>
              <button type="button" class="btn min-h-14 flex-1" (click)="see(next.symptom, false)">
                {{ capital(row(next.symptom).no) }}
              </button>
            </div>
          }
        </div>
      }
      <p class="mt-3 text-sm text-ink-soft">
        Chances are our judgement, from common practice; several faults may be there at once. Never
        drive on a soft pedal, whatever this list shows.
      </p>
    </section>
    @for (group of groups(); track group.name) {
      <details class="card p-4" [open]="group.answered">
        <summary class="min-h-tap cursor-pointer font-bold">
          {{ group.name }}: {{ group.done }} of {{ group.checks.length }} checked
        </summary>
        <div class="mt-2 flex flex-col gap-2">
          @for (one of group.checks; track one.symptom) {
            @if (readOff(one.symptom)) {
              <p class="text-sm" [attr.data-read]="one.symptom">
                {{ one.label }}:
                <strong>{{
                  one.is === undefined ? 'not read yet' : one.is ? one.yes : one.no
                }}</strong>
              </p>
            } @else {
              <fl-yes-no-field
                [field]="'seen-' + one.symptom"
                [label]="one.label"
                [yes]="one.yes"
                [no]="one.no"
                [value]="one.is ?? null"
                (changed)="see(one.symptom, $event)"
              />
            }
          }
        </div>
      </details>
    }
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
  `,
})
export class FaultFinder {
  private readonly store = inject(PlanStore);
  private readonly sheet = inject(ProveFacade);
  readonly circuitId = input.required<string>();
  /** What the readings on the screen tell, before they are saved. */
  readonly curve = input.required<Evidence>();
  protected readonly row = checkRow;
  protected readonly capital = capital;
  private readonly circuit = computed(() =>
    this.store.plan().circuits.find(({ id }) => id === this.circuitId())!,
  );
  private readonly known = computed((): Evidence => ({
    ...recordedEvidence(this.circuit(), this.sheet.view()),
    ...this.curve(),
  }));
  private readonly fitted = computed(() => fittedOn(this.circuit(), this.sheet.view()));
  protected readonly fault = computed(() => findFault(this.known(), this.fitted()));
  protected readonly title = computed(() => {
    const { verdict, ranked } = this.fault();
    return verdict === 'sound'
      ? 'No fault found so far'
      : verdict === 'named'
        ? capital(causeRow(ranked[0]!.cause).words)
        : 'Cannot tell yet';
  });
  protected readonly reasons = computed(() => {
    const { verdict, ranked } = this.fault();
    return verdict === 'named' ? ranked[0]!.reasons.map((why) => `${capital(why)}.`) : [];
  });
  protected readonly rows = computed(() => {
    const { ranked, sound } = this.fault();
    return [
      { name: 'Nothing wrong', chance: sound, good: true },
      ...ranked
        .slice(0, SHOWN)
        .filter(({ chance }) => chance >= LEAST_SHOWN)
        .map(({ cause, chance }) => ({
          name: capital(causeRow(cause).words),
          chance,
          good: false,
        })),
    ].map((one) => ({ ...one, percent: Math.round(100 * one.chance) }));
  });
  protected readonly groups = computed(() => {
    const known = this.known();
    const checks = SYMPTOMS.map((symptom) => ({
      symptom,
      ...checkRow(symptom),
      is: known[symptom],
    })).filter(({ needs }: Pick<CheckRow, 'needs'>) => !needs || this.fitted().has(needs));
    return [...new Set(checks.map(({ group }) => group))].map((name) => {
      const own = checks.filter(({ group }) => group === name);
      const done = own.filter(({ is }) => is !== undefined).length;
      return { name, checks: own, done, answered: done > 0 };
    });
  });
  protected readonly modulators = computed(() =>
    this.store.plan().parts.filter(({ kind }) => kind === 'modulator'),
  );
  protected readonly scanned = signal('');

  protected readOff(symptom: Symptom): boolean {
    return READ_OFF.has(symptom);
  }
  protected see(symptom: Symptom, is: boolean | null): void {
    const key = checkKey(this.circuitId(), symptom);
    this.sheet.apply(
      is === null
        ? { edit: 'clearTest', with: { key } }
        : {
            edit: 'putRecordedTest',
            with: {
              recordedTest: {
                key,
                at: new Date().toISOString(),
                good: !is,
                note: '',
                rests: circuitDigest(this.circuit(), this.sheet.view()),
              },
            },
          },
    );
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
