import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { figure } from '@firm-line/core/lib/faults';
import { HOSE_CLASS_NAMES, hoseById, hoseFittingById } from '@firm-line/core/trade/stock';
import { formatLengthUnit } from '@firm-line/core/lib/units';
import { printSheet } from '../../../kit/print-sheet';
import { PlanStore } from '../../../session/plan-store';

/** What is ordered: hoses that are alike stand in one row, with their count. It is seen on paper only. */
@Component({
  selector: 'fl-hose-sheet',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'print-sheet hidden' },
  template: `
    <h1 class="text-2xl font-bold">{{ store.plan().name }}: hoses to order</h1>
    <p>Lengths are seat to seat, including fittings, as hoses are sold.</p>
    <table class="mt-4 w-full border-collapse text-left text-sm" data-test="hose-order">
      <thead>
        <tr class="border-b-2 border-ink">
          <th class="pr-3">Count</th>
          <th class="pr-3">Hose</th>
          <th class="pr-3">Length</th>
          <th class="pr-3">End A</th>
          <th class="pr-3">End B</th>
          <th>For</th>
        </tr>
      </thead>
      <tbody>
        @for (row of rows(); track row.key) {
          <tr class="border-b border-rule align-top">
            <td class="pr-3 font-mono">{{ row.names.length }}</td>
            <td class="pr-3">{{ row.stock }}</td>
            <td class="pr-3 font-mono">{{ row.length }}</td>
            <td class="pr-3">{{ row.a }}</td>
            <td class="pr-3">{{ row.b }}</td>
            <td>{{ row.names.join(', ') }}</td>
          </tr>
        }
      </tbody>
    </table>
    <p class="mt-4 text-sm">
      Hose without brake marking can burst. Ask for the marking (maker, date, standard), and for the
      proof test certificate of a hose made to order. Check threads and seats at each port (Join),
      and check lengths on the vehicle with a cord. The hose maker’s sheet comes first: smallest
      radius, burst pressure, date.
    </p>
  `,
})
export class HoseSheet {
  protected readonly store = inject(PlanStore);
  protected readonly rows = computed(() => {
    const groups = new Map<
      string,
      { key: string; stock: string; length: string; a: string; b: string; names: string[] }
    >();
    for (const hose of this.store.plan().hoses) {
      const stock = hoseById(hose.stockId)!;
      const end = (which: 'a' | 'b'): string => hoseFittingById(hose.ends[which].fittingId)!.name;
      const key = [hose.stockId, hose.orderMm, hose.ends.a.fittingId, hose.ends.b.fittingId].join();
      const group = groups.get(key) ?? {
        key,
        stock: `${stock.name} (${HOSE_CLASS_NAMES[stock.kind]}, bore ${figure(stock.boreMm)} mm)`,
        length: formatLengthUnit(hose.orderMm, this.store.units()),
        a: end('a'),
        b: end('b'),
        names: [],
      };
      group.names.push(`${hose.name} ${hose.title}`);
      groups.set(key, group);
    }
    return [...groups.values()];
  });

  print(): void {
    printSheet({ widthMm: 297, heightMm: 210, marginMm: 12 });
  }
}
