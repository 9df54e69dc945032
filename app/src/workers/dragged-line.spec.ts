import { provideZonelessChangeDetection } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { lineSpace, lineView, type LineView } from '@firm-line/core/plan';
import type { Vec3 } from '@firm-line/core/vec';
import { openGannet } from '../testing/open-gannet';
import { DraggedLine } from './dragged-line';
import type { SpaceRequest } from './protocol';
import * as factory from './space-worker.factory';

/** A worker that answers when it is told to. */
class Played extends EventTarget {
  readonly asked: SpaceRequest[] = [];
  postMessage(request: SpaceRequest): void {
    this.asked.push(request);
  }
  say(type: 'message' | 'error', data: unknown = null): void {
    this.dispatchEvent(new MessageEvent(type, { data }));
  }
}

async function dragging(id: string) {
  const worker = new Played();
  jest.spyOn(factory, 'createSpaceWorker').mockReturnValue(worker as unknown as Worker);
  TestBed.configureTestingModule({ providers: [provideZonelessChangeDetection()] });
  const store = await openGannet(id);
  const { plan, lines, ports } = store.view()!;
  const { line } = lines.find((view) => view.line.id === 'line-r1')!;
  /** The line with its third corner so far back. */
  const moved = (byMm: number): LineView =>
    lineView(
      { ...line, cornersMm: line.cornersMm.map((at, i) => (i === 2 ? ([at[0] + byMm, at[1], at[2]] as Vec3) : at)) },
      plan.bench,
      ports,
    );
  const told: LineView[] = [];
  const dragged = TestBed.inject(DraggedLine);
  dragged.begin((view) => told.push(view));
  const views = (): number[] =>
    worker.asked.flatMap((one) => (one.kind === 'line' ? [one.view.line.cornersMm[2]![0] - line.cornersMm[2]![0]] : []));
  return { worker, store, plan, dragged, told, moved, views };
}

describe('a line that is dragged', () => {
  afterEach(() => jest.restoreAllMocks());

  test('what the worker found is what the line is shown among', async () => {
    const { worker, plan, dragged, told, moved } = await dragging('drag-1');
    expect(worker.asked.map((one) => one.kind)).toEqual(['around']);
    const view = moved(20);
    dragged.measure(view);
    expect(told).toEqual([]);
    const found = { ...lineSpace(plan, moved(40))!, lengthMm: 1234.5 };
    worker.say('message', found);
    expect(told).toEqual([view]);
    expect(lineSpace(plan, view)!.lengthMm).toBe(1234.5);
  });

  test('of the lines that wait while one is measured only the newest is', async () => {
    const { worker, plan, dragged, told, moved, views } = await dragging('drag-2');
    const all = [10, 20, 30, 40].map(moved);
    for (const view of all) dragged.measure(view);
    expect(views()).toEqual([10]);
    worker.say('message', lineSpace(plan, all[0]!));
    expect(views()).toEqual([10, 40]);
    worker.say('message', lineSpace(plan, all[3]!));
    expect(told).toEqual([all[0], all[3]]);
  });

  test('once let go, what comes late is told to nobody, and the plan as it is now is what the next drag knows', async () => {
    const { worker, store, dragged, told, moved } = await dragging('drag-3');
    dragged.measure(moved(10));
    dragged.measure(moved(20));
    dragged.end();
    worker.say('message', null);
    expect(told).toEqual([]);
    dragged.begin((view) => told.push(view));
    dragged.measure(moved(30));
    dragged.end();
    dragged.begin((view) => told.push(view));
    worker.say('message', null);
    expect(told).toEqual([]);
    expect(worker.asked.filter((one) => one.kind === 'around')).toHaveLength(1);
    dragged.end();
    const [thing] = store.plan()!.things;
    store.apply({ edit: 'removeThing', with: { id: thing!.id } });
    dragged.begin((view) => told.push(view));
    const around = worker.asked.at(-1)!;
    expect(around.kind === 'around' && around.things.some(({ id }) => id === thing!.id)).toBe(false);
    expect(around.kind).toBe('around');
  });

  test('a worker that dies leaves the line to be measured on the page', async () => {
    const { worker, plan, dragged, told, moved } = await dragging('drag-4');
    const view = moved(15);
    dragged.measure(view);
    worker.say('error');
    const later = moved(25);
    dragged.measure(later);
    expect(told).toEqual([view, later]);
    expect(lineSpace(plan, later)!.points.length).toBeGreaterThan(10);
  });
});
