import { computed, inject, Injectable } from '@angular/core';
import { provingTests, signoff } from '@firm-line/core/stations/prove';
import type { EditCall, Proving } from '@firm-line/core/plan';
import { viewPlan } from '@firm-line/core/plan/results';
import { today } from '../../kit/today';
import { PlanStore } from '../../session/plan-store';

/** The open plan’s tests and sign-off, and edits of them. */
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
          on: today(),
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
