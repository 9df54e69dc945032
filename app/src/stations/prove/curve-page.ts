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
  circuitDigest,
  expectedPedal,
  judgeCurve,
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
  calculatedLine,
  costsAtStop,
  curveLines,
  curveWords,
  heldWords,
  tooFew,
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
          @if (beside(); as against) {
            <p class="mt-2" data-test="beside">
              <strong>{{ against.title }}.</strong> {{ against.detail }}
            </p>
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
          <fl-csv-form class="mt-3" [disabled]="refused()" (taken)="add($event, 'csv')" />
          @if (kept().length) {
            <ul class="mt-3" data-test="kept">
              @for (one of kept(); track one.id) {
                <li class="flex flex-wrap items-center gap-3 border-t border-rule py-2">
                  <span class="font-mono">{{ one.at.slice(0, 10) }}</span><span
                    >{{ one.points.length }} readings, {{ one.engine }}{{ one.hot ? ', hot' : ''
                    }}{{ one.void ? ', void: changed since' : '' }}</span
                  ><button type="button" class="btn ml-auto" (click)="fresh.set(one.points)">
                    Show</button
                  ><button type="button" class="btn" (click)="remove(one.id)">Remove</button>
                </li>
              }
            </ul>
          }
        </section>
        <fl-fault-finder class="flex flex-col gap-4" [curve]="evidence()" [isFirm]="isFirm()" />
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
    const { sizing, clutch } = this.store.plan();
    if (this.circuit()?.work === 'clutch' && clutch)
      return { ratio: clutch.pedal.ratio, boreMm: clutch.masterBoreMm };
    const m = sizing?.master;
    return {
      ratio: sizing?.pedal.ratio ?? 5,
      boreMm: !m
        ? 22.2
        : m.kind === 'tandem'
          ? m.boreMm
          : this.circuit()?.axle === 'rear'
            ? m.rearBoreMm
            : m.frontBoreMm,
    };
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
  private readonly fit = computed(() =>
    judgeCurve({ ...this.pedal(), sigmaMm: 0.3, points: this.points() }, this.store.quantities()),
  );
  private readonly against = computed(() => {
    const circuit = this.circuit();
    return circuit ? expectedPedal(circuit, this.sheet.view()) : null;
  });
  /** The readings held against what Size calculates; null where it calculates nothing. */
  private readonly held = computed(() => {
    const against = this.against();
    return (
      against &&
      judgeCurve(
        { ...this.pedal(), sigmaMm: 0.3, points: this.points() },
        this.store.quantities(),
        against,
      )
    );
  });
  private readonly costs = computed(() => {
    const fit = this.fit();
    return fit && costsAtStop(fit, this.pedal());
  });
  protected readonly said = computed(() => {
    const [fit, costs, circuit] = [this.fit(), this.costs(), this.circuit()];
    const shown = { quantities: this.store.quantities(), units: this.store.units() };
    if (!fit || !costs || !circuit) return tooFew(this.points().length, shown);
    const planned = circuit.axle ? this.store.plan().sizing?.airMl[circuit.axle] : undefined;
    return curveWords(fit, costs, circuit.name, planned, shown);
  });
  /** The same readings against the pedal that Size calculates. */
  protected readonly beside = computed(() => {
    const [held, against, circuit] = [this.held(), this.against(), this.circuit()];
    return held && against && circuit
      ? heldWords(held, against, circuit.name, {
          quantities: this.store.quantities(),
          units: this.store.units(),
        })
      : null;
  });
  protected readonly isFirm = computed(() => this.fit()?.verdict === 'firm');
  protected readonly lines = computed(() => {
    const against = this.against();
    const drawn = curveLines(this.points(), this.fit(), this.pedal());
    return against ? [...drawn, calculatedLine(against)] : drawn;
  });
  /** What the curve alone tells of the fault. */
  protected readonly evidence = computed((): Evidence => {
    const [fit, costs] = [this.fit(), this.costs()];
    return fit && costs && fit.verdict !== 'cannot-tell'
      ? { airCostMm: costs.air, flexCostMm: costs.flex, freePlayMm: costs.play }
      : {};
  });
  protected readonly vehicle = signal(7);
  protected readonly streaming = signal(false);
  protected readonly link = signal('');
  private source: EventSource | null = null;

  constructor() {
    inject(DestroyRef).onDestroy(() => this.source?.close());
  }
  protected type(): void {
    this.add([{ pressureMPa: this.pressure()!, travelMm: this.travel()! }], 'typed');
    this.pressure.set(null);
    this.travel.set(null);
  }
  protected add(points: readonly PedalPoint[], by: PedalCurve['by']): void {
    this.by = by;
    this.fresh.update((now) => [...now, ...points]);
  }
  /** Readings as the instruments type them; a link that breaks is taken up again where it broke. */
  protected stream(): void {
    if (this.source) return this.stop('Stopped.');
    this.fresh.set([]);
    // Past what is kept for use with no network: a stream is no file.
    this.source = new EventSource(`/api/pedal/${this.vehicle()}?ngsw-bypass=true`);
    this.streaming.set(true);
    this.source.onopen = () =>
      this.link.set(
        this.points().length ? 'The link is back. Reading continues where it stopped.' : 'Reading.',
      );
    this.source.onmessage = ({ data }: MessageEvent<string>) => {
      const { pressureMPa, travelMm } = JSON.parse(data) as PedalPoint;
      this.add([{ pressureMPa, travelMm }], 'stream');
    };
    this.source.onerror = () =>
      this.link.set('The link is lost. Trying again; all readings so far are kept.');
    this.source.addEventListener('done', () => this.stop('All readings received.'));
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
