import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { compared, listView } from '@firm-line/core/stations/make/buying';
import { viewPlan } from '@firm-line/core/plan/results';
import { SelectField } from '../../kit/fields/select-field';
import { PlanStore } from '../../session/plan-store';
import { moneyWords } from './money';

/** What one group of the list costs beside another. */
@Component({
  selector: 'fl-list-ways',
  imports: [SelectField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { role: 'region', 'aria-label': 'Compare two options' },
  template: `
    <h3 class="font-bold">Compare two options</h3>
    <p class="text-sm text-ink-soft">
      Tick what each option needs. Costs come from the prices above.
    </p>
    <div class="mt-2 grid gap-3 sm:grid-cols-2">
      @for (way of ways; track way) {
        <fl-select-field
          [field]="'way-' + way"
          [label]="way === 0 ? 'Option 1' : 'Option 2'"
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
  `,
})
export class ListWays {
  private readonly store = inject(PlanStore);
  private readonly view = computed(() => listView(viewPlan(this.store.plan())));
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
    if (!cost(a) || !cost(b)) return 'One option has no prices yet.';
    const pieces = count(a) - count(b);
    return `${a} instead of ${b.toLowerCase()}: ${moneyWords(Math.abs(lessMinor))} ${currency} ${lessMinor >= 0 ? 'less' : 'more'}${percent === null ? '' : ` (${Math.abs(percent).toFixed(0)} %)`}, ${pieces === 0 ? 'same number of pieces' : `${Math.abs(pieces)} ${pieces > 0 ? 'pieces more' : 'pieces fewer'}`}.`;
  });
}
