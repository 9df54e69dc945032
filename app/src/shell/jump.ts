import { inject, Injectable } from '@angular/core';
import { Router } from '@angular/router';
import type { Place, Snag, Station } from '@firm-line/core/snags';
import { PlanStore } from '../plan/plan-store';
import { Selection } from '../plan/selection';

/** Goes to a station with something chosen there. */
@Injectable({ providedIn: 'root' })
export class Jump {
  private readonly router = inject(Router);
  private readonly store = inject(PlanStore);
  private readonly selection = inject(Selection);
  private last: string | null = null;

  to(station: Station, place?: Place): void {
    if (place?.kind === 'line') this.selection.chooseLine(place.id, place.node ?? null);
    if (place?.kind === 'hose') this.selection.chooseHose(place.id);
    if (place?.kind === 'point' || place?.kind === 'port') this.selection.chooseTarget({ kind: place.kind, id: place.id });
    void this.router.navigate(['/plan', this.store.plan()?.id, station]);
  }

  toSnag(snag: Snag): void {
    this.last = keyOf(snag);
    // A bleeder that cannot be bled is looked at where its part is set up.
    this.to(snag.station === 'fill' && snag.place.kind === 'port' ? 'measure' : snag.station, snag.place);
  }

  /** The snag after the one last gone to, round and round. */
  toNextSnag(): void {
    const snags = this.store.snags();
    const next = snags[(snags.findIndex((snag) => keyOf(snag) === this.last) + 1) % Math.max(snags.length, 1)];
    if (next) this.toSnag(next);
  }
}

export const keyOf = (snag: Snag): string => `${snag.rule} ${snag.place.kind} ${snag.place.id} ${snag.where}`;
