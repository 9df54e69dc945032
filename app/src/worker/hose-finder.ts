import { Injectable } from '@angular/core';
import type { HoseFound, HoseRequest } from './jobs/hoses';
import { Search } from './search';
import { createHosesWorker } from './workers';

/** Looks for lengths and bracket places of hoses. */
@Injectable({ providedIn: 'root' })
export class HoseFinder extends Search<HoseRequest, HoseFound> {
  constructor() {
    super(createHosesWorker);
  }
}
