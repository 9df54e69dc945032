import { Injectable } from '@angular/core';
import type { BendOrder, OrderInput } from '@firm-line/core/shape/bending';
import type { Plannable, TaskView } from '@firm-line/core/stations/fit/tasks';
import type { CutPlan } from '@firm-line/core/stations/make/making';
import type { Plan, SessionMeans } from '@firm-line/core/plan';
import { Calls } from './calls';
import type { makingJobs, PlannedSession } from './jobs/making';
import { createMakingWorker } from './workers';

/** Works out orders of bends, cuts and sessions beside the page; the worker stays for the next question. */
@Injectable({ providedIn: 'root' })
export class BenchWork {
  private readonly calls = new Calls<typeof makingJobs>(createMakingWorker, 'The calculation');

  order(input: OrderInput, signal: AbortSignal): Promise<BendOrder> {
    return this.calls.call('order', input, { signal });
  }
  session(
    views: readonly TaskView[],
    means: SessionMeans,
    signal: AbortSignal,
  ): Promise<PlannedSession> {
    // What a session is planned by, and no more: the rest is long to hand over.
    const tasks = views.map(
      ({ state, minutes, task: { id, needs, waits, people, tools, gate } }): Plannable => ({
        state,
        minutes,
        task: { id, needs, waits, people, tools, gate },
      }),
    );
    return this.calls.call('session', { tasks, means }, { signal });
  }
  cuts(plan: Plan, signal: AbortSignal): Promise<CutPlan[]> {
    return this.calls.call('cuts', plan, { signal });
  }
}
