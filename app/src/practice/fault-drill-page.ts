import { ChangeDetectionStrategy, Component, computed, signal } from '@angular/core';
import {
  findFault,
  readPedal,
  READINGS,
  seen,
  trueVehicle,
  TRUE_FAULTS,
  type Evidence,
  type TrueFault,
} from '@firm-line/core/stations/prove';

const STEPS_MPA = [0.05, 0.1, 0.2, 0.4, 0.8, 1.5, 3, 5, 7];
const FAULT_NAMES: Record<TrueFault, string> = {
  none: 'No fault',
  air: 'Air',
  'flexing hose': 'Swelling hose',
  'wrong bore': 'Wrong bore',
  'weeping joint': 'Weeping joint',
  'sticking piston': 'Sticking piston',
  'swapped feed': 'Feed and outlet swapped',
  'closed compensating port': 'Pushrod closes the compensating port',
};
/** What a look said, in words. */
const EVIDENCE_WORDS: Partial<Record<keyof Evidence, readonly [yes: string, no: string]>> = {
  pumps: ['Comes up when pumped', 'Stays the same when pumped'],
  sinks: ['Sinks', 'Does not sink'],
  wet: ['One joint is wet', 'All joints dry'],
  drags: ['One wheel drags', 'All wheels turn freely'],
  dragsHot: ['Wheels drag when hot', 'Wheels turn freely, hot too'],
  fountain: ['A fountain in the reservoir', 'No fountain in the reservoir'],
};

/** A vehicle with a hidden fault: instruments cost minutes, and so does a wrong guess. */
@Component({
  selector: 'fl-fault-drill',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <div class="mx-auto grid max-w-5xl gap-4 p-4 lg:grid-cols-2">
      <section class="card p-4" aria-label="Instruments">
        <h2 class="h2">The pedal feels wrong. What do you check?</h2>
        <p class="mb-2 font-mono text-2xl" data-test="fault-minutes">{{ minutes() }} min</p>
        <div class="grid gap-2">
          @for (one of acts(); track one.act) {
            <button
              type="button"
              class="btn justify-between text-left"
              [disabled]="one.said !== '' || told() !== null"
              (click)="look(one.symptoms, one.minutes)"
            >
              <span>{{ one.act }}</span><span class="font-mono">{{
                one.said || one.minutes + ' min'
              }}</span>
            </button>
          }
        </div>
      </section>
      <section class="card p-4" aria-label="Your answer">
        <h2 class="h2">What is the fault?</h2>
        <div class="mt-1 grid gap-2 sm:grid-cols-2">
          @for (fault of faults; track fault) {
            <button
              type="button"
              class="min-h-14"
              [class]="told() === fault ? 'btn-dark min-h-14' : 'btn min-h-14'"
              [attr.aria-pressed]="told() === fault"
              [disabled]="told() !== null"
              (click)="told.set(fault)"
            >
              {{ names[fault] }}
            </button>
          }
        </div>
        @if (told(); as fault) {
          <div class="mt-3" role="status" data-test="fault-result">
            <p
              class="text-lg font-bold"
              [class]="fault === vehicle().fault ? 'text-ok' : 'text-stop'"
            >
              {{ fault === vehicle().fault ? 'Right' : 'No: ' + names[vehicle().fault] }}, after
              {{ minutes() }} minutes.
            </p>
            <p class="mt-1">From the same checks, the fault finder ranks: {{ finder() }}.</p>
            <button type="button" class="btn-main mt-3" (click)="fresh()">Another vehicle</button>
          </div>
        } @else {
          <p class="mt-3 text-sm text-ink-soft">
            A check is sometimes wrong, as in the workshop. Even a good pedal shows 5 to 10 mm of
            travel that looks like air.
          </p>
        }
      </section>
    </div>
  `,
})
export class FaultDrillPage {
  protected readonly faults = TRUE_FAULTS;
  protected readonly names = FAULT_NAMES;
  protected readonly vehicle = signal(trueVehicle(Math.random));
  private readonly all = computed(() =>
    seen(this.vehicle(), readPedal(this.vehicle(), STEPS_MPA, Math.random), Math.random),
  );
  protected readonly known = signal<Evidence>({});
  protected readonly minutes = signal(0);
  protected readonly told = signal<TrueFault | null>(null);
  protected readonly acts = computed(() => {
    const curve = ['airCostMm', 'flexCostMm', 'freePlayMm'] as const;
    const rest = READINGS.filter(
      ({ symptom }) => !(curve as readonly string[]).includes(symptom) && symptom in this.all(),
    );
    return [
      {
        act: 'Take a curve with gauge and sensor',
        minutes: 15,
        symptoms: curve as readonly (keyof Evidence)[],
        said:
          this.known().airCostMm === undefined
            ? ''
            : `air ${this.known().airCostMm!.toFixed(0)}, flex ${this.known().flexCostMm!.toFixed(0)}, play ${this.known().freePlayMm!.toFixed(0)} mm`,
      },
      ...rest.map(({ act, minutes, symptom }) => ({
        act,
        minutes,
        symptoms: [symptom] as readonly (keyof Evidence)[],
        said: this.words(symptom),
      })),
    ];
  });
  protected readonly finder = computed(() =>
    findFault(this.known())
      .ranked.slice(0, 2)
      .map(({ cause, share }) => `${cause} ${(100 * share).toFixed(0)} %`)
      .join(', '),
  );

  private words(symptom: keyof Evidence): string {
    const value = this.known()[symptom];
    if (value === undefined) return '';
    return typeof value === 'number'
      ? `${value.toFixed(2)} of the planned pressure`
      : EVIDENCE_WORDS[symptom]![value ? 0 : 1];
  }
  protected look(symptoms: readonly (keyof Evidence)[], minutes: number): void {
    const all = this.all();
    this.known.update((known) => ({
      ...known,
      ...Object.fromEntries(symptoms.map((symptom) => [symptom, all[symptom]])),
    }));
    this.minutes.update((sum) => sum + minutes);
  }
  protected fresh(): void {
    this.vehicle.set(trueVehicle(Math.random));
    this.known.set({});
    this.minutes.set(0);
    this.told.set(null);
  }
}
