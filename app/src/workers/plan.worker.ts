import { checkPlan, PlanFileError, readPlan } from '@firm-line/core/plan';
import type { PlanAnswer, PlanRequest } from './protocol';

const answer = (request: PlanRequest): PlanAnswer => {
  try {
    return { kind: 'plan', id: request.id, plan: request.kind === 'read' ? readPlan(request.text) : checkPlan(request.plan) };
  } catch (error) {
    if (error instanceof PlanFileError) return { kind: 'refused', id: request.id, faults: error.faults };
    return { kind: 'failed', id: request.id, message: (error as Error).message };
  }
};

addEventListener('message', ({ data }: MessageEvent<PlanRequest>) => postMessage(answer(data)));
