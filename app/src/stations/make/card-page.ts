import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  linkedSignal,
  signal,
} from '@angular/core';
import { RouterLink } from '@angular/router';
import type { BendOrder } from '@firm-line/core/shape/bending';
import { bendRows, doneOf, orderInput, progressOf } from '@firm-line/core/stations/make/making';
import { cutSigmaMm, type LineView } from '@firm-line/core/plan';
import { FLARES, tubeLabel } from '@firm-line/core/trade/stock';
import { formatLength } from '@firm-line/core/lib/units';
import { SnagRow } from '../../pieces/snag-row';
import { Strip } from '../../pieces/strip';
import { PlanStore } from '../../session/plan-store';
import { Selection } from '../../session/selection';
import { BenchWork } from '../../worker/bench-work';
import { BendTable } from './bend-table';
import { BenderPicture } from './bender-picture';
import { CardSteps } from './card-steps';
import { FlareTrials } from './flare-trials';
import { MeasuredBack } from './measured-back';
import { OfferUp } from './offer-up';
import { turnWords } from './step-words';

/** The card of one line: what to cut, mark, turn and dial, in which order, how it lies in the bender, and what the tape says. */
@Component({
  selector: 'fl-card-page',
  imports: [
    BenderPicture,
    BendTable,
    CardSteps,
    FlareTrials,
    MeasuredBack,
    OfferUp,
    RouterLink,
    SnagRow,
    Strip,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid content-start gap-5 lg:grid-cols-[minmax(0,1fr)_21rem] print:block' },
  template: `
    <section class="card min-w-0 p-5 print:border-0 print:p-0" aria-label="Bend card">
      <div class="flex items-start gap-4">
        <h2 class="mr-auto text-2xl font-bold">
          {{ view().line.name }} <span class="text-lg font-normal">{{ view().line.title }}</span>
        </h2>
        <p class="hidden text-right text-sm print:block">
          {{ store.plan().name }}<br />card {{ view().digest }}
        </p>
        <button
          type="button"
          class="btn print:hidden"
          [disabled]="!view().card || !isMadeHere()"
          (click)="print()"
        >
          Print card
        </button>
      </div>
      @if (view().line.origin === 'kept') {
        <p class="mt-4 text-lg">This line stays on the vehicle and needs no card.</p>
        <p class="mt-1 text-ink-soft">To make a new one, change “Source of the line” in Route.</p>
      } @else if (view().card; as card) {
        @if (view().line.origin === 'bought') {
          <p class="mt-2 rounded-lg bg-copper-pale px-3 py-2">
            This line is bought bent. In a boxed set, look for {{ mm(card.developedMm) }} with
            {{ card.bends.length }} {{ card.bends.length === 1 ? 'bend' : 'bends' }}; first bend
            {{ mm(card.bends[0]?.feedMm ?? card.tailMm) }} from end A and {{ mm(card.tailMm) }} from
            end B. Straighten shipping bends first, by hand over a round former.
          </p>
        }
        <dl class="mt-2 flex flex-wrap gap-x-10 gap-y-2">
          <div>
            <dt class="label">Cut</dt>
            <dd class="font-mono text-4xl print:text-2xl" data-test="cut">
              {{ mm(card.stockCutMm) }}
            </dd>
            <dd class="text-sm text-ink-soft">{{ cutNote() }}</dd>
          </div>
          <div>
            <dt class="label">Bends</dt>
            <dd class="font-mono text-4xl print:text-2xl">{{ card.bends.length }}</dd>
          </div>
          @for (end of ends(); track end.name) {
            <div>
              <dt class="label">{{ end.name }}</dt>
              <dd class="mt-1 font-semibold">{{ end.flare }}</dd>
              <dd class="text-sm">{{ end.nut }}</dd>
            </div>
          }
          <div>
            <dt class="label">Tube and bender</dt>
            <dd class="mt-1 font-semibold">{{ label(view().tube) }}</dd>
            <dd class="text-sm">{{ view().bender.name }}</dd>
          </div>
        </dl>
        @if (doubt(); as text) {
          <p class="mt-2 rounded-lg bg-copper-pale px-3 py-2 text-sm">{{ text }}</p>
        }
        <fl-strip
          class="mt-3 print:hidden"
          marks="draw"
          [marksMm]="marksMm()"
          [view]="view()"
          [node]="selection.node()"
          (picked)="selection.chooseNode($event)"
        />
        @if (rows().length) {
          <p class="mt-2 text-sm" data-test="order" role="status">{{ orderWords() }}</p>
          <fl-bend-table
            class="block overflow-x-auto"
            [rows]="rows()"
            [tapeEnd]="tapeEnd()"
            [shown]="shown()"
            (show)="shown.set($event)"
          />
          <div class="mt-3 grid gap-4 xl:grid-cols-2 print:hidden">
            @if (shownRow(); as row) {
              <figure aria-label="In the bender">
                <fl-bender-picture [view]="view()" [row]="row" [made]="madeBefore()" />
                <figcaption class="mt-1 text-sm">
                  <strong>Bend {{ row.bend + 1 }}</strong
                  >: {{ turn(row) }}. The side of {{ row.clamped.toUpperCase() }} lies in the clamp;
                  dashed is where the other goes.
                  {{
                    view().bender.around
                      ? ''
                      : 'Bench and body are standard for this kind of bender. Enter your own below.'
                  }}
                </figcaption>
              </figure>
            }
            @if (isMadeHere()) {
              <fl-measured-back [view]="view()" [order]="orderNow()" [rows]="rows()" />
            }
          </div>
          <p class="mt-2 text-sm text-ink-soft print:text-xs">
            Wear eye protection. Line up each mark with the mark on the die. Flare, springback and
            die offset are already included. Rotation is seen from the named end, clockwise is plus:
            “bender” turns a hand bender around the tube, “tube” turns the tube in a fixed bender.
            After each bend, lay the tube flat and measure three things. First, from the end square
            to the outside of the new straight. Then the height of the end over the bench, and tip
            to tip.
          </p>
        } @else {
          <p class="mt-4">Straight tube: cut, flare and fit.</p>
        }
      } @else {
        <p class="mt-4 text-lg">
          No card yet: {{ view().fault?.message ?? 'an end of this line joins no port.' }}
        </p>
        <a class="btn mt-3" routerLink="../../route">Go to Route</a>
      }
      @for (snag of snags(); track $index) {
        <fl-snag-row class="mt-3 print:hidden" [snag]="snag" />
      }
    </section>
    <div class="grid content-start gap-5" [hidden]="!isMadeHere()">
      <fl-card-steps
        class="card py-4 print:mt-3 print:border-0 print:py-0"
        [view]="view()"
        [order]="orderNow()"
        [rows]="rows()"
      />
      @if (view().card) {
        <fl-flare-trials class="print:hidden" [view]="view()" />
        <fl-offer-up class="print:hidden" [view]="view()" [progress]="progress()" />
      }
    </div>
  `,
})
export class CardPage {
  protected readonly store = inject(PlanStore);
  protected readonly selection = inject(Selection);
  private readonly work = inject(BenchWork);
  readonly view = input.required<LineView>();
  protected readonly label = tubeLabel;
  protected readonly isMadeHere = computed(() => this.view().line.origin === 'made');

  /** What the order of bends rests on: a new one only where something of it changed. */
  private readonly asked = computed(
    () => {
      const { card, bender, tube, nuts } = this.view();
      return card?.bends.length ? { card, bender, tube, nuts } : null;
    },
    {
      equal: (a, b) =>
        a === b ||
        (a !== null &&
          b !== null &&
          a.card === b.card &&
          a.bender === b.bender &&
          a.tube === b.tube),
    },
  );
  private readonly found = signal<{ readonly of: object; readonly order: BendOrder } | null>(null);
  /** The order that is free; null while it is looked for. */
  protected readonly order = computed(() => {
    const found = this.found();
    return found && found.of === this.asked() ? found.order : null;
  });
  /** Until then the plain one, from A. */
  protected readonly orderNow = computed((): BendOrder => {
    const { card, bender } = this.view();
    return (
      this.order() ?? {
        start: 'a',
        sequence: (card?.bends ?? []).map((_, bend) => ({ bend, clamped: bender.clampSide })),
        hits: [],
        tried: [],
      }
    );
  });
  protected readonly rows = computed(() =>
    this.view().card ? bendRows(this.view(), this.orderNow()) : [],
  );
  protected readonly marksMm = computed(() => {
    const marks: number[] = [];
    for (const { bend, drawMarkMm } of this.rows()) marks[bend] = drawMarkMm;
    return marks;
  });
  protected readonly tapeEnd = computed(() => (this.orderNow().start === 'b' ? 'B' : 'A'));
  protected readonly progress = computed(() =>
    this.rows().length ? progressOf(this.view(), this.orderNow()) : null,
  );

  /** The bend that is looked at: the next one to make, until another is chosen. */
  protected readonly shown = linkedSignal(() => {
    const done = doneOf(this.view());
    return (
      (this.rows().find(({ bend }) => !done.has(`bend-${bend + 1}`)) ?? this.rows()[0])?.bend ?? 0
    );
  });
  protected readonly shownRow = computed(
    () => this.rows().find(({ bend }) => bend === this.shown()) ?? null,
  );
  protected readonly madeBefore = computed(() => {
    const rows = this.rows();
    return new Set(
      rows
        .slice(
          0,
          rows.findIndex(({ bend }) => bend === this.shown()),
        )
        .map(({ bend }) => bend),
    );
  });

  constructor() {
    effect((clear) => {
      const asked = this.asked();
      if (!asked) return;
      const ended = new AbortController();
      clear(() => ended.abort());
      this.work.order(orderInput(asked), ended.signal).then(
        (order) => this.found.set({ of: asked, order }),
        () => undefined,
      );
    });
  }

  protected readonly orderWords = computed(() => {
    const order = this.order();
    if (!order) return 'Checking which end to bend from…';
    const name = (start: BendOrder['start']): string =>
      typeof start === 'number' ? `from bend ${start + 1} outwards` : `from ${start.toUpperCase()}`;
    const tried = order.tried.map(
      ({ start, hit }) => `${name(start)} it hits ${hit.what} at bend ${hit.bend + 1}`,
    );
    const around =
      order.sequence.some(({ clamped }) => clamped !== order.sequence[0]!.clamped) &&
      typeof order.start !== 'number'
        ? ' Turn the tube end for end where the bend says so.'
        : '';
    if (order.hits.length)
      return `No bend order is clear: ${tried.join('; ')}. Bend ${order.hits.map(({ bend }) => bend + 1).join(', ')} needs another method: bend by hand, make room, or add a union there.`;
    return `Bend ${name(order.start)}: clear through the whole bend.${around}${tried.length ? ` Not ${tried.join('; not ')}.` : ''}`;
  });

  protected readonly ends = computed(() =>
    (['a', 'b'] as const).map((end) => ({
      name: `End ${end.toUpperCase()}`,
      flare: FLARES[this.view().line.ends[end].flare].name,
      nut: `${this.view().nuts[end].name}, ${this.view().nuts[end].wrench}`,
    })),
  );
  protected readonly cutNote = computed(() => {
    const card = this.view().card!;
    const sigma = cutSigmaMm(this.view());
    const trim = card.trimMm
      ? `${this.mm(card.cutMm)} and ${this.mm(card.trimMm)} to trim`
      : 'no trim';
    return sigma === null ? trim : `±${this.mm(2 * sigma, 1)} (2σ), ${trim}`;
  });
  /** Nothing is green while it rests on a guess. */
  protected readonly doubt = computed(() => {
    const { ports } = this.view();
    const open = [ports.a, ports.b]
      .filter((port) => port?.fixed.guess)
      .map((port) => `${port!.part.name}, ${port!.port.name}`);
    return open.length
      ? `Do not cut yet: ${open.join(' and ')} ${open.length === 1 ? 'is' : 'are'} not measured.`
      : null;
  });
  protected readonly snags = computed(() =>
    this.store
      .laidOutSnags()
      .filter((snag) => snag.place.kind === 'line' && snag.place.id === this.view().line.id),
  );
  protected turn(row: ReturnType<typeof bendRows>[number]): string {
    return turnWords(row, this.view().bender.kind);
  }
  protected print(): void {
    window.print();
  }
  protected mm(mm: number, digits = 0): string {
    return formatLength(mm, this.store.units(), digits);
  }
}
