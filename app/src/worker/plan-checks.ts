import { Injectable } from '@angular/core';
import type { Plan } from '@firm-line/core/plan';
import type { MendedPlan } from '@firm-line/core/plan/file';
import { Calls } from './calls';
import type { checkJobs } from './jobs/check';
import { createCheckWorker } from './workers';

/** Longest that reading or checking a plan may take. */
const MOST_MS = 30_000;

/** Reads and checks plans away from the page; what is refused is thrown as PlanFileError, with every fault and its place. */
@Injectable({ providedIn: 'root' })
export class PlanChecks {
  private readonly calls = new Calls<typeof checkJobs>(createCheckWorker, 'The plan check');

  /** The plan in the text of a file: in a worker of its own, so that a slow one holds up no other. */
  async read(text: string, signal?: AbortSignal): Promise<Plan> {
    const calls = new Calls<typeof checkJobs>(createCheckWorker, 'Reading the file');
    try {
      return await calls.call('read', text, { withinMs: MOST_MS, ...(signal ? { signal } : {}) });
    } finally {
      calls.end();
    }
  }
  check(plan: unknown): Promise<Plan> {
    return this.calls.call('check', plan, { withinMs: MOST_MS });
  }
  mend(plan: unknown): Promise<MendedPlan | null> {
    return this.calls.call('mend', plan, { withinMs: MOST_MS });
  }
}
