import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  signal,
} from '@angular/core';
import {
  stockAfter,
  tubeName,
  tubeWanted,
  WORTH_KEEPING_MM,
  type CutPlan,
} from '@firm-line/core/stations/make/making';
import {
  MAKING,
  STOCK_PIECE,
  type Making,
  type SoldLength,
  type StockPiece,
  SOLD_LENGTH,
} from '@firm-line/core/plan';
import { TUBES, tubeLabel } from '@firm-line/core/trade/stock';
import { formatLength, formatLengthUnit } from '@firm-line/core/lib/units';
import { EmptyState } from '../../kit/empty-state';
import { PlanStore } from '../../session/plan-store';
import { BenchWork } from '../../worker/bench-work';
import { FieldOf } from '../../kit/fields/field';

/** How the lines come out of the coils and sticks at hand, and what is bought for the rest. */
@Component({
  selector: 'fl-cuts-page',
  imports: [EmptyState, FieldOf],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: {
    class: 'grid content-start gap-5 p-5 lg:grid-cols-[minmax(0,1fr)_24rem] print:block print:p-0',
  },
  template: `
    <section class="card min-w-0 p-5" aria-label="Cuts">
      <div class="flex items-start gap-4">
        <h2 class="mr-auto text-2xl font-bold">Cuts</h2>
        <button
          type="button"
          class="btn print:hidden"
          [disabled]="!plans().length"
          (click)="print()"
        >
          Print
        </button>
      </div>
      @if (busy()) {
        <p class="py-1 text-sm" role="status">
          Planning the cuts… <button type="button" class="link" (click)="cancel()">Cancel</button>
        </p>
      }
      @if (fault(); as text) {
        <p class="fault">
          {{ text }} <button type="button" class="link" (click)="again()">Try again</button>
        </p>
      }
      @for (plan of plans(); track plan.tube.id) {
        <section class="mt-4 print:break-inside-avoid" [attr.aria-label]="label(plan)">
          <h3 class="text-lg font-bold">{{ label(plan) }}</h3>
          @if (plan.fault) {
            <p class="mt-1 rounded-lg bg-copper-pale px-3 py-2">
              {{ plan.fault
              }}{{ plan.pieces.length ? '' : ' Add stock you have, or a length you can buy.' }}
            </p>
          } @else {
            <p class="text-sm" data-test="cuts-sum">{{ words(plan) }}</p>
            @for (piece of plan.pieces; track $index) {
              <div class="mt-3">
                <p class="text-sm text-ink-soft">
                  {{ piece.stockId ? 'At hand' : 'To buy' }}, {{ full(piece.lengthMm)
                  }}{{ piece.batch ? ', ' + piece.batch : '' }}; left {{ full(piece.leftMm)
                  }}{{ piece.leftMm >= keep ? ', worth keeping' : '' }}
                </p>
                <div
                  class="mt-1 flex h-12 overflow-hidden rounded border border-ink-soft"
                  role="img"
                  [attr.aria-label]="said(piece)"
                >
                  @for (cut of piece.cuts; track $index) {
                    <div
                      class="flex min-w-0 flex-col items-center justify-center border-r border-sheet bg-copper px-1 text-sheet"
                      [style.flex]="cut.lengthMm + ' 1 0'"
                      [title]="cut.name + ', ' + full(cut.lengthMm)"
                    >
                      @if (cut.lengthMm > narrow * piece.lengthMm) {
                        <span
                          class="w-full truncate text-center text-sm leading-tight font-semibold"
                          >{{ cut.lineId ? cut.name : 'test' }}</span
                        >
                        <span class="w-full truncate text-center font-mono text-xs">{{
                          mm(cut.lengthMm)
                        }}</span>
                      }
                    </div>
                  }
                  <div class="bg-paper" [style.flex]="piece.leftMm + making().endMm + ' 1 0'"></div>
                </div>
                <p class="mt-1 text-sm">{{ said(piece) }}</p>
              </div>
            }
            @if (plan.pieces.length && !plan.toBuy.length) {
              <button type="button" class="btn mt-3 print:hidden" (click)="cutNow(plan)">
                Mark as cut and add offcuts to stock
              </button>
            }
          }
        </section>
      } @empty {
        @if (!busy() && !fault()) {
          <fl-empty-state
            heading="Nothing to cut"
            text="Nothing left to cut. Tick “cut” on a line’s card once it is cut."
          />
        }
      }
    </section>
    <section class="card content-start p-5 print:hidden" aria-label="Stock">
      <h2 class="h2">At hand</h2>
      @for (piece of making().stock; track piece.id; let i = $index) {
        <div class="mt-2 border-t border-rule pt-2">
          <fl-field
            [of]="fields.tubeId"
            [field]="'stock-tube-' + piece.id"
            [options]="tubes"
            [value]="piece.tubeId"
            (changed)="setPiece(piece.id, { tubeId: $event })"
          />
          <div class="mt-2 grid grid-cols-[1fr_4.5rem_1fr_auto] items-end gap-2">
            <fl-field
              [of]="fields.lengthMm"
              [value]="piece.lengthMm"
              (changed)="setPiece(piece.id, { lengthMm: $event })"
            />
            <fl-field
              [of]="fields.count"
              [value]="piece.count"
              (changed)="setPiece(piece.id, { count: $event })"
            />
            <fl-field
              [of]="fields.batch"
              [field]="'batch-' + piece.id"
              [value]="piece.batch"
              (changed)="setPiece(piece.id, { batch: $event })"
            />
            <button
              type="button"
              class="btn px-3"
              [attr.aria-label]="'Remove piece ' + (i + 1)"
              (click)="removePiece(piece.id)"
            >
              ×
            </button>
          </div>
        </div>
      } @empty {
        <p class="text-sm text-ink-soft">
          No stock entered. Add coils, sticks and offcuts long enough for a line.
        </p>
      }
      <button type="button" class="btn mt-2" (click)="addPiece()">Add a coil or stick</button>
      <h2 class="h2 mt-5">Sold as</h2>
      @for (one of making().sold; track one.id; let i = $index) {
        <div class="mt-2 grid grid-cols-[1fr_auto] items-end gap-2 border-t border-rule pt-2">
          <fl-field
            class="col-span-2"
            [of]="soldFields.tubeId"
            [field]="'sold-tube-' + one.id"
            [options]="tubes"
            [value]="one.tubeId"
            (changed)="setSold(one.id, { tubeId: $event })"
          />
          <fl-field
            [of]="soldFields.lengthMm"
            [value]="one.lengthMm"
            (changed)="setSold(one.id, { lengthMm: $event })"
          />
          <button
            type="button"
            class="btn px-3"
            [attr.aria-label]="'Remove sold length ' + (i + 1)"
            (click)="removeSold(one.id)"
          >
            ×
          </button>
        </div>
      } @empty {
        <p class="text-sm text-ink-soft">
          No lengths for sale entered. Stock on hand is used first.
        </p>
      }
      <button type="button" class="btn mt-2" (click)="addSold()">Add a length</button>
      <div class="mt-5 grid grid-cols-2 gap-3">
        <fl-field
          [of]="makingFields.kerfMm"
          [value]="making().kerfMm"
          (changed)="set({ kerfMm: $event })"
        />
        <fl-field
          [of]="makingFields.endMm"
          [value]="making().endMm"
          (changed)="set({ endMm: $event })"
        />
      </div>
    </section>
  `,
})
export class CutsPage {
  protected readonly fields = STOCK_PIECE.fields;
  protected readonly soldFields = SOLD_LENGTH.fields;
  protected readonly makingFields = MAKING.fields;
  private readonly store = inject(PlanStore);
  private readonly work = inject(BenchWork);
  protected readonly keep = WORTH_KEEPING_MM;
  /** A cut that is less of its piece has no room for words in the picture. */
  protected readonly narrow = 0.04;
  protected readonly sheet = MAKING.fields;
  protected readonly tubes = TUBES.map((tube) => [tube.id, tubeLabel(tube)] as const);
  protected readonly making = computed((): Making => this.store.plan().making);
  protected readonly plans = signal<readonly CutPlan[]>([]);
  protected readonly busy = signal(false);
  protected readonly fault = signal<string | null>(null);
  private readonly asked = signal(0);
  private ended: AbortController | null = null;

  constructor() {
    effect((clear) => {
      const plan = this.store.plan();
      this.asked();
      const ended = new AbortController();
      this.ended = ended;
      this.busy.set(true);
      this.fault.set(null);
      const rest = setTimeout(
        () =>
          this.work.cuts(plan, ended.signal).then(
            (plans) => (this.plans.set(plans), this.busy.set(false)),
            (error: Error) =>
              ended.signal.aborted || (this.fault.set(error.message), this.busy.set(false)),
          ),
        150,
      );
      clear(() => {
        clearTimeout(rest);
        ended.abort();
      });
    });
  }
  protected cancel(): void {
    this.ended?.abort();
    this.busy.set(false);
    this.fault.set('Cancelled. These are the previous cuts.');
  }
  protected again(): void {
    this.asked.update((n) => n + 1);
  }

  protected label({ tube }: CutPlan): string {
    return tubeName(tube.id);
  }
  protected words(plan: CutPlan): string {
    const buy = plan.toBuy
      .map(({ lengthMm, count }) => `${count} × ${this.full(lengthMm)}`)
      .join(' and ');
    const left = plan.pieces.reduce((most, { leftMm }) => Math.max(most, leftMm), 0);
    const proof = plan.optimal
      ? 'no plan uses less stock'
      : `at least ${this.full(plan.boundMm)} needed`;
    return `${plan.cuts.length} cuts out of ${plan.pieces.length} ${plan.pieces.length === 1 ? 'piece' : 'pieces'}, ${this.full(plan.usedMm)} in all: ${proof}. Longest offcut: ${this.full(left)}.${buy ? ` To buy: ${buy}.` : ' Nothing to buy.'}`;
  }
  protected said(piece: CutPlan['pieces'][number]): string {
    return `${this.full(piece.lengthMm)}: ${piece.cuts.map(({ name, lengthMm }) => `${name} ${this.mm(lengthMm)}`).join(', ')}, left ${this.full(piece.leftMm)}`;
  }

  protected set(patch: { readonly kerfMm?: number; readonly endMm?: number }): void {
    this.store.apply({ edit: 'changeCutting', with: { patch } });
  }
  protected setPiece(id: string, patch: Partial<Omit<StockPiece, 'id'>>): void {
    this.store.apply({ edit: 'changeStockPiece', with: { id, patch } });
  }
  protected addPiece(): void {
    const tubeId =
      tubeWanted(this.store.view().lines)[0]?.tube.id ??
      this.making().stock.at(-1)?.tubeId ??
      TUBES[0]!.id;
    const id = this.store.freshId('stock');
    this.store.apply({
      edit: 'addStockPiece',
      with: { stockPiece: { id, tubeId, lengthMm: 7620, count: 1, batch: '' } },
    });
  }
  protected removePiece(id: string): void {
    this.store.apply({ edit: 'removeStockPiece', with: { id } });
  }
  protected setSold(id: string, patch: Partial<Omit<SoldLength, 'id'>>): void {
    this.store.apply({ edit: 'changeSoldLength', with: { id, patch } });
  }
  protected addSold(): void {
    const tubeId = tubeWanted(this.store.view().lines)[0]?.tube.id ?? TUBES[0]!.id;
    const id = this.store.freshId('sold');
    this.store.apply({
      edit: 'addSoldLength',
      with: { soldLength: { id, tubeId, lengthMm: 7620 } },
    });
  }
  protected removeSold(id: string): void {
    this.store.apply({ edit: 'removeSoldLength', with: { id } });
  }
  /** Ticks the cut of every line of the plan of cuts, and puts what is left into the stock. */
  protected cutNow(plan: CutPlan): void {
    const lines = new Map(this.store.view().lines.map((view) => [view.line.id, view]));
    const at = new Date().toISOString();
    const ticks = plan.cuts.flatMap(({ lineId }) => {
      const view = lineId ? lines.get(lineId) : undefined;
      return view
        ? [
            {
              edit: 'tick',
              with: { id: view.line.id, step: 'cut', digest: view.digest, at },
            } as const,
          ]
        : [];
    });
    const { stock } = stockAfter(this.making(), plan);
    this.store.apply(...ticks, { edit: 'setStock', with: { stock } });
  }
  protected print(): void {
    window.print();
  }
  protected mm(mm: number): string {
    return formatLength(mm, this.store.units());
  }
  protected full(mm: number): string {
    return formatLengthUnit(mm, this.store.units());
  }
}
