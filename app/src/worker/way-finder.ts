import { Injectable } from '@angular/core';
import type { FoundWay } from '@firm-line/core/proposals/routes';
import type { WayRequest } from './jobs/ways';
import { Search } from './search';
import { createWaysWorker } from './workers';

/** Looks for ways of a line. */
@Injectable({ providedIn: 'root' })
export class WayFinder extends Search<WayRequest, readonly FoundWay[]> {
  constructor() {
    super(createWaysWorker);
  }
}
