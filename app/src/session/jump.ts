import { inject, Injectable } from '@angular/core';
import { Router } from '@angular/router';
import type { Ref } from '@firm-line/core/plan';
import type { Snag } from '@firm-line/core/inspect';
import { stationFor } from '../stations/registry';
import { PlanStore } from './plan-store';
import { refText, Selection } from './selection';

/** Goes to a station with something chosen there. */
@Injectable({ providedIn: 'root' })
export class Jump {
  private readonly router = inject(Router);
  private readonly store = inject(PlanStore);
  private readonly selection = inject(Selection);
  private last: string | null = null;

  to(station: string, place?: Ref): void {
    if (place && place.kind !== 'plan') this.selection.look(place);
    const queryParams = place && place.kind !== 'plan' ? { at: refText(place) } : {};
    void this.router.navigate(['/plan', this.store.plan().id, station], { queryParams });
  }

  toSnag(snag: Snag): void {
    this.last = snag.key;
    this.to(stationFor(snag.station, snag.place), snag.place);
  }

  /** The snag after the one last gone to, round and round. */
  toNextSnag(): void {
    const snags = this.store.snags();
    const next =
      snags[(snags.findIndex(({ key }) => key === this.last) + 1) % Math.max(snags.length, 1)];
    if (next) this.toSnag(next);
  }
}
