import { TestBed } from '@angular/core/testing';
import {
  lineSpace,
  lineView,
  type Around,
  type LineSpace,
  type LineView,
} from '@firm-line/core/plan';
import type { Vec3 } from '@firm-line/core/lib/vec';
import { APP_PROVIDERS, openGannet } from '../testing/open-gannet';
import { DraggedLine } from './dragged-line';
import type { Asked, Said } from './calls';
import * as workers from './workers';

/** A worker that answers when it is told to. */
class Played extends EventTarget {
  readonly asked: Asked[] = [];
  postMessage(asked: Asked): void {
    this.asked.push(asked);
    if (asked.job === 'surround') this.done(asked.id, undefined);
  }
  /** Answers what was asked last but not yet answered. */
  say(output: LineSpace | null): void {
    this.done(this.asked.filter(({ job }) => job === 'measure')[this.answered++]!.id, output);
  }
  die(): void {
    this.dispatchEvent(new Event('error'));
  }
  terminate(): void {}
  private answered = 0;
  private done(id: number, output: unknown): void {
    this.dispatchEvent(new MessageEvent<Said>('message', { data: { id, kind: 'done', output } }));
  }
}
const soon = (): Promise<void> => new Promise((done) => setTimeout(done));

async function dragging(id: string) {
  const worker = new Played();
  jest.spyOn(workers, 'createSpaceWorker').mockReturnValue(worker as unknown as Worker);
  TestBed.configureTestingModule({ providers: APP_PROVIDERS });
  const store = await openGannet(id);
  const { plan, lines, ports } = store.view();
  const { line } = lines.find((view) => view.line.id === 'line-r1')!;
  /** The line with its third corner so far back. */
  const moved = (byMm: number): LineView =>
    lineView(
      {
        ...line,
        cornersMm: line.cornersMm.map((at, i) =>
          i === 2 ? ([at[0] + byMm, at[1], at[2]] as Vec3) : at,
        ),
      },
      plan.bench,
      ports,
    );
  const told: LineView[] = [];
  const dragged = TestBed.inject(DraggedLine);
  dragged.begin((view) => told.push(view));
  const views = (): number[] =>
    worker.asked.flatMap(({ job, input }) =>
      job === 'measure' ? [(input as LineView).line.cornersMm[2]![0] - line.cornersMm[2]![0]] : [],
    );
  return { worker, store, plan, dragged, told, moved, views };
}

describe('a line that is dragged', () => {
  afterEach(() => jest.restoreAllMocks());

  test('what the worker found is what the line is shown among', async () => {
    const { worker, plan, dragged, told, moved } = await dragging('drag-1');
    expect(worker.asked.map(({ job }) => job)).toEqual(['surround']);
    const view = moved(20);
    dragged.measure(view);
    expect(told).toEqual([]);
    const found = { ...lineSpace(plan, moved(40))!, lengthMm: 1234.5 };
    worker.say(found);
    await soon();
    expect(told).toEqual([view]);
    expect(lineSpace(plan, view)!.lengthMm).toBe(1234.5);
  });

  test('of the lines that wait while one is measured only the newest is', async () => {
    const { worker, plan, dragged, told, moved, views } = await dragging('drag-2');
    const all = [10, 20, 30, 40].map(moved);
    for (const view of all) dragged.measure(view);
    expect(views()).toEqual([10]);
    worker.say(lineSpace(plan, all[0]!));
    await soon();
    expect(views()).toEqual([10, 40]);
    worker.say(lineSpace(plan, all[3]!));
    await soon();
    expect(told).toEqual([all[0], all[3]]);
  });

  test('once let go, what comes late is told to nobody, and the plan as it is now is what the next drag knows', async () => {
    const { worker, store, dragged, told, moved } = await dragging('drag-3');
    dragged.measure(moved(10));
    dragged.measure(moved(20));
    dragged.end();
    worker.say(null);
    await soon();
    expect(told).toEqual([]);
    dragged.begin((view) => told.push(view));
    dragged.measure(moved(30));
    dragged.end();
    dragged.begin((view) => told.push(view));
    worker.say(null);
    await soon();
    expect(told).toEqual([]);
    expect(worker.asked.filter(({ job }) => job === 'surround')).toHaveLength(1);
    dragged.end();
    const [thing] = store.plan().things;
    store.apply({ edit: 'removeThing', with: { id: thing!.id } });
    dragged.begin((view) => told.push(view));
    const around = worker.asked.at(-1)!;
    expect(around.job).toBe('surround');
    expect((around.input as Around).things.some(({ id }) => id === thing!.id)).toBe(false);
  });

  test('a worker that dies leaves the line to be measured on the page', async () => {
    const { worker, plan, dragged, told, moved } = await dragging('drag-4');
    const view = moved(15);
    dragged.measure(view);
    worker.die();
    await soon();
    const later = moved(25);
    dragged.measure(later);
    expect(told).toEqual([view, later]);
    expect(lineSpace(plan, later)!.points.length).toBeGreaterThan(10);
  });
});
