import { inject, Injectable, Injector } from '@angular/core';
import { NavigationEnd, Router } from '@angular/router';
import { filter } from 'rxjs';
import { readRef } from '../session/ref-text';
import { addressFor, stationAt } from './registry';

/** Which page of each station was open last: going to another station and back finds it again. */
@Injectable({ providedIn: 'root' })
export class LastPage {
  private readonly router = inject(Router);
  private readonly injector = inject(Injector);
  private readonly last = new Map<string, string>();

  constructor() {
    this.router.events
      .pipe(filter((event) => event instanceof NavigationEnd))
      .subscribe(() => this.note());
    this.note();
  }

  /** The page to open a station with: the one that shows what is chosen, the one it was left on, or its first. */
  async of(station: string, at?: string): Promise<string> {
    const ref = readRef(at);
    const [, shown] = ref ? addressFor(station, ref).split('/') : [];
    return shown ?? this.last.get(station) ?? (await this.first(station));
  }
  /** A run that is under way is gone on with; of places that are all guesses some are worth measuring first. */
  private async first(station: string): Promise<string> {
    const { PlanStore } = await import('../session/plan-store');
    const store = this.injector.get(PlanStore);
    const plan = store.isOpen() ? store.plan() : null;
    if (station === 'fill' && plan?.filling.runs.length) {
      const { replay, runNow } = await import('@firm-line/core/stations/fill');
      if (replay(runNow(plan.filling)!).state.phase !== 'done') return 'run';
    }
    const ports = plan?.parts.flatMap((part) => part.ports) ?? [];
    if (
      station === 'measure' &&
      ports.length &&
      ports.every(({ known }) => known.how === 'guessed')
    )
      return 'first';
    const { opens, pages } = stationAt(station)!;
    return opens ?? pages[0]!.path;
  }
  private note(): void {
    const [, , , station, page] = this.router.url.split(/[?#]/)[0]!.split('/');
    if (station && page && stationAt(station)?.pages.some(({ path }) => path === page))
      this.last.set(station, page);
  }
}
