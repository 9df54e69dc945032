import { ChangeDetectionStrategy, Component, computed, signal } from '@angular/core';
import {
  againstBuilt,
  causeRow,
  checkRow,
  CURVE_MPA,
  curveEvidence,
  findFault,
  judgeCurve,
  readPedal,
  seen,
  SYMPTOMS,
  trueVehicle,
  TRUE_FAULT_NAMES,
  type Evidence,
  type Symptom,
  type TrueFault,
} from '@firm-line/core/stations/prove';

type Answer = TrueFault | 'none';
const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
const nameOf = (fault: Answer): string =>
  fault === 'none' ? 'Nothing: the pedal is sound' : capital(causeRow(fault).words);
const ANSWERS: readonly Answer[] = [...TRUE_FAULT_NAMES, 'none'];
/** A vehicle with one fault, or none of them. */
function hidden() {
  const answer = ANSWERS[Math.floor(Math.random() * ANSWERS.length)]!;
  return { answer, vehicle: trueVehicle(Math.random, answer === 'none' ? [] : [answer]) };
}
const isCurve = (symptom: Symptom): boolean => checkRow(symptom).group === 'Curve';

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
          @for (fault of answers; track fault.value) {
            <button
              type="button"
              class="min-h-14"
              [class]="told() === fault.value ? 'btn-dark min-h-14' : 'btn min-h-14'"
              [attr.aria-pressed]="told() === fault.value"
              [disabled]="told() !== null"
              (click)="told.set(fault.value)"
            >
              {{ fault.name }}
            </button>
          }
        </div>
        @if (told(); as fault) {
          <div class="mt-3" role="status" data-test="fault-result">
            <p
              class="text-lg font-bold"
              [class]="fault === truth().answer ? 'text-ok' : 'text-stop'"
            >
              {{ fault === truth().answer ? 'Right' : 'No: ' + truthName() }}, after
              {{ minutes() }} minutes.
            </p>
            <p class="mt-1">From the same checks, the fault finder ranks: {{ finder() }}.</p>
            <button type="button" class="btn-main mt-3" (click)="fresh()">Another vehicle</button>
          </div>
        } @else {
          <p class="mt-3 text-sm text-ink-soft">
            A check is sometimes wrong, as in the workshop. Some faults are slight and do not show
            at every check.
          </p>
        }
      </section>
    </div>
  `,
})
export class FaultDrillPage {
  protected readonly answers = ANSWERS.map((value) => ({ value, name: nameOf(value) }));
  protected readonly truth = signal(hidden());
  protected readonly truthName = computed(() => nameOf(this.truth().answer));
  private readonly all = computed((): Evidence => {
    const { vehicle } = this.truth();
    const points = readPedal(vehicle, CURVE_MPA, Math.random);
    const against = againstBuilt(vehicle);
    const fit = judgeCurve({ ...vehicle, sigmaMm: 0.3, points }, undefined, against)!;
    return { ...seen(vehicle, Math.random), ...curveEvidence(fit, against) };
  });
  protected readonly known = signal<Evidence>({});
  protected readonly curveTaken = signal(false);
  protected readonly minutes = signal(0);
  protected readonly told = signal<Answer | null>(null);
  protected readonly acts = computed(() => {
    const curve = SYMPTOMS.filter(isCurve);
    const rest = SYMPTOMS.filter((symptom) => !isCurve(symptom) && symptom in this.all());
    const { act, minutes } = checkRow('curveAir');
    return [
      { act, minutes, symptoms: curve, said: this.curveTaken() ? this.curveWords(curve) : '' },
      ...rest.map((symptom) => ({
        ...checkRow(symptom),
        symptoms: [symptom],
        said: this.words(symptom),
      })),
    ];
  });
  protected readonly finder = computed(() =>
    findFault(this.known())
      .ranked.slice(0, 2)
      .map(({ cause, chance }) => `${causeRow(cause).words} ${(100 * chance).toFixed(0)} %`)
      .join(', '),
  );

  private words(symptom: Symptom): string {
    const is = this.known()[symptom];
    const { yes, no } = checkRow(symptom);
    return is === undefined ? '' : is ? yes : no;
  }
  private curveWords(symptoms: readonly Symptom[]): string {
    const over = symptoms.filter((symptom) => this.known()[symptom]);
    return over.map((symptom) => checkRow(symptom).yes).join(', ') || 'as calculated';
  }
  protected look(symptoms: readonly Symptom[], minutes: number): void {
    const all = this.all();
    if (symptoms.some(isCurve)) this.curveTaken.set(true);
    this.known.update((known) => ({
      ...known,
      ...Object.fromEntries(
        symptoms.flatMap((symptom) => (symptom in all ? [[symptom, all[symptom]]] : [])),
      ),
    }));
    this.minutes.update((sum) => sum + minutes);
  }
  protected fresh(): void {
    this.truth.set(hidden());
    this.known.set({});
    this.curveTaken.set(false);
    this.minutes.set(0);
    this.told.set(null);
  }
}
