import { Injectable, signal } from '@angular/core';

export type FitPage =
  'tasks' | 'calipers' | 'wheels' | 'parking' | 'wires' | 'loads' | 'log' | 'sheets';

/** Which page of Fit is open: it stays so while other stations are looked at. */
@Injectable({ providedIn: 'root' })
export class FitPages {
  readonly page = signal<FitPage>('tasks');
}
