import { computed, inject, Injectable } from '@angular/core';
import { NO_CORNERS, type Corners } from '@firm-line/core/plan';
import { PlanStore } from '../../session/plan-store';

/** What was measured at the corners of the open plan, and its edits. */
@Injectable({ providedIn: 'root' })
export class WheelEndsFacade {
  private readonly store = inject(PlanStore);
  readonly corners = computed((): Corners => this.store.plan().corners ?? NO_CORNERS);

  set(patch: Partial<Corners>): void {
    this.store.apply({
      edit: 'setSheet',
      with: { sheet: 'corners', to: { ...this.corners(), ...patch } },
    });
  }
}
