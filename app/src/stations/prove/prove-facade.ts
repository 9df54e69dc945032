import { computed, inject, Injectable } from '@angular/core';
import { openPoints, provingTests } from '@firm-line/core/stations/prove';
import type { EditCall, Proving } from '@firm-line/core/plan';
import { viewPlan } from '@firm-line/core/plan/results';
import { PlanStore } from '../../session/plan-store';

/** What proves the open plan, what is still open, and how it is told. */
@Injectable({ providedIn: 'root' })
export class ProveFacade {
  private readonly store = inject(PlanStore);
  readonly view = computed(() => viewPlan(this.store.plan()));
  readonly proving = computed((): Proving => this.store.plan().proving);
  readonly rounds = computed(() => provingTests(this.view()));
  /** What rules found counts once it is found in this very plan. */
  readonly points = computed(() =>
    this.store.isJudged() ? openPoints(this.view(), this.store.snags()) : null,
  );

  apply(call: EditCall): void {
    this.store.apply(call);
  }
  freshId(prefix: string): string {
    return this.store.freshId(prefix);
  }
}
