import { computed, inject, Injectable } from '@angular/core';
import type { EditCall, WheelEnds } from '@firm-line/core/plan';
import { PlanStore } from '../../session/plan-store';

/** What was measured at the corners of the open plan, and its edits. */
@Injectable({ providedIn: 'root' })
export class WheelEndsFacade {
  private readonly store = inject(PlanStore);
  readonly wheelEnds = computed((): WheelEnds => this.store.plan().wheelEnds);

  apply(call: EditCall): void {
    this.store.apply(call);
  }
  freshId(prefix: string): string {
    return this.store.freshId(prefix);
  }
}
