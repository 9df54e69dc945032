import { Injectable } from '@angular/core';
import type { AirNetwork } from '@firm-line/core/physics/air';
import type { AirNow, Asked, Predicted } from '@firm-line/core/stations/fill';
import type { FillRun } from '@firm-line/core/plan';
import { Calls } from './calls';
import type { airJobs } from './jobs/air';
import { createAirWorker } from './workers';

/** Reckons beside the page where air goes while a plan is bled. */
@Injectable({ providedIn: 'root' })
export class AirWork {
  private readonly calls = new Calls<typeof airJobs>(createAirWorker, 'Calculating the air');

  schools(asked: Asked, signal: AbortSignal): Promise<Predicted[]> {
    return this.calls.call('schools', asked, { signal });
  }
  now(network: AirNetwork, run: FillRun, fluidId: string, signal: AbortSignal): Promise<AirNow> {
    return this.calls.call('now', { network, run, fluidId }, { signal });
  }
}
