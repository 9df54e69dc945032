import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  output,
  signal,
  viewChild,
} from '@angular/core';
import { listView, priceRows } from '@firm-line/core/stations/make/buying';
import { viewPlan } from '@firm-line/core/plan/results';
import { Dialog } from '../../kit/dialog';
import { SelectField } from '../../kit/fields/select-field';
import { Notices } from '../../kit/notices';
import { PlanStore } from '../../session/plan-store';

/** Prices out of a table of a seller's: which column is which, then what could be taken. */
@Component({
  selector: 'fl-price-columns',
  imports: [Dialog, SelectField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <fl-dialog #columns label="Columns of the price list" look="w-full max-w-xl p-5">
      @if (table(); as rows) {
        <h2 class="h2">Which column is which</h2>
        <p class="text-sm">{{ rows.length }} rows; the first is “{{ rows[0]?.join(' · ') }}”.</p>
        <div class="mt-3 grid grid-cols-2 gap-3">
          <fl-select-field
            field="column-name"
            label="Item name"
            [options]="columnChoices()"
            [value]="nameAt()"
            (changed)="nameAt.set($event)"
          />
          <fl-select-field
            field="column-price"
            label="Unit price"
            [options]="columnChoices()"
            [value]="priceAt()"
            (changed)="priceAt.set($event)"
          />
        </div>
        <div class="mt-4 flex justify-end gap-2">
          <button type="button" class="btn" (click)="columns.close()">Cancel</button>
          <button type="button" class="btn-main" (click)="takePrices(); columns.close()">
            Import prices
          </button>
        </div>
      }
    </fl-dialog>
  `,
})
export class PriceColumns {
  private readonly store = inject(PlanStore);
  private readonly notices = inject(Notices);
  /** Rows that could not be used, in sentences. */
  readonly refused = output<readonly string[]>();
  private readonly columns = viewChild.required<Dialog>('columns');
  protected readonly table = signal<readonly (readonly string[])[] | null>(null);
  protected readonly nameAt = signal('0');
  protected readonly priceAt = signal('1');
  protected readonly columnChoices = computed(() =>
    (this.table()?.[0] ?? []).map(
      (name, i) => [String(i), name.trim() || `column ${i + 1}`] as const,
    ),
  );
  async read(file: File): Promise<void> {
    const { csvRows } = await import('@firm-line/core/shape/formats');
    const rows = csvRows(await file.text());
    if (!rows.length) return void this.refused.emit([`${file.name} has no rows.`]);
    this.table.set(rows);
    this.columns().show();
  }
  protected takePrices(): void {
    const { prices, bad } = priceRows(
      this.table() ?? [],
      Number(this.nameAt()),
      Number(this.priceAt()),
      listView(viewPlan(this.store.plan())).rows.map(({ item }) => item),
    );
    const calls = [...prices].map(
      ([key, priceMinor]) =>
        ({ edit: 'updateOrder', with: { key, patch: { priceMinor } } }) as const,
    );
    if (calls.length) this.store.apply(...calls);
    this.refused.emit(bad);
    this.notices.say(
      `${prices.size} ${prices.size === 1 ? 'price' : 'prices'} imported${bad.length ? `, ${bad.length} rows not usable` : ''}.`,
    );
  }
}
