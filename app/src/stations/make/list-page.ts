import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { listView, type ListItem, type ListRow } from '@firm-line/core/stations/make/buying';
import {
  fileStem,
  ORDER,
  type Buying,
  type OwnItem,
  BUYING,
  choiceName,
} from '@firm-line/core/plan';
import { viewPlan } from '@firm-line/core/plan/results';
import { saveFile } from '../../kit/save-file';
import { PlanStore } from '../../session/plan-store';
import { FieldOf } from '../../kit/fields/field';
import { ListEntry } from './list-entry';
import { ListWays } from './list-ways';
import { moneyWords } from './money';
import { PriceColumns } from './price-columns';
import { FileField } from '../../kit/fields/file-field';

/** How a thing of the list stands: at hand, ordered from whom, due when. */
function standsWords({ order: { state, from, due }, toBuy }: ListRow): string {
  const isHere = state === 'here' || state === 'fitted';
  return [
    state === 'needed' && !toBuy ? 'on hand' : choiceName(ORDER.fields.state, state),
    ...(from ? [from] : []),
    ...(due && !isHere ? [`due ${due}`] : []),
  ].join(', ');
}
/** What it is for, the first three of it. */
function whereWords({ name, uses }: ListItem): string {
  const first = uses
    .slice(0, 3)
    .map(({ text }) => text)
    // A part is named once.
    .filter((text) => text !== name);
  return `${first.join('; ')}${uses.length > 3 ? ` and ${uses.length - 3} more` : ''}`;
}

/** Everything the plan uses up or is made with: what is at hand, what is to buy, how it stands, what it costs. */
@Component({
  selector: 'fl-list-page',
  imports: [FileField, FieldOf, ListEntry, ListWays, PriceColumns],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block p-5 print:p-0' },
  template: `
    <div class="flex flex-wrap items-end gap-3">
      <h2 class="mr-auto text-2xl font-bold">Shopping list</h2>
      <fl-field
        class="w-24 print:hidden"
        [of]="buyingFields.currency"
        field="currency"
        [value]="buying().currency"
        (changed)="setCurrency($event)"
      />
      <fl-file-field
        class="print:hidden"
        label="Import prices"
        accept=".csv,text/csv"
        (picked)="columns.read($event[0]!)"
      />
      <button type="button" class="btn print:hidden" (click)="exportCsv()">Export list</button>
      <button type="button" class="btn print:hidden" (click)="print()">Print</button>
    </div>
    <p class="mt-1" data-test="list-sum">{{ sum() }}</p>
    @for (line of bad(); track $index) {
      <p class="fault">{{ line }}</p>
    }
    <div class="card mt-3 overflow-x-auto px-5 py-2">
      <table class="w-full text-left">
        <thead class="text-sm text-ink-soft">
          <tr>
            <th class="py-1 pr-3 font-normal">What</th>
            <th class="pr-3 text-right font-normal">Needed</th>
            <th class="pr-3 text-right font-normal">On hand</th>
            <th class="pr-3 text-right font-normal">To buy</th>
            <th class="pr-3 font-normal">Status</th>
            <th class="pr-3 text-right font-normal">Cost</th>
            <th class="text-right font-normal">Share</th>
          </tr>
        </thead>
        @for (group of groups(); track group.group) {
          <tbody>
            <tr>
              <th colspan="5" class="pt-3 pb-1 font-bold">{{ group.group }}</th>
              <td class="pr-3 text-right font-mono text-sm">{{ group.cost }}</td>
              <td class="text-right font-mono text-sm">{{ group.share }}</td>
            </tr>
            @for (row of group.rows; track row.item.key) {
              <tr
                class="border-t border-rule align-top"
                [class.text-ink-soft]="!row.toBuy && row.order.state === 'fitted'"
              >
                <td class="py-1 pr-3">
                  <button
                    type="button"
                    class="min-h-tap text-left font-semibold underline-offset-2 hover:underline print:min-h-0"
                    [attr.aria-expanded]="open() === row.item.key"
                    (click)="toggle(row.item.key)"
                  >
                    {{ row.item.name }}
                  </button>
                  <span class="block text-sm text-ink-soft">{{ row.where }}</span>
                </td>
                <td class="py-2 pr-3 text-right font-mono whitespace-nowrap">{{ row.wanted }}</td>
                <td class="py-2 pr-3 text-right font-mono whitespace-nowrap">{{ row.hand }}</td>
                <td class="py-2 pr-3 text-right font-mono font-semibold whitespace-nowrap">
                  {{ row.buy }}
                </td>
                <td class="py-2 pr-3">{{ row.stands }}</td>
                <td class="py-2 pr-3 text-right font-mono whitespace-nowrap">{{ row.cost }}</td>
                <td class="py-2 text-right font-mono">{{ row.percent }}</td>
              </tr>
              @if (open() === row.item.key) {
                <tr class="print:hidden">
                  <td colspan="7" class="pb-4">
                    <fl-list-entry [row]="row" />
                  </td>
                </tr>
              }
            }
          </tbody>
        }
      </table>
      <form
        class="flex flex-wrap items-end gap-3 border-t border-rule py-3 print:hidden"
        (submit)="addOwn($event)"
      >
        <div>
          <label class="label block" for="own-name">Your own item</label
          ><input
            #own
            id="own-name"
            class="field"
            maxlength="200"
            (input)="ownName.set(own.value)"
            [value]="ownName()"
          />
        </div>
        <button type="submit" class="btn" [disabled]="!ownName().trim()">Add to the list</button>
      </form>
    </div>
    <fl-list-ways class="card mt-4 block p-5 print:hidden" />
    <fl-price-columns #columns (refused)="bad.set($event)" />
  `,
})
export class ListPage {
  protected readonly buyingFields = BUYING.fields;
  private readonly store = inject(PlanStore);
  protected readonly open = signal<string | null>(null);
  protected readonly bad = signal<readonly string[]>([]);
  protected readonly ownName = signal('');
  protected readonly buying = computed((): Buying => this.store.plan().buying);
  private readonly view = computed(() => listView(viewPlan(this.store.plan())));

  private readonly percent = (share: number | null): string =>
    share === null || share === 0 ? '' : `${(100 * share).toFixed(share < 0.095 ? 1 : 0)} %`;
  private amount({ unit }: ListItem, n: number): string {
    return unit === 'm' ? `${n.toFixed(2)} m` : unit === 'mL' ? `${Math.round(n)} mL` : String(n);
  }
  protected readonly groups = computed(() => {
    const { rows, groups } = this.view();
    return groups.map(({ group, sumMinor, share }) => ({
      group,
      cost: sumMinor ? moneyWords(sumMinor) : '',
      share: this.percent(share),
      rows: rows
        .filter(({ item }) => item.group === group)
        .map((row) => ({
          ...row,
          wanted: this.amount(row.item, row.item.count),
          hand: row.have ? this.amount(row.item, row.have) : '',
          buy: row.toBuy ? this.amount(row.item, row.toBuy) : '',
          cost: moneyWords(row.costMinor),
          percent: this.percent(row.share),
          stands: standsWords(row),
          where: whereWords(row.item),
        })),
    }));
  });
  protected readonly sum = computed(() => {
    const { sumMinor, sums, unpriced, rows, currency } = this.view();
    const spent = sums.ordered || sums.paid;
    const parts = spent
      ? `: ${moneyWords(sums.planned)} planned, ${moneyWords(sums.ordered)} ordered, ${moneyWords(sums.paid)} paid`
      : '';
    const open = rows.filter(({ toBuy }) => toBuy > 0).length;
    const over = rows.filter(({ have, item }) => have > item.count && item.unit === 'piece').length;
    return `${open} of ${rows.length} items to buy, ${moneyWords(sumMinor)} ${currency} in all${parts}${unpriced ? `; ${unpriced} without a price` : ''}${over ? `; more than needed of ${over}` : ''}. Tap an item to change its status.`;
  });

  protected setCurrency(currency: string): void {
    this.store.apply({ edit: 'setCurrency', with: { currency } });
  }
  protected toggle(key: string): void {
    this.open.update((now) => (now === key ? null : key));
  }
  protected addOwn(event: Event): void {
    event.preventDefault();
    const name = this.ownName().trim();
    if (!name) return;
    const ownItem: OwnItem = { id: this.store.freshId('item'), name, count: 1 };
    this.store.apply({ edit: 'addOwnItem', with: { ownItem } });
    this.ownName.set('');
    this.open.set(`own:${ownItem.id}`);
  }
  protected async exportCsv(): Promise<void> {
    const { tableCsv } = await import('@firm-line/core/shape/formats');
    const { rows, currency } = this.view();
    const head = [
      'Group',
      'What',
      'Needed',
      'On hand',
      'To buy',
      'Unit',
      'Status',
      'From',
      'Due',
      `Unit price (${currency || 'no currency'})`,
      'Cost',
      'Where',
      'Key',
    ];
    const body = rows.map(({ item, order, toBuy, costMinor }) => [
      item.group,
      item.name,
      item.count,
      order.have,
      toBuy,
      item.unit,
      choiceName(ORDER.fields.state, order.state),
      order.from,
      order.due ?? '',
      order.priceMinor === null ? '' : moneyWords(order.priceMinor),
      costMinor === null ? '' : moneyWords(costMinor),
      item.uses.map(({ text }) => text).join('; '),
      item.key,
    ]);
    saveFile(`${fileStem(this.store.plan())}-list.csv`, tableCsv([head, ...body]), 'text/csv');
  }
  protected print(): void {
    window.print();
  }
}
