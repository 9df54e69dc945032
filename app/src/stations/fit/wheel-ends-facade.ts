import { computed, inject, Injectable } from '@angular/core';
import type { EditCall, WheelEnds } from '@firm-line/core/plan';
import { PlanStore } from '../../session/plan-store';

/** What was measured at the corners of the open plan, and its edits. */
@Injectable({ providedIn: 'root' })
export class WheelEndsFacade {
  private readonly store = inject(PlanStore);
  readonly wheelEnds = computed((): WheelEnds => this.store.plan().wheelEnds);

  /** What a rule says: of everything, or of one record. */
  said(rule: string, id?: string): string[] {
    return this.store
      .snags()
      .filter((snag) => snag.rule === rule && (id === undefined || snag.place.id === id))
      .map(({ text }) => text);
  }
  apply(call: EditCall): void {
    this.store.apply(call);
  }
  freshId(prefix: string): string {
    return this.store.freshId(prefix);
  }
}
