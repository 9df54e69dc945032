import { Injectable } from '@angular/core';
import type { Plan } from '@firm-line/core/plan';
import type { MeasurementValue } from '@firm-line/core/stations/measure';
import { Search } from './search';
import { createWorthWorker } from './workers';

/** Reckons what is worth taping first. */
@Injectable({ providedIn: 'root' })
export class WorthFinder extends Search<Plan, readonly MeasurementValue[]> {
  constructor() {
    super(createWorthWorker);
  }
}
