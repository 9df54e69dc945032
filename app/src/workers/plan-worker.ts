import { Injectable } from '@angular/core';
import type { Fault } from '@firm-line/core/fault';
import type { Plan } from '@firm-line/core/plan';
import { createPlanWorker } from './plan-worker.factory';
import type { PlanAnswer, PlanRequest } from './protocol';

/** A plan file or a stored plan that was refused, with every fault and its place. */
export class PlanRefused extends Error {
  override readonly name = 'PlanRefused';
  constructor(readonly faults: readonly Fault[]) {
    super(faults.map((f) => `${f.path}: ${f.message}`).join('\n'));
  }
}

interface Waiting {
  readonly resolve: (plan: Plan) => void;
  readonly reject: (error: Error) => void;
}

/** Reads and checks plans away from the page. A worker that dies rejects what waits, and the next request starts another. */
@Injectable({ providedIn: 'root' })
export class PlanWorker {
  private worker: Worker | null = null;
  private nextId = 1;
  private readonly waiting = new Map<number, Waiting>();

  read(text: string): Promise<Plan> {
    return this.ask((id) => ({ kind: 'read', id, text }));
  }
  check(plan: unknown): Promise<Plan> {
    return this.ask((id) => ({ kind: 'check', id, plan }));
  }

  private ask(request: (id: number) => PlanRequest): Promise<Plan> {
    return new Promise((resolve, reject) => {
      const id = this.nextId++;
      this.waiting.set(id, { resolve, reject });
      this.worker ??= this.start();
      this.worker.postMessage(request(id));
    });
  }

  private start(): Worker {
    const worker = createPlanWorker();
    worker.addEventListener('message', ({ data }: MessageEvent<PlanAnswer>) => {
      const waiting = this.waiting.get(data.id);
      this.waiting.delete(data.id);
      if (data.kind === 'plan') waiting?.resolve(data.plan);
      else waiting?.reject(data.kind === 'refused' ? new PlanRefused(data.faults) : new Error(data.message));
    });
    const died = (): void => {
      this.worker = null;
      for (const { reject } of this.waiting.values()) reject(new Error('The checking of plans stopped; try again.'));
      this.waiting.clear();
    };
    worker.addEventListener('error', died);
    worker.addEventListener('messageerror', died);
    return worker;
  }
}
