import { TestBed } from '@angular/core/testing';
import { gannet } from '../testing/open-gannet';
import * as factory from './plan-worker.factory';
import { PlanRefused, PlanWorker } from './plan-worker';

describe('the checking of plans beside the page', () => {
  test('answers come back to who asked, faults keep their type and place', async () => {
    const worker = TestBed.inject(PlanWorker);
    const [good, bad] = await Promise.allSettled([worker.check(gannet()), worker.read('{"format":"firmline-plan","version":2}')]);
    expect(good).toMatchObject({ status: 'fulfilled', value: { name: 'Gannet' } });
    expect(bad.status === 'rejected' && bad.reason).toBeInstanceOf(PlanRefused);
    expect((bad as PromiseRejectedResult).reason.faults.map((f: { path: string }) => f.path)).toEqual(
      expect.arrayContaining(['id', 'lines', 'bench']),
    );
  });

  test('one that dies rejects what waits, and the next asks another', async () => {
    const worker = TestBed.inject(PlanWorker);
    class Dying extends EventTarget {
      postMessage(): void {
        queueMicrotask(() => this.dispatchEvent(new Event('error')));
      }
    }
    const create = jest.spyOn(factory, 'createPlanWorker').mockReturnValueOnce(new Dying() as unknown as Worker);
    await expect(worker.check(gannet())).rejects.toThrow(/stopped; try again/);
    await expect(worker.check(gannet())).resolves.toMatchObject({ name: 'Gannet' });
    create.mockRestore();
  });
});
