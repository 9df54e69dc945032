import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { SideBar } from '../../kit/side-bar';
import type { ToggleChoice } from '../../kit/toggle';
import { CalipersPage } from './calipers-page';
import { FitPages, type FitPage } from './fit-pages';
import { LoadsPage } from './loads-page';
import { LogPage } from './log-page';
import { ParkingPage } from './parking-page';
import { SheetsPage } from './sheets-page';
import { TasksPage } from './tasks-page';
import { WheelsPage } from './wheels-page';
import { WiresPage } from './wires-page';

/** Work on the floor: tasks, and the pages of what is measured and seen there. */
@Component({
  selector: 'fl-fit-station',
  imports: [
    CalipersPage,
    LoadsPage,
    LogPage,
    ParkingPage,
    SheetsPage,
    SideBar,
    TasksPage,
    WheelsPage,
    WiresPage,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'flex min-h-0 flex-1 flex-col' },
  template: `
    <h1 class="sr-only">Fit</h1>
    <div class="flex min-h-0 flex-1 max-md:flex-col print:block">
      <fl-side-bar
        label="Pages of Fit"
        [options]="pages"
        [value]="at.page()"
        (changed)="at.page.set($event)"
      />
      <div class="flex min-w-0 flex-1 flex-col">
        @switch (at.page()) {
          @case ('calipers') {
            <fl-calipers-page />
          }
          @case ('wheels') {
            <fl-wheels-page />
          }
          @case ('parking') {
            <fl-parking-page />
          }
          @case ('wires') {
            <fl-wires-page />
          }
          @case ('loads') {
            <fl-loads-page />
          }
          @case ('log') {
            <fl-log-page />
          }
          @case ('sheets') {
            <fl-sheets-page />
          }
          @default {
            <fl-tasks-page class="flex-1" />
          }
        }
      </div>
    </div>
  `,
})
export class FitStation {
  protected readonly at = inject(FitPages);
  protected readonly pages = [
    { value: 'tasks', name: 'Tasks' },
    { value: 'calipers', name: 'Calipers', said: 'Calipers over their discs' },
    { value: 'wheels', name: 'Wheels', said: 'Wheels and hubs' },
    { value: 'parking', name: 'Parking', said: 'Parking brake and pedal' },
    { value: 'wires', name: 'Wires', said: 'Wires of an actuator' },
    { value: 'loads', name: 'Loads', said: 'Proof Loads' },
    { value: 'log', name: 'Log' },
    { value: 'sheets', name: 'Sheets', said: 'Makers’ Sheets' },
  ] as const satisfies readonly ToggleChoice<FitPage>[];
}
