import { Injectable } from '@angular/core';
import { createHoseWorker } from './hose-worker.factory';
import type { HoseFound, HoseRequest } from './protocol';
import { Search } from './search';

/** Looks for lengths and bracket places of hoses. */
@Injectable({ providedIn: 'root' })
export class HoseFinder extends Search<HoseRequest, HoseFound> {
  constructor() {
    super(createHoseWorker);
  }
}
