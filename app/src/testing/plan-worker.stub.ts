import type { PlanFileError } from '@firm-line/core/plan';
import { checkPlan, readPlan } from '@firm-line/core/plan';
import type { PlanAnswer, PlanRequest } from '../workers/protocol';

/** The plan worker's work done in the page, for specs that run where there are no workers. */
class InPage extends EventTarget {
  postMessage(request: PlanRequest): void {
    const answer = (): PlanAnswer => {
      try {
        return { kind: 'plan', id: request.id, plan: request.kind === 'read' ? readPlan(request.text) : checkPlan(request.plan) };
      } catch (error) {
        return { kind: 'refused', id: request.id, faults: (error as PlanFileError).faults };
      }
    };
    queueMicrotask(() => this.dispatchEvent(new MessageEvent('message', { data: answer() })));
  }
}

export const createPlanWorker = (): Worker => new InPage() as unknown as Worker;
