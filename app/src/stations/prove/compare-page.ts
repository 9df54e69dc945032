import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { comparePlans, type Difference } from '@firm-line/core/stations/prove';
import type { Plan } from '@firm-line/core/plan';
import { viewPlan } from '@firm-line/core/plan/results';
import { PlanStore } from '../../session/plan-store';
import { PlanDb } from '../../storage/plan-db';
import { PlanChecks } from '../../worker/plan-checks';
import { STATIONS } from '../registry';
import { FileField } from '../../kit/fields/file-field';

/** This plan beside another, or beside its earlier self in a file: what differs, in words, by station. */
@Component({
  selector: 'fl-compare-page',
  imports: [FileField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block p-5' },
  template: `
    <h2 class="text-2xl font-bold">Compare plans</h2>
    <p class="mt-1 max-w-prose">
      Compare with which plan? The list shows what is different in {{ name() }}.
    </p>
    <div class="mt-3 flex flex-wrap items-end gap-3">
      <div>
        <label class="label block" for="other">A plan in this browser</label>
        <select #other id="other" class="field" (change)="pick(other.value)">
          <option value="">choose…</option>
          @for (one of others(); track one.id) {
            <option [value]="one.id">{{ one.name }}</option>
          }
        </select>
      </div>
      <fl-file-field
        label="Or an older copy, from a file"
        look="min-h-14"
        accept=".json"
        (picked)="open($event[0]!)"
      />
      <button type="button" class="btn min-h-14" [disabled]="!atOpen()" (click)="was.set(atOpen())">
        As opened
      </button>
    </div>
    @if (fault()) {
      <p class="fault mt-3" role="alert">{{ fault() }}</p>
    }
    @if (was(); as was) {
      <h3 class="mt-5 text-xl font-bold" data-test="compared">
        {{ count() }} compared with “{{ was.name }}”
      </h3>
      @for (group of groups(); track group.name) {
        <section class="card mt-3 p-4" [attr.aria-label]="group.name" data-test="differences">
          <h4 class="h2">{{ group.name }}</h4>
          <ul>
            @for (one of group.found; track $index) {
              <li class="border-t border-rule py-1">
                <span class="font-semibold">{{ one.where }}</span>: {{ one.text }}
              </li>
            }
          </ul>
        </section>
      }
    }
  `,
})
export class ComparePage {
  private readonly store = inject(PlanStore);
  private readonly db = inject(PlanDb);
  private readonly checks = inject(PlanChecks);
  protected readonly name = computed(() => this.store.plan().name);
  protected readonly was = signal<Plan | null>(null);
  protected readonly fault = signal('');
  protected readonly others = signal<readonly { readonly id: string; readonly name: string }[]>([]);
  /** The oldest state that undo still knows. */
  protected readonly atOpen = computed(() => this.store.oldest());
  private readonly found = computed((): Difference[] => {
    const was = this.was();
    return was ? comparePlans(viewPlan(was), viewPlan(this.store.plan())) : [];
  });
  protected readonly count = computed(() => {
    const count = this.found().length;
    return count ? `${count} ${count === 1 ? 'difference' : 'differences'}` : 'No differences';
  });
  protected readonly groups = computed(() =>
    [...STATIONS.map(({ path, name }) => ({ path, name }))]
      .map(({ path, name }) => ({
        name,
        found: this.found().filter(({ station }) => station === path),
      }))
      .filter(({ found }) => found.length),
  );

  constructor() {
    void this.db.all().then(
      (list) =>
        this.others.set(
          list.filter(({ id, deletedAt }) => !deletedAt && id !== this.store.plan().id),
        ),
      () => undefined,
    );
  }
  protected async pick(id: string): Promise<void> {
    if (!id) return;
    try {
      const plan = (await this.db.get(id))?.plan;
      this.fault.set(plan ? '' : 'That plan was deleted.');
      this.was.set(plan ?? null);
    } catch (error) {
      this.fault.set((error as Error).message);
    }
  }
  protected async open(file: File): Promise<void> {
    try {
      this.was.set(await this.checks.read(await file.text()));
      this.fault.set('');
    } catch (error) {
      this.fault.set(`${file.name}: ${(error as Error).message}`);
    }
  }
}
