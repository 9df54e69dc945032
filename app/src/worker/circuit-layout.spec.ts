import { CircuitLayout, type BoxToLay } from './circuit-layout';

interface Answering extends EventTarget {
  onmessage?: (event: { data: unknown }) => void;
}
const workers: Answering[] = [];
/** Answers like the layout's worker, with every box where it is told to lie; or is silent until it dies. */
let answers = true;
jest.mock('./workers', () => ({
  createElkWorker: () => {
    const worker: Answering & {
      postMessage?: (asked: { id: number; cmd: string; graph?: { children: object[] } }) => void;
    } = new EventTarget();
    worker.postMessage = ({ id, cmd, graph }) => {
      if (cmd !== 'layout')
        return void queueMicrotask(() => worker.onmessage?.({ data: { id, data: null } }));
      if (!answers) return;
      const children = graph!.children.map((box, i) => ({ ...box, x: 100 * i, y: 7 }));
      queueMicrotask(() =>
        worker.onmessage?.({ data: { id, data: { ...graph, children, width: 300, height: 80 } } }),
      );
    };
    return Object.assign(worker, { terminate: () => undefined }, { n: workers.push(worker) });
  },
}));

const BOXES: BoxToLay[] = ['a', 'b'].map((id) => ({
  id,
  width: 190,
  height: 66,
  ports: [{ id: `${id}-out`, side: 'EAST', x: 190, y: 47 }],
}));

describe('laying circuits out', () => {
  test('boxes lie where the layout says, and ports on them', async () => {
    const laid = await new CircuitLayout().lay(BOXES, []);
    expect([laid.width, laid.boxes.get('b'), laid.ports.get('b-out')]).toEqual([
      300,
      { x: 100, y: 7 },
      { x: 290, y: 54 },
    ]);
  });
  test('a worker that dies is told to whoever waits, and the next layout has a new one', async () => {
    const layout = new CircuitLayout();
    answers = false;
    const waiting = layout.lay(BOXES, []);
    const count = workers.length;
    workers.at(-1)!.dispatchEvent(new Event('error'));
    await expect(waiting).rejects.toThrow('the layout stopped');
    answers = true;
    expect((await layout.lay(BOXES, [])).width).toBe(300);
    expect(workers).toHaveLength(count + 1);
  });
});
