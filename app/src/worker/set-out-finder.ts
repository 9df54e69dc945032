import { Injectable } from '@angular/core';
import type { SetOut } from '@firm-line/core/proposals/set-out';
import type { SetOutFound } from './jobs/set-out';
import { Search } from './search';
import { createSetOutWorker } from './workers';

/** Leads the lines of a plan that is being set out. */
@Injectable({ providedIn: 'root' })
export class SetOutFinder extends Search<SetOut, SetOutFound> {
  constructor() {
    super(createSetOutWorker);
  }
}
