import { Injectable, signal } from '@angular/core';

export type FillPage = 'plan' | 'run' | 'fluids';

/** Which page of Fill is open; none was chosen: the run where one is under way, else the plan. */
@Injectable({ providedIn: 'root' })
export class FillPages {
  readonly page = signal<FillPage | null>(null);
}
