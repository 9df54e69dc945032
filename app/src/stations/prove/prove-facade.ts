import { computed, inject, Injectable } from '@angular/core';
import { provingTests, signoff } from '@firm-line/core/stations/prove';
import type { EditCall, Proving } from '@firm-line/core/plan';
import { viewPlan } from '@firm-line/core/plan/results';
import { PlanStore } from '../../session/plan-store';

/** What proves the open plan, what stands before its signature, and how it is told. */
@Injectable({ providedIn: 'root' })
export class ProveFacade {
  private readonly store = inject(PlanStore);
  readonly view = computed(() => viewPlan(this.store.plan()));
  readonly proving = computed((): Proving => this.store.plan().proving);
  readonly rounds = computed(() => provingTests(this.view()));
  /** What rules found counts once it is found in this very plan: null until then. */
  readonly signoff = computed(() =>
    this.store.isJudged()
      ? signoff(this.view(), this.store.snags(), {
          on: new Date().toISOString().slice(0, 10),
          km: this.proving().drivenKm ?? null,
        })
      : null,
  );

  apply(call: EditCall): void {
    this.store.apply(call);
  }
  freshId(prefix: string): string {
    return this.store.freshId(prefix);
  }
}
