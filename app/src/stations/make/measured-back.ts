import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  linkedSignal,
} from '@angular/core';
import type { BendOrder, Reading } from '@firm-line/core/shape/bending';
import { figure } from '@firm-line/core/lib/faults';
import { progressOf, type BendRow } from '@firm-line/core/stations/make/making';
import type { LineView } from '@firm-line/core/plan';
import { formatLength, formatLengthUnit } from '@firm-line/core/lib/units';
import { OptionalNumberField } from '../../kit/fields/optional-number-field';
import { PlanStore } from '../../session/plan-store';

type Draft = Partial<Record<keyof Reading, number | null>>;
const FIELDS = [
  ['endToBendMm', 'square to the new straight'],
  ['heightMm', 'over the bench'],
  ['tipToTipMm', 'tip to tip'],
] as const;

/** After each bend: what the tape read, what was off by it, and what it does to the bends that are left. */
@Component({
  selector: 'fl-measured-back',
  imports: [OptionalNumberField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <section class="rounded-lg border border-rule p-4" aria-label="Bend check">
      <h3 class="font-bold">Bend check</h3>
      @if (progress(); as now) {
        @if (now.stale) {
          <p class="text-sm">
            {{ now.stale }} {{ now.stale === 1 ? 'reading was' : 'readings were' }} from an older
            card and {{ now.stale === 1 ? 'does' : 'do' }} not apply here.
          </p>
        }
        @if (said(); as words) {
          <p
            class="mt-1 rounded-lg px-3 py-2"
            [class]="words.bad ? 'bg-copper-pale' : 'bg-paper'"
            role="status"
            data-test="guidance"
          >
            {{ words.text }}
          </p>
          <ul class="mt-1 text-sm">
            @for (one of words.found; track $index) {
              <li>{{ one }}</li>
            }
          </ul>
        }
        @if (next(); as bend) {
          <p class="mt-2">
            <strong>Bend {{ bend.bend + 1 }}</strong> now: mark {{ mm(bend.drawMarkMm, 1) }},
            {{ bend.turn }}dial <strong class="font-mono">{{ bend.dialDeg.toFixed(1) }}°</strong
            >{{ bend.sure }}.
          </p>
        }
        @if (asked(); as about) {
          <p class="mt-2 text-sm text-ink-soft">{{ about.words }}</p>
          <div class="mt-1 grid grid-cols-3 gap-3">
            @for (field of fields; track field[0]) {
              <fl-optional-number-field
                unit="length"
                none="mm"
                [label]="'End ' + now.run.end.toUpperCase() + ' ' + field[1]"
                [value]="draft()[field[0]]"
                [hint]="about.plan[field[0]]"
                (changed)="read(field[0], $event)"
              />
            }
          </div>
          <div class="mt-2 flex flex-wrap gap-2">
            <button type="button" class="btn-main" [disabled]="!complete()" (click)="take()">
              Save the reading of bend {{ about.bend + 1 }}
            </button>
          </div>
        }
        @if (now.readings.length) {
          <div class="mt-2 flex flex-wrap gap-2">
            <button type="button" class="btn" (click)="redo.set(!redo())">
              {{ redo() ? 'Keep the bend' : 'Read bend ' + lastBend() + ' again' }}
            </button>
            <button
              type="button"
              class="btn"
              [disabled]="now.readings.length < now.run.planned.length"
              (click)="learn()"
            >
              Use these {{ now.readings.length }} bends for springback
            </button>
          </div>
          <p class="mt-1 text-sm text-ink-soft">{{ spring() }}</p>
        }
      } @else {
        <p class="mt-1 text-sm">
          When bending from the middle outward, no end stays fixed, so bends cannot be measured in
          this order.
        </p>
      }
    </section>
  `,
})
export class MeasuredBack {
  private readonly store = inject(PlanStore);
  readonly view = input.required<LineView>();
  readonly order = input.required<BendOrder>();
  readonly rows = input.required<readonly BendRow[]>();
  protected readonly fields = FIELDS;
  protected readonly progress = computed(() => progressOf(this.view(), this.order()));
  private readonly count = computed(() => this.progress()?.readings.length ?? 0);
  protected readonly draft = linkedSignal<string, Draft>({
    source: () => `${this.view().line.id} ${this.view().digest} ${this.at()}`,
    computation: () => ({}),
  });
  /** The last bend is read again: it was taken further, or its reading was doubtful. */
  protected readonly redo = linkedSignal({
    source: () => this.progress(),
    computation: () => false,
  });
  private readonly at = computed(() => this.count() - (this.redo() ? 1 : 0));
  protected readonly complete = computed(() =>
    FIELDS.every(([field]) => typeof this.draft()[field] === 'number'),
  );
  protected readonly lastBend = computed(
    () => (this.progress()?.run.bends[this.count() - 1] ?? 0) + 1,
  );

  /** The bend whose reading is asked for, and what it should be. */
  protected readonly asked = computed(() => {
    const now = this.progress();
    const row = this.rows()[this.at()];
    if (!now || !row?.reading) return null;
    const plan = Object.fromEntries(
      FIELDS.map(([field]) => [field, `${this.mm(row.reading![field], 1)} as planned`]),
    ) as Record<keyof Reading, string>;
    return {
      bend: row.bend,
      plan,
      words: this.redo()
        ? `Bend ${row.bend + 1} again:`
        : `Make bend ${row.bend + 1}, slightly under, leave the tube in the die, and measure:`,
    };
  });
  protected readonly next = computed(() => {
    const { next } = this.progress() ?? {};
    if (!next || !this.count()) return null;
    const turn = this.count() ? `turn ${figure(next.rotateDeg)}° (bender), ` : '';
    return {
      ...next,
      turn,
      sure: Number.isFinite(next.dialSigmaDeg) ? ` ±${(2 * next.dialSigmaDeg).toFixed(1)}` : '',
    };
  });
  protected readonly said = computed(() => {
    const now = this.progress();
    const guidance = now?.guidance;
    if (!now || !guidance) return null;
    const last = now.run.bends[this.count() - 1]! + 1;
    const further =
      now.furtherDialDeg === null
        ? ''
        : `Take bend ${last} ${guidance.furtherDeg.toFixed(1)}° more, to ${now.furtherDialDeg.toFixed(1)}° on the dial, then measure again. `;
    const reach = `${now.run.end === 'a' ? 'B' : 'A'} lands within ${this.mm(guidance.missMm, 1)} ± ${this.full(2 * guidance.missSigmaMm)} of the port`;
    const text =
      guidance.verdict === 'on'
        ? `${further}Go on as planned: ${reach}.`
        : guidance.verdict === 'mended'
          ? `${further}As planned it misses by ${this.full(guidance.unmendedMissMm)}; with the bends below, ${reach}.`
          : `${further}The remaining bends cannot correct it: it misses by ${this.full(guidance.missMm)}${guidance.trimMm < -0.5 ? ` and is ${this.full(-guidance.trimMm)} too short` : ''}. Offer it up before cutting a new one.`;
    const found = guidance.made.map((bend, k) => {
      const name = `Bend ${now.run.bends[k]! + 1}`;
      const off = [
        {
          share: Math.abs(bend.markOffMm),
          text: `its mark ${this.full(Math.abs(bend.markOffMm))} too far ${bend.markOffMm > 0 ? 'on' : 'back'}`,
        },
        {
          share: Math.abs(bend.rotateOffDeg) / 2,
          text: `its turn ${figure(Math.abs(bend.rotateOffDeg))}° ${bend.rotateOffDeg > 0 ? 'too much' : 'too little'}`,
        },
        {
          share: Math.abs(bend.bendOffDeg) / 1.5,
          text: `its angle ${figure(Math.abs(bend.bendOffDeg))}° ${bend.bendOffDeg > 0 ? 'too far' : 'short'}`,
        },
      ]
        .filter(({ share }) => share > 0.4)
        .sort((a, b) => b.share - a.share);
      return `${name}: ${off.length ? `estimate: ${off.map((one) => one.text).join(', ')}` : 'as planned'}.`;
    });
    return { text, found, bad: guidance.verdict === 'cannot' };
  });
  protected readonly spring = computed(() => {
    const now = this.progress();
    if (!now || !now.readings.length) return '';
    const at = 90;
    return `Measured springback: ${(now.springback.offsetDeg + now.springback.slope * at).toFixed(1)}° ± ${(2 * now.springback.sigmaAt(at)).toFixed(1)} on the dial for 90°.`;
  });

  protected read(field: keyof Reading, mm: number | null): void {
    this.draft.update((now) => ({ ...now, [field]: mm }));
  }
  protected take(): void {
    const now = this.progress()!;
    const read = this.draft() as Reading;
    const last = now.readings.at(-1);
    // Taken further, it was aimed at where it was to come; read again only, at what it was before.
    const aimed = !this.redo()
      ? now.next!
      : now.furtherDialDeg === null
        ? last!
        : {
            ...last!,
            bendDeg: now.guidance!.made.at(-1)!.bendDeg + now.guidance!.furtherDeg,
            dialDeg: now.furtherDialDeg,
          };
    const { markMm, rotateDeg, bendDeg, dialDeg } = aimed;
    const { endToBendMm, heightMm, tipToTipMm } = read;
    const reading = {
      digest: this.view().digest,
      markMm,
      rotateDeg,
      bendDeg,
      dialDeg,
      endToBendMm,
      heightMm,
      tipToTipMm,
    };
    this.store.apply({
      edit: 'changeLine',
      with: {
        id: this.view().line.id,
        patch: { readings: [...now.readings.slice(0, this.at()), reading] },
      },
    });
  }
  /** What was dialled and what was kept, as test bends of the bender. */
  protected learn(): void {
    const now = this.progress()!;
    const bends = now.guidance!.made.map(({ bendDeg }, k) => ({
      dialDeg: Math.max(now.readings[k]!.dialDeg, bendDeg),
      gotDeg: bendDeg,
    }));
    this.store.apply({ edit: 'learnBends', with: { id: this.view().bender.id, bends } });
  }
  protected mm(mm: number, digits = 0): string {
    return formatLength(mm, this.store.units(), digits);
  }
  private full(mm: number): string {
    return formatLengthUnit(mm, this.store.units(), 1);
  }
}
