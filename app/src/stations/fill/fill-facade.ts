import { computed, inject, Injectable } from '@angular/core';
import { airNetworkOf, methodOf, runNow } from '@firm-line/core/stations/fill';
import type { EditCall, EDITS, Filling } from '@firm-line/core/plan';
import { viewPlan, type BleedView } from '@firm-line/core/plan/results';
import { ML_PER_US_FL_OZ, formatVolume } from '@firm-line/core/lib/units';
import { PlanStore } from '../../session/plan-store';

/** Name of a bleeder: its part's, with its own where the part has two. */
export function bleederName(works: readonly BleedView[], portId: string): string {
  const found = works.flatMap(({ bleeders }) => bleeders).find(({ port }) => port.id === portId);
  if (!found) return 'Removed bleeder';
  return found.part.ports.filter(({ role }) => role === 'bleeder').length > 1
    ? `${found.part.name}, ${found.port.name}`
    : found.part.name;
}

/** Everything about the fluid of the open plan, and how it is changed. */
@Injectable({ providedIn: 'root' })
export class FillFacade {
  private readonly store = inject(PlanStore);
  readonly view = computed(() => viewPlan(this.store.plan()));
  readonly works = computed(() => this.view().bleeding);
  readonly filling = computed((): Filling => this.store.plan().filling);
  readonly run = computed(() => runNow(this.filling()));
  /** The first kind of work that can be bled: by it the method is picked. */
  readonly first = computed(() => this.works().find(({ result }) => result) ?? null);
  readonly network = computed(() => {
    const work = this.first();
    return work && airNetworkOf(work, this.view());
  });
  readonly method = computed(() => methodOf(this.filling(), this.store.plan(), this.network()));

  set(patch: Parameters<(typeof EDITS)['changeFilling']>[1]['patch']): void {
    this.store.apply({ edit: 'changeFilling', with: { patch } });
  }
  apply(call: EditCall): void {
    this.store.apply(call);
  }
  ml(ml: number): string {
    return formatVolume(ml, this.store.shownUnits().volume);
  }
  /** A volume without its unit, to whole millilitres or tenths of an ounce. */
  whole(ml: number): string {
    return this.unit() === 'mL' ? String(Math.round(ml)) : (ml / ML_PER_US_FL_OZ).toFixed(1);
  }
  unit(): string {
    return this.store.shownUnits().volume;
  }
  name(portId: string): string {
    return bleederName(this.works(), portId);
  }
}
