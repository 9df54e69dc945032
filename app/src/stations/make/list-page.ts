import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  signal,
  viewChild,
} from '@angular/core';
import {
  compared,
  listView,
  priceRows,
  received,
  sellerWords,
  type ListItem,
  type ListRow,
} from '@firm-line/core/stations/make/buying';
import {
  fileStem,
  ORDER,
  type Buying,
  type Order,
  type OrderState,
  type OwnItem,
  BUYING,
  choiceName,
} from '@firm-line/core/plan';
import { viewPlan } from '@firm-line/core/plan/results';
import { OptionalNumberField } from '../../kit/fields/optional-number-field';
import { SelectField } from '../../kit/fields/select-field';
import { Notices } from '../../kit/notices';
import { saveFile } from '../../kit/save-file';
import { Jump } from '../../session/jump';
import { PlanStore } from '../../session/plan-store';
import { Dialog } from '../../kit/dialog';
import { FieldOf } from '../../kit/fields/field';

/** Everything the plan uses up or is made with: what is at hand, what is to buy, how it stands, what it costs. */
@Component({
  selector: 'fl-list-page',
  imports: [Dialog, FieldOf, OptionalNumberField, SelectField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block p-5 print:p-0' },
  template: `
    <div class="flex flex-wrap items-end gap-3">
      <h2 class="mr-auto text-2xl font-bold">One list</h2>
      <fl-field
        class="w-24 print:hidden"
        [of]="buyingFields.currency"
        field="currency"
        [value]="buying().currency"
        (changed)="setCurrency($event)"
      />
      <label class="btn cursor-pointer print:hidden"
        >Read prices<input
          #file
          type="file"
          accept=".csv,text/csv"
          class="sr-only"
          (change)="readPrices(file)"
      /></label>
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
            <th class="pr-3 text-right font-normal">Wanted</th>
            <th class="pr-3 text-right font-normal">At hand</th>
            <th class="pr-3 text-right font-normal">To buy</th>
            <th class="pr-3 font-normal">How it stands</th>
            <th class="pr-3 text-right font-normal">Costs</th>
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
                <td class="py-2 pr-3 text-right font-mono">{{ row.wanted }}</td>
                <td class="py-2 pr-3 text-right font-mono">{{ row.hand }}</td>
                <td class="py-2 pr-3 text-right font-mono font-semibold">{{ row.buy }}</td>
                <td class="py-2 pr-3">{{ row.stands }}</td>
                <td class="py-2 pr-3 text-right font-mono">{{ row.cost }}</td>
                <td class="py-2 text-right font-mono">{{ row.percent }}</td>
              </tr>
              @if (open() === row.item.key) {
                <tr class="print:hidden">
                  <td colspan="7" class="pb-4">
                    <div class="grid gap-3 rounded-lg bg-paper p-4 sm:grid-cols-3 lg:grid-cols-6">
                      <fl-field
                        [of]="fields.have"
                        [label]="'At hand, ' + units[row.item.unit]"
                        [value]="row.order.have"
                        (changed)="order(row.item.key, { have: $event })"
                      />
                      <fl-field
                        [of]="fields.state"
                        [field]="'state-' + row.item.key"
                        [value]="row.order.state"
                        (changed)="stand(row, $event)"
                      />
                      <fl-field
                        [of]="fields.from"
                        [field]="'from-' + row.item.key"
                        [value]="row.order.from"
                        (changed)="order(row.item.key, { from: $event })"
                      />
                      <fl-field
                        [of]="fields.due"
                        [field]="'due-' + row.item.key"
                        [value]="row.order.due"
                        (changed)="order(row.item.key, { due: $event })"
                      />
                      <fl-optional-number-field
                        [label]="'Price of one ' + ones[row.item.unit]"
                        [most]="1e7"
                        [value]="row.order.priceMinor === null ? null : row.order.priceMinor / 100"
                        (changed)="
                          order(row.item.key, {
                            priceMinor: $event === null ? null : round($event * 100),
                          })
                        "
                      />
                      <fl-field
                        [of]="fields.note"
                        [field]="'note-' + row.item.key"
                        [value]="row.order.note"
                        (changed)="order(row.item.key, { note: $event })"
                      />
                      <p class="text-sm sm:col-span-3 lg:col-span-6">
                        <strong>To read out:</strong> {{ words(row) }}
                      </p>
                      @if (row.item.half) {
                        <div class="flex flex-wrap items-end gap-3 sm:col-span-3 lg:col-span-6">
                          <fl-optional-number-field
                            label="It came: diameter over the thread, mm"
                            unit="number"
                            [most]="100"
                            [value]="measured().diameterMm"
                            (changed)="measure({ diameterMm: $event })"
                          />
                          <fl-optional-number-field
                            label="Its pitch, mm"
                            unit="number"
                            [most]="10"
                            [value]="measured().pitchMm"
                            (changed)="measure({ pitchMm: $event })"
                          />
                          @if (measured().diameterMm !== null) {
                            <p
                              class="pb-2"
                              role="status"
                              data-test="received"
                              [class.fault]="!check(row.item).ok"
                            >
                              {{ check(row.item).text }}
                            </p>
                          }
                        </div>
                      }
                      <div class="flex flex-wrap gap-2 sm:col-span-3 lg:col-span-6">
                        @for (use of row.item.uses; track $index) {
                          <button type="button" class="link text-sm" (click)="go(use)">
                            {{ use.text }}
                          </button>
                        }
                        @if (row.item.group === 'Your own') {
                          <button type="button" class="btn" (click)="removeOwn(row.item.key)">
                            Remove {{ row.item.name }}
                          </button>
                        }
                      </div>
                    </div>
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
          <label class="label block" for="own-name">Something of your own</label
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
    <section class="card mt-4 p-5 print:hidden" aria-label="One way or another">
      <h3 class="font-bold">One way or another</h3>
      <p class="text-sm text-ink-soft">
        Tick what each way takes; what it costs is worked out from the prices above.
      </p>
      <div class="mt-2 grid gap-3 sm:grid-cols-2">
        @for (way of ways; track way) {
          <fl-select-field
            [field]="'way-' + way"
            [label]="way === 0 ? 'These' : 'instead of these'"
            none="choose a group"
            [options]="groupChoices()"
            [value]="chosenWays()[way]!"
            (changed)="chooseWay(way, $event)"
          />
        }
      </div>
      @if (comparison(); as text) {
        <p class="mt-2" role="status">{{ text }}</p>
      }
    </section>
    <fl-dialog #columns label="Columns of the price list" look="w-full max-w-xl p-5">
      @if (table(); as rows) {
        <h2 class="h2">Which column is which</h2>
        <p class="text-sm">{{ rows.length }} rows; the first is “{{ rows[0]?.join(' · ') }}”.</p>
        <div class="mt-3 grid grid-cols-2 gap-3">
          <fl-select-field
            field="column-name"
            label="Name of the thing"
            [options]="columnChoices()"
            [value]="nameAt()"
            (changed)="nameAt.set($event)"
          />
          <fl-select-field
            field="column-price"
            label="Price of one"
            [options]="columnChoices()"
            [value]="priceAt()"
            (changed)="priceAt.set($event)"
          />
        </div>
        <div class="mt-4 flex justify-end gap-2">
          <button type="button" class="btn" (click)="columns.close()">Leave it</button>
          <button type="button" class="btn-main" (click)="takePrices(); columns.close()">
            Take the prices
          </button>
        </div>
      }
    </fl-dialog>
  `,
})
export class ListPage {
  protected readonly fields = ORDER.fields;
  protected readonly buyingFields = BUYING.fields;
  private readonly store = inject(PlanStore);
  private readonly jump = inject(Jump);
  private readonly notices = inject(Notices);
  protected readonly units = { piece: 'pieces', m: 'm', mL: 'mL' } as const;
  protected readonly ones = { piece: 'piece', m: 'metre', mL: 'litre' } as const;
  protected readonly round = Math.round;
  protected readonly open = signal<string | null>(null);
  protected readonly bad = signal<readonly string[]>([]);
  protected readonly ownName = signal('');
  protected readonly buying = computed((): Buying => this.store.plan().buying);
  private readonly view = computed(() => listView(viewPlan(this.store.plan())));

  private money(minor: number | null): string {
    return minor === null ? '–' : (minor / 100).toFixed(2);
  }
  private readonly percent = (share: number | null): string =>
    share === null || share === 0 ? '' : `${(100 * share).toFixed(share < 0.095 ? 1 : 0)} %`;
  private amount({ unit }: ListItem, n: number): string {
    return unit === 'm' ? `${n.toFixed(2)} m` : unit === 'mL' ? `${Math.round(n)} mL` : String(n);
  }
  protected readonly groups = computed(() => {
    const { rows, groups } = this.view();
    return groups.map(({ group, sumMinor, share }) => ({
      group,
      cost: sumMinor ? this.money(sumMinor) : '',
      share: this.percent(share),
      rows: rows
        .filter(({ item }) => item.group === group)
        .map((row) => ({
          ...row,
          wanted: this.amount(row.item, row.item.count),
          hand: row.have ? this.amount(row.item, row.have) : '',
          buy: row.toBuy ? this.amount(row.item, row.toBuy) : '',
          cost: this.money(row.costMinor),
          percent: this.percent(row.share),
          stands: `${row.order.state === 'needed' && !row.toBuy ? 'at hand' : choiceName(ORDER.fields.state, row.order.state)}${row.order.from ? `, ${row.order.from}` : ''}${row.order.due && row.order.state !== 'here' && row.order.state !== 'fitted' ? `, due ${row.order.due}` : ''}`,
          where:
            row.item.uses.length > 3
              ? `${row.item.uses
                  .slice(0, 3)
                  .map(({ text }) => text)
                  .join('; ')} and ${row.item.uses.length - 3} more`
              : row.item.uses.map(({ text }) => text).join('; '),
        })),
    }));
  });
  protected readonly sum = computed(() => {
    const { sumMinor, unpriced, rows, currency } = this.view();
    const open = rows.filter(({ toBuy }) => toBuy > 0).length;
    const over = rows.filter(({ have, item }) => have > item.count && item.unit === 'piece').length;
    return `${open} of ${rows.length} things to buy, ${this.money(sumMinor)} ${currency} in all${unpriced ? `; ${unpriced} without a price` : ''}${over ? `; more than wanted of ${over}` : ''}. Tap a thing to say how it stands.`;
  });

  protected setCurrency(currency: string): void {
    this.store.apply({ edit: 'setCurrency', with: { currency } });
  }
  protected order(key: string, patch: Partial<Order>): void {
    this.store.apply({ edit: 'updateOrder', with: { key, patch } });
  }
  /** What has come counts as at hand; what is ordered today says so. */
  protected stand(row: ListRow, state: OrderState): void {
    const today = new Date().toISOString().slice(0, 10);
    this.order(row.item.key, {
      state,
      ...(state === 'ordered' && !row.order.on ? { on: today } : {}),
      ...(state === 'here' ? { have: Math.max(row.order.have, row.item.count) } : {}),
    });
  }
  protected words(row: ListRow): string {
    return sellerWords(row);
  }
  protected readonly measured = signal<{
    readonly diameterMm: number | null;
    readonly pitchMm: number | null;
  }>({ diameterMm: null, pitchMm: null });
  protected measure(patch: Partial<{ diameterMm: number | null; pitchMm: number | null }>): void {
    this.measured.update((now) => ({ ...now, ...patch }));
  }
  protected check(item: ListItem): { ok: boolean; text: string } {
    const { diameterMm, pitchMm } = this.measured();
    return received(item, diameterMm!, pitchMm);
  }
  protected toggle(key: string): void {
    this.open.update((now) => (now === key ? null : key));
    this.measured.set({ diameterMm: null, pitchMm: null });
  }
  protected go({ place }: ListItem['uses'][number]): void {
    this.jump.to(
      place.kind === 'line' ? 'route' : place.kind === 'hose' ? 'route' : 'plumb',
      place,
    );
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
  protected removeOwn(key: string): void {
    const id = key.slice('own:'.length);
    this.store.apply({ edit: 'removeOwnItemAndOrder', with: { id, key } });
  }
  protected readonly ways = [0, 1] as const;
  protected readonly chosenWays = signal<readonly [string, string]>(['', '']);
  protected readonly groupChoices = computed(() =>
    this.view().groups.map(({ group }) => [group, group] as const),
  );
  protected chooseWay(way: number, group: string): void {
    this.chosenWays.update(([a, b]) => (way === 0 ? [group, b] : [a, group]));
  }
  protected readonly comparison = computed(() => {
    const [a, b] = this.chosenWays();
    if (!a || !b || a === b) return null;
    const { groups, rows, currency } = this.view();
    const cost = (name: string): number =>
      groups.find(({ group }) => group === name)?.sumMinor ?? 0;
    const count = (name: string): number =>
      rows
        .filter(({ item }) => item.group === name)
        .reduce((sum, { toBuy, item }) => sum + (item.unit === 'piece' ? toBuy : 0), 0);
    const { lessMinor, percent } = compared(cost(b), cost(a));
    if (!cost(a) || !cost(b)) return 'One of the two has no prices yet.';
    const pieces = count(a) - count(b);
    return `${a} instead of ${b.toLowerCase()}: ${this.money(Math.abs(lessMinor))} ${currency} ${lessMinor >= 0 ? 'less' : 'more'}${percent === null ? '' : ` (${Math.abs(percent).toFixed(0)} %)`}, ${pieces === 0 ? 'as many pieces' : `${Math.abs(pieces)} ${pieces > 0 ? 'pieces more' : 'pieces fewer'}`}.`;
  });

  private readonly columns = viewChild.required<Dialog>('columns');
  protected readonly table = signal<readonly (readonly string[])[] | null>(null);
  protected readonly nameAt = signal('0');
  protected readonly priceAt = signal('1');
  protected readonly columnChoices = computed(() =>
    (this.table()?.[0] ?? []).map(
      (name, i) => [String(i), name.trim() || `column ${i + 1}`] as const,
    ),
  );
  protected async readPrices(field: HTMLInputElement): Promise<void> {
    const [file] = field.files ?? [];
    field.value = '';
    if (!file) return;
    const { csvRows } = await import('@firm-line/core/shape/formats');
    const rows = csvRows(await file.text());
    if (!rows.length) return void this.bad.set([`${file.name} has no rows.`]);
    this.table.set(rows);
    this.columns().show();
  }
  protected takePrices(): void {
    const { prices, bad } = priceRows(
      this.table() ?? [],
      Number(this.nameAt()),
      Number(this.priceAt()),
      this.view().rows.map(({ item }) => item),
    );
    const calls = [...prices].map(
      ([key, priceMinor]) =>
        ({ edit: 'updateOrder', with: { key, patch: { priceMinor } } }) as const,
    );
    if (calls.length) this.store.apply(...calls);
    this.bad.set(bad);
    this.notices.say(
      `${prices.size} ${prices.size === 1 ? 'price' : 'prices'} taken${bad.length ? `, ${bad.length} rows could not be used` : ''}.`,
    );
  }
  protected async exportCsv(): Promise<void> {
    const { tableCsv } = await import('@firm-line/core/shape/formats');
    const { rows, currency } = this.view();
    const head = [
      'Group',
      'What',
      'Wanted',
      'At hand',
      'To buy',
      'Unit',
      'How it stands',
      'From',
      'Due',
      `Price of one (${currency || 'no currency'})`,
      'Costs',
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
      order.priceMinor === null ? '' : this.money(order.priceMinor),
      costMinor === null ? '' : this.money(costMinor),
      item.uses.map(({ text }) => text).join('; '),
      item.key,
    ]);
    saveFile(`${fileStem(this.store.plan())}-list.csv`, tableCsv([head, ...body]), 'text/csv');
  }
  protected print(): void {
    window.print();
  }
}
