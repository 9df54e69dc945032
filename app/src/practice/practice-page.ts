import { ChangeDetectionStrategy, Component, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { Toggle } from '../kit/toggle';
import { BleedDrillPage } from './bleed-drill-page';
import { FaultDrillPage } from './fault-drill-page';
import { SeatDrill } from './seat-drill';

type Drill = 'seats' | 'bleeding' | 'fault';

/** Drills for the learner, on invented parts and vehicles. */
@Component({
  selector: 'fl-practice-page',
  imports: [BleedDrillPage, FaultDrillPage, RouterLink, SeatDrill, Toggle],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block min-h-dvh' },
  template: `
    <header class="flex flex-wrap items-center gap-4 border-b border-rule bg-sheet px-6 py-3">
      <h1 class="mr-auto text-xl font-bold">Practice</h1>
      <fl-toggle
        label="Drills"
        [options]="drills"
        [value]="drill()"
        (changed)="drill.set($event)"
      />
      <a class="btn" routerLink="/">Plans</a>
    </header>
    <main>
      @if (drill() === 'seats') {
        <fl-seat-drill />
      } @else if (drill() === 'bleeding') {
        <fl-bleed-drill />
      } @else {
        <fl-fault-drill />
      }
    </main>
  `,
})
export class PracticePage {
  protected readonly drill = signal<Drill>('seats');
  protected readonly drills = [
    { value: 'seats', name: 'Seats and threads' },
    { value: 'bleeding', name: 'Bleed a vehicle' },
    { value: 'fault', name: 'Find a fault' },
  ] as const;
}
