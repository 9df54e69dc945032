import { airJobs } from '../worker/jobs/air';
import { checkJobs } from '../worker/jobs/check';
import { hosesJobs } from '../worker/jobs/hoses';
import { inspectJobs } from '../worker/jobs/inspect';
import { setOutJobs } from '../worker/jobs/set-out';
import { spaceJobs } from '../worker/jobs/space';
import { waysJobs } from '../worker/jobs/ways';
import { makingJobs } from '../worker/jobs/making';
import { worthJobs } from '../worker/jobs/worth';
import { answer, type Asked, type Jobs } from '../worker/calls';

/** A worker's work done in the page, for specs that run where there are no workers. What it is handed is copied, as on its way to one. */
class InPage extends EventTarget {
  private ended = false;
  constructor(private readonly jobs: Jobs) {
    super();
  }
  postMessage(asked: Asked): void {
    const input = structuredClone(asked.input);
    queueMicrotask(() => {
      if (!this.ended)
        void answer(
          this.jobs,
          { ...asked, input },
          (said) =>
            this.ended ||
            this.dispatchEvent(new MessageEvent('message', { data: structuredClone(said) })),
        );
    });
  }
  terminate(): void {
    this.ended = true;
  }
}
const inPage = (jobs: Jobs): Worker => new InPage(jobs) as unknown as Worker;

export const createCheckWorker = (): Worker => inPage(checkJobs);
export const createInspectWorker = (): Worker => inPage(inspectJobs());
export const createWaysWorker = (): Worker => inPage(waysJobs);
export const createHosesWorker = (): Worker => inPage(hosesJobs);
export const createSpaceWorker = (): Worker => inPage(spaceJobs());
export const createSetOutWorker = (): Worker => inPage(setOutJobs);
export const createWorthWorker = (): Worker => inPage(worthJobs);
export const createMakingWorker = (): Worker => inPage(makingJobs);
export const createAirWorker = (): Worker => inPage(airJobs);
/** The pack is made in the browser tests. */
export const createPackWorker = (): Worker => inPage({});
/** Meshes are not read there, and the drawing is looked at in the browser tests. */
export const createMeshWorker = (): Worker => inPage({});
