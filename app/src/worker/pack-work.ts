import { Injectable } from '@angular/core';
import { Calls, type CallOptions } from './calls';
import type { packJobs, PackAsked } from './jobs/pack';
import { createPackWorker } from './workers';

/** Makes the pack beside the page. */
@Injectable({ providedIn: 'root' })
export class PackWork {
  private readonly calls = new Calls<typeof packJobs>(createPackWorker, 'Making the pack');

  pdf(asked: PackAsked, options: CallOptions): Promise<Uint8Array> {
    return this.calls.call('pdf', asked, options);
  }
}
