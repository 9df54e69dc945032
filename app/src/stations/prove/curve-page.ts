import { FieldOf } from '../../kit/fields/field';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  inject,
  signal,
} from '@angular/core';
import {
  asPressed,
  builtTo,
  circuitDigest,
  curveEvidence,
  expectedPedal,
  isAnotherPedal,
  judgeCurve,
  lagEvidence,
  lagMm,
  pedalOn,
  pumpedShorterMm,
  validCurves,
  type Evidence,
} from '@firm-line/core/stations/prove';
import {
  askedField,
  POINT_TAKEN,
  portsHeldBy,
  ENGINE,
  type PedalCurve,
  type PedalPoint,
} from '@firm-line/core/plan';
import { CheckField } from '../../kit/fields/check-field';
import { OptionalNumberField } from '../../kit/fields/optional-number-field';
import { LineChart } from '../../kit/line-chart';
import { Toggle } from '../../kit/toggle';
import { PlanStore } from '../../session/plan-store';
import { CsvForm } from './csv-form';
import {
  costsAtStop,
  curveLines,
  curveWords,
  heldLines,
  heldWords,
  tooFew,
  wayBackWords,
} from './curve-words';
import { FaultFinder } from './fault-finder';
import { ProveFacade } from './prove-facade';

/** Pedal travel against pressure as it is taken: free play, flex and air under it, what is missing, and what the fault may be. */
@Component({
  selector: 'fl-curve-page',
  imports: [CheckField, CsvForm, FaultFinder, FieldOf, LineChart, OptionalNumberField, Toggle],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block p-5' },
  template: `
    @if (circuits().length) {
      <div class="flex flex-wrap items-center gap-3">
        <fl-toggle
          label="Circuit"
          [options]="circuits()"
          [value]="circuitId()"
          (changed)="picked.set($event)"
        />
        <fl-toggle
          label="Engine"
          [options]="engines"
          [value]="engine()"
          (changed)="engine.set($event)"
        />
        <fl-check-field label="Hot" [checked]="hot()" (changed)="hot.set($event)" />
        <fl-check-field label="Pumped first" [checked]="pumped()" (changed)="pumped.set($event)" />
      </div>
      @if (behind(); as valve) {
        <p class="mt-3 font-semibold">
          ▲ {{ valve }} is in this circuit. A gauge behind it reads valve pressure. Turn the valve
          back to master pressure, or move the gauge ahead of it.
        </p>
        <fl-check-field
          label="The gauge reads master pressure"
          [checked]="turnedBack()"
          (changed)="turnedBack.set($event)"
        />
      }
      <div class="mt-4 grid gap-5 xl:grid-cols-[minmax(0,1fr)_20rem]">
        <section class="card min-w-0 p-5" aria-label="Curve">
          <h2 class="text-3xl font-bold" data-test="verdict">{{ said().title }}</h2>
          <p class="mt-1 text-lg text-ink-soft" data-test="detail">{{ said().detail }}</p>
          @if (wayBack()) {
            <p class="mt-1" data-test="way-back">{{ wayBack() }}</p>
          }
          <fl-line-chart
            class="mt-3"
            label="Pedal travel against pressure"
            [lines]="lines()"
            xName="pressure, MPa"
            yName="pedal, mm"
            [xMax]="8"
          />
          <div class="mt-3 flex flex-wrap items-end gap-3">
            <fl-field
              class="w-36"
              [of]="pointFields.pressureMPa"
              none=""
              [value]="pressure()"
              (changed)="pressure.set($event ?? null)"
            />
            <fl-field
              class="w-36"
              [of]="pointFields.travelMm"
              none=""
              [value]="travel()"
              (changed)="travel.set($event ?? null)"
            />
            <fl-check-field
              label="On the way back"
              [checked]="back()"
              (changed)="back.set($event)"
            />
            <button
              type="button"
              class="btn min-h-14 disabled:opacity-60"
              [disabled]="refused() || pressure() === null || travel() === null"
              (click)="type()"
            >
              Type a reading
            </button>
            <button
              type="button"
              class="btn min-h-14"
              [disabled]="refused()"
              (click)="stream()"
              data-test="stream"
            >
              {{ streaming() ? 'Reading… stop' : 'Gauge and sensor, simulated' }}
            </button>
            <fl-optional-number-field
              class="w-28"
              label="Vehicle no."
              [value]="vehicle()"
              none=""
              [least]="0"
              [most]="1000000"
              (changed)="vehicle.set($event ?? 0)"
            />
          </div>
          @if (link()) {
            <p class="mt-1 text-sm" role="status" data-test="link">{{ link() }}</p>
          }
          <div class="mt-3 flex flex-wrap gap-3">
            <button
              type="button"
              class="btn-main min-h-14 px-6 disabled:opacity-60"
              [disabled]="refused() || points().length < 4"
              (click)="keep()"
            >
              Save curve ({{ points().length }} readings)
            </button>
            <button
              type="button"
              class="btn min-h-14"
              [disabled]="!points().length"
              (click)="fresh.set([])"
            >
              Start over
            </button>
          </div>
          <fl-csv-form class="mt-3" [disabled]="refused()" (taken)="addLog($event)" />
          @if (kept().length) {
            <ul class="mt-3" data-test="kept">
              @for (one of kept(); track one.id) {
                <li class="flex flex-wrap items-center gap-3 border-t border-rule py-2">
                  <span class="font-mono">{{ one.at.slice(0, 10) }}</span><span
                    >{{ one.points.length }} readings, {{ one.engine }}{{ one.hot ? ', hot' : ''
                    }}{{ one.pumped ? ', pumped first' : ''
                    }}{{ one.void ? ', void: changed since' : '' }}</span
                  ><button type="button" class="btn ml-auto" (click)="fresh.set(one.points)">
                    Show</button
                  ><button type="button" class="btn" (click)="remove(one.id)">Remove</button>
                </li>
              }
            </ul>
          }
        </section>
        <fl-fault-finder
          class="flex flex-col gap-4"
          [circuitId]="circuitId()"
          [curve]="evidence()"
        />
      </div>
    } @else {
      <p class="p-5">No circuit has lines yet.</p>
    }
  `,
})
export class CurvePage {
  /** Either may be typed before the other. */
  protected readonly pointFields = {
    pressureMPa: askedField(POINT_TAKEN.fields.pressureMPa),
    travelMm: askedField(POINT_TAKEN.fields.travelMm),
  };
  private readonly sheet = inject(ProveFacade);
  private readonly store = inject(PlanStore);
  protected readonly engines = ENGINE.map((value) => ({
    value,
    name: value === 'none' ? 'No engine' : `Engine ${value}`,
  }));
  protected readonly circuits = computed(() =>
    this.store
      .plan()
      .circuits.filter(({ id }) =>
        this.store.plan().lines.some(({ circuitId }) => circuitId === id),
      )
      .map(({ id, name }) => ({ value: id, name })),
  );
  protected readonly picked = signal<string | null>(null);
  protected readonly circuitId = computed(
    () =>
      this.circuits().find(({ value }) => value === this.picked())?.value ??
      this.circuits()[0]?.value ??
      '',
  );
  private readonly circuit = computed(
    () => this.store.plan().circuits.find(({ id }) => id === this.circuitId()) ?? null,
  );
  protected readonly engine = signal<PedalCurve['engine']>('off');
  protected readonly hot = signal(false);
  protected readonly pumped = signal(false);
  protected readonly back = signal(false);
  protected readonly turnedBack = signal(false);
  /** A valve of this circuit that a gauge might stand behind. */
  protected readonly behind = computed(() => {
    const { lines, parts } = this.store.plan();
    const ports = portsHeldBy(lines.filter(({ circuitId }) => circuitId === this.circuitId()));
    const drawn = parts.find(
      ({ kind, ports: own }) =>
        ['proportioning-valve', 'combination-valve', 'load-valve'].includes(kind) &&
        own.some(({ id }) => ports.has(id)),
    );
    return (
      drawn?.name ??
      (this.circuit()?.axle === 'rear' && this.store.plan().sizing?.rearValve
        ? 'The rear valve'
        : null)
    );
  });
  protected readonly refused = computed(() => this.behind() !== null && !this.turnedBack());
  private readonly pedal = computed(() => {
    const circuit = this.circuit();
    return circuit ? pedalOn(circuit, this.store.plan()) : { ratio: 5, boreMm: 22.2 };
  });
  protected readonly pressure = signal<number | null>(null);
  protected readonly travel = signal<number | null>(null);
  protected readonly fresh = signal<readonly PedalPoint[]>([]);
  private by: PedalCurve['by'] = 'typed';
  protected readonly kept = computed(() =>
    this.sheet
      .proving()
      .curves.filter(({ circuitId }) => circuitId === this.circuitId())
      .map((one) => ({
        ...one,
        void: !this.circuit() || one.rests !== circuitDigest(this.circuit()!, this.sheet.view()),
      })),
  );
  protected readonly points = computed(() =>
    this.fresh().length ? this.fresh() : (this.kept().at(-1)?.points ?? []),
  );
  /** The pedal that Size calculates for this circuit; null where it calculates none. */
  private readonly against = computed(() => {
    const circuit = this.circuit();
    return circuit && expectedPedal(circuit, this.sheet.view());
  });
  private readonly fit = computed(() =>
    judgeCurve(
      { ...this.pedal(), sigmaMm: 0.3, points: this.points() },
      this.store.quantities(),
      this.against(),
    ),
  );
  protected readonly said = computed(() => {
    const [fit, circuit, against] = [this.fit(), this.circuit(), this.against()];
    const shown = { quantities: this.store.quantities(), units: this.store.units() };
    if (!fit || !circuit) return tooFew(this.points().length, shown);
    if (against) return heldWords(fit, against, circuit.name, shown);
    const planned = circuit.axle ? this.store.plan().sizing?.airMl[circuit.axle] : undefined;
    return curveWords(fit, costsAtStop(fit, this.pedal()), circuit.name, planned, shown);
  });
  protected readonly wayBack = computed(() =>
    wayBackWords(
      lagMm(this.points()),
      pumpedShorterMm(validCurves(this.circuitId(), this.sheet.view())),
      this.store.units(),
    ),
  );
  protected readonly lines = computed(() => {
    const against = this.against();
    return against
      ? heldLines(this.points(), this.fit(), against)
      : curveLines(this.points(), this.fit(), this.pedal());
  });
  /** What the readings that are shown tell of faults; nothing where they are of another pedal. */
  protected readonly evidence = computed((): Evidence => {
    const [fit, against] = [this.fit(), this.against()];
    if (this.pumped() || !fit || !against || isAnotherPedal(fit, against)) return {};
    return { ...curveEvidence(fit, against), ...lagEvidence(lagMm(this.points())) };
  });
  protected readonly vehicle = signal(7);
  protected readonly streaming = signal(false);
  protected readonly link = signal('');
  private source: EventSource | null = null;

  constructor() {
    inject(DestroyRef).onDestroy(() => this.source?.close());
  }
  protected type(): void {
    const point = { pressureMPa: this.pressure()!, travelMm: this.travel()! };
    this.add([this.back() ? { ...point, back: true } : point], 'typed');
    this.pressure.set(null);
    this.travel.set(null);
  }
  protected add(points: readonly PedalPoint[], by: PedalCurve['by']): void {
    this.by = by;
    this.fresh.update((now) => [...now, ...points]);
  }
  /** Rows of a logger: what comes after the hardest press is the way back. */
  protected addLog(points: readonly PedalPoint[]): void {
    this.add(asPressed(points), 'csv');
  }
  /** Readings as the instruments type them; a link that breaks is taken up again where it broke. */
  protected stream(): void {
    if (this.source) return this.stop('Stopped.');
    this.fresh.set([]);
    // Past what is kept for use with no network: a stream is no file.
    this.source = new EventSource(`/api/pedal/${this.vehicle()}?${this.built()}`);
    this.streaming.set(true);
    this.source.onopen = () =>
      this.link.set(
        this.points().length ? 'The link is back. Reading continues where it stopped.' : 'Reading.',
      );
    this.source.onmessage = ({ data }: MessageEvent<string>) => {
      const { pressureMPa, travelMm, back } = JSON.parse(data) as PedalPoint;
      this.add([{ pressureMPa, travelMm, ...(back ? { back } : {}) }], 'stream');
    };
    this.source.onerror = () =>
      this.link.set('The link is lost. Trying again; all readings so far are kept.');
    this.source.addEventListener('done', () => this.stop('All readings received.'));
  }
  /** What the simulated vehicle is built to: the pedal of this plan, where one is calculated. */
  private built(): string {
    const against = this.against();
    const figures = against ? builtTo(this.pedal(), against) : {};
    return new URLSearchParams({
      'ngsw-bypass': 'true',
      ...Object.fromEntries(Object.entries(figures).map(([name, is]) => [name, String(is)])),
    }).toString();
  }
  private stop(words: string): void {
    this.source?.close();
    this.source = null;
    this.streaming.set(false);
    this.link.set(words);
  }
  protected keep(): void {
    const circuit = this.circuit();
    if (!circuit) return;
    this.sheet.apply({
      edit: 'addCurve',
      with: {
        curve: {
          id: this.sheet.freshId('curve'),
          at: new Date().toISOString(),
          circuitId: circuit.id,
          by: this.by,
          engine: this.engine(),
          hot: this.hot(),
          ...(this.pumped() ? { pumped: true } : {}),
          ...this.pedal(),
          sigmaMm: 0.3,
          points: this.points(),
          rests: circuitDigest(circuit, this.sheet.view()),
        },
      },
    });
    this.fresh.set([]);
  }
  protected remove(id: string): void {
    this.sheet.apply({ edit: 'removeCurve', with: { id } });
  }
}
