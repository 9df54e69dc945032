import { inject, Injectable } from '@angular/core';
import { Router } from '@angular/router';
import type { Ref } from '@firm-line/core/plan';
import type { Snag } from '@firm-line/core/inspect';
import { addressFor, stationFor } from '../stations/registry';
import { PlanStore } from './plan-store';
import { refText } from './ref-text';
import { Selection } from './selection';

/** Goes to a station with something chosen there. */
@Injectable({ providedIn: 'root' })
export class Jump {
  private readonly router = inject(Router);
  private readonly store = inject(PlanStore);
  private readonly selection = inject(Selection);
  private last: string | null = null;

  /** Opens a station: its page that mends a rule's snags or shows the place, else the one it was left on. */
  to(station: string, place?: Ref, rule?: string): void {
    const chosen = place && place.kind !== 'plan' ? place : null;
    if (chosen) this.selection.look(chosen);
    this.open(addressFor(station, place, rule), chosen ? { at: refText(chosen) } : {});
  }
  toPage(station: string, page: string): void {
    this.open(`${station}/${page}`, {});
  }

  toSnag(snag: Snag): void {
    this.last = snag.key;
    const station = stationFor(snag.station, snag.place);
    this.to(station, snag.place, station === snag.station ? snag.rule : undefined);
  }
  private open(address: string, queryParams: Record<string, string>): void {
    const path = ['/plan', this.store.plan().id, ...address.split('/')];
    void this.router.navigate(path, { queryParams });
  }

  /** The snag after the one last gone to, round and round. */
  toNextSnag(): void {
    const snags = this.store.snags();
    const next =
      snags[(snags.findIndex(({ key }) => key === this.last) + 1) % Math.max(snags.length, 1)];
    if (next) this.toSnag(next);
  }
}
