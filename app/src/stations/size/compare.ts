import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { figure } from '@firm-line/core/lib/faults';
import { viewPlan, type LoadView } from '@firm-line/core/plan/results';
import { Notices } from '../../kit/notices';
import { PlanDb } from '../../storage/plan-db';
import type { PlanHead } from '../../storage/stored-plan';
import { PlanStore } from '../../session/plan-store';
import { PlanChecks } from '../../worker/plan-checks';

const ROWS: readonly (readonly [string, (load: LoadView) => string])[] = [
  ['Pressure front, MPa', (l) => figure(l.size.pressureMPa.front, 2)],
  ['Pressure rear, MPa', (l) => figure(l.size.pressureMPa.rear, 2)],
  ['Deceleration available, z', (l) => figure(l.usableZ, 3)],
  ['Stopping distance, m', (l) => figure(l.stopM, 1)],
  ['Pedal, mm', (l) => figure(l.size.travelMm.total, 1)],
  ['Locks first', (l) => l.size.locksFirst],
  [
    'Balance point, z',
    (l) => (l.size.balancePointZ === null ? 'none' : figure(l.size.balancePointZ, 3)),
  ],
];

/** Two versions side by side: these figures as they were held, or another plan, against this one now. */
@Component({
  selector: 'fl-compare',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <div class="flex flex-wrap items-center gap-3">
      <h2 class="h2 mr-auto">Compare two options</h2>
      <select
        #other
        class="field"
        aria-label="Use another plan as option A"
        (focus)="list()"
        (change)="take(other.value); other.value = ''"
      >
        <option value="">Use another plan as option A…</option>
        @for (plan of others(); track plan.id) {
          <option [value]="plan.id">{{ plan.name }}</option>
        }
      </select>
      <button type="button" class="btn" (click)="hold()">Save as option A</button>
    </div>
    @if (rows().length) {
      <table class="mt-2 w-full text-left">
        <thead class="text-sm text-ink-soft">
          <tr>
            <th class="font-normal">Figure</th>
            <th class="text-right font-normal">A, {{ name() }}</th>
            <th class="text-right font-normal">B, current</th>
          </tr>
        </thead>
        <tbody>
          @for (row of rows(); track row.name) {
            <tr class="border-t border-rule" [class.font-bold]="row.a !== row.b">
              <td class="py-1">{{ row.name }}</td>
              <td class="text-right font-mono">{{ row.a }}</td>
              <td class="text-right font-mono">{{ row.b }}</td>
            </tr>
          }
        </tbody>
      </table>
    } @else {
      <p class="text-sm text-ink-soft">
        Save the current figures as option A, then change some. Or choose another plan. Both are
        shown side by side.
      </p>
    }
  `,
})
export class Compare {
  private readonly store = inject(PlanStore);
  private readonly db = inject(PlanDb);
  private readonly checks = inject(PlanChecks);
  private readonly notices = inject(Notices);
  readonly share = input.required<number>();
  /** The other version at a load. */
  private readonly a = signal<{ name: string; at: (share: number) => LoadView } | null>(null);
  protected readonly others = signal<readonly PlanHead[]>([]);
  protected readonly name = computed(() => this.a()?.name ?? '');
  protected readonly rows = computed(() => {
    const [a, b] = [this.a()?.at(this.share()), viewPlan(this.store.plan()).size?.at(this.share())];
    return a && b ? ROWS.map(([name, show]) => ({ name, a: show(a), b: show(b) })) : [];
  });

  protected hold(): void {
    const size = viewPlan(this.store.plan()).size;
    if (size) this.a.set({ name: 'held', at: size.at });
  }
  protected async list(): Promise<void> {
    const here = this.store.plan().id;
    this.others.set((await this.db.all()).filter((head) => !head.deletedAt && head.id !== here));
  }
  protected async take(id: string): Promise<void> {
    const stored = id ? await this.db.get(id) : undefined;
    if (!stored) return;
    const size = viewPlan(await this.checks.check(stored.plan)).size;
    if (size) this.a.set({ name: stored.name, at: size.at });
    else this.notices.say(`${stored.name} has no figures from foot to road yet.`);
  }
}
