import type { Vec3 } from '@firm-line/core/lib/vec';
import { demo, until } from '../testing/open-gannet';
import { station } from '../testing/station';
import type { ChosenShown, HoseShown, Look } from './stage-shown';

/** A scene that is looked at from above, 4 mm a pixel, and keeps what it was told to show. */
interface Shown {
  chosen: ChosenShown | null;
  hoses: readonly HoseShown[];
  look: Look;
  zoomed: readonly Vec3[];
  pointed: number | null;
  readonly controls: { enabled: boolean };
}
jest.mock('./stage', () => {
  class FlatStage {
    readonly controls = { enabled: true };
    readonly depthAxis = 2;
    readonly calls = 7;
    constructor(
      _canvas: unknown,
      private readonly drawn: () => void,
    ) {
      Object.assign(globalThis, { stage: this });
    }
    private keep(key: string, value: unknown): void {
      Object.assign(this, { [key]: value });
      queueMicrotask(this.drawn);
    }
    setChosen = (line: unknown): void => this.keep('chosen', line);
    setHoses = (hoses: unknown): void => this.keep('hoses', hoses);
    setPointed = (corner: unknown): void => this.keep('pointed', corner);
    lookFrom = (look: unknown): void => this.keep('look', look);
    zoomTo = (places: unknown): void => this.keep('zoomed', places);
    resize = (): void => undefined;
    hurry = (): void => undefined;
    setThings = (): void => undefined;
    setLines = (): void => undefined;
    setPorts = (): void => undefined;
    setGhost = (): void => undefined;
    dispose = (): void => undefined;
    at = (p: Vec3): { x: number; y: number } => ({ x: 200 + p[0] / 4, y: 300 - p[1] / 4 });
    under = (x: number, y: number, through: Vec3): Vec3 => [
      (x - 200) * 4,
      (300 - y) * 4,
      through[2],
    ];
  }
  return { Stage: FlatStage };
});

const shown = (): Shown => (globalThis as unknown as { stage: Shown }).stage;

async function inSpace(id: string, line = 'line-r1', plan?: Parameters<typeof station>[3]) {
  Object.assign(globalThis, {
    WebGL2RenderingContext: class {},
    requestIdleCallback: (done: () => void) => setTimeout(done),
    stage: null,
  });
  HTMLElement.prototype.setPointerCapture ??= () => undefined;
  const at = await station('route', id, line, plan);
  await until(() => shown()?.chosen !== undefined);
  await at.settle();
  const canvas = at.one<HTMLCanvasElement>('[data-test=space]');
  const event = async (type: string, [x, y]: Vec3, more: object = {}): Promise<void> => {
    const place = { clientX: 200 + x / 4, clientY: 300 - y / 4, button: 0, bubbles: true, ...more };
    canvas.dispatchEvent(new MouseEvent(`pointer${type}`, place));
    await at.settle();
  };
  const tap = async (place: Vec3): Promise<void> => {
    await event('down', place);
    await event('up', place);
  };
  const corners = (): readonly Vec3[] =>
    at.store.plan().lines.find((one) => one.id === line)!.cornersMm;
  const clips = (): readonly number[] =>
    at.store.plan().lines.find((one) => one.id === line)!.clipsMm;
  return { ...at, event, tap, corners, clips };
}

describe('the vehicle in space', () => {
  test('the chosen line is drawn with its corners and clips; looks and zoom go to the scene', async () => {
    const at = await inSpace('sp1');
    expect(shown().chosen!.corners).toEqual(at.corners());
    expect(shown().chosen!.clips).toHaveLength(at.clips().length);
    expect(shown().look).toBe('around');
    await at.click(at.button('From above'));
    expect(shown().look).toBe('above');
    await at.click(at.button('Line'));
    expect(shown().zoomed).toHaveLength(at.corners().length + 2);
    expect(at.one<HTMLElement>('[data-test=space]').dataset['calls']).toBe('7');
  });

  test('a corner is dragged: picture, strip and moves follow, the plan changes once it is let go, and undo takes it back', async () => {
    const at = await inSpace('sp2');
    const before = at.corners();
    const third = before[2]!;
    const cut = at.texts('[data-test=cut]')[0];
    await at.event('down', third);
    expect(at.texts('[data-test=corner-box] h2')).toEqual(['Corner 3']);
    expect(shown().controls.enabled).toBe(false);
    await at.event('move', [third[0] - 137, third[1] + 80, 0]);
    const now = shown().chosen!.corners[2]!;
    expect(now[0]).toBeLessThan(third[0] - 100);
    expect(now[2]).toBe(third[2]);
    expect(at.texts('[data-test=cut]')[0]).not.toBe(cut);
    expect(at.corners()).toBe(before);
    await at.event('up', [third[0] - 137, third[1] + 80, 0]);
    expect(at.corners()[2]).toEqual(now);
    expect(shown().controls.enabled).toBe(true);
    at.store.undo();
    expect(at.corners()).toEqual(before);
  });

  test('along one axis by button or with Shift; a drag that is broken off changes nothing', async () => {
    const at = await inSpace('sp3');
    const third = at.corners()[2]!;
    const to: Vec3 = [third[0] - 200, third[1] + 120, 0];
    await at.event('down', third);
    await at.click(at.button('Drag along y only'));
    await at.event('move', to);
    expect(shown().chosen!.corners[2]![0]).toBe(third[0]);
    expect(shown().chosen!.corners[2]![1]).toBeGreaterThan(third[1] + 100);
    await at.click(at.button('Drag any way'));
    await at.event('move', to, { shiftKey: true });
    expect(shown().chosen!.corners[2]![1]).toBe(third[1]);
    await at.event('cancel', to);
    expect(at.corners()[2]).toEqual(third);
    expect(shown().chosen!.corners[2]).toEqual(third);
  });

  test('figures of a corner are typed; what is no length is said and not taken', async () => {
    const at = await inSpace('sp4');
    const third = at.corners()[2]!;
    await at.tap(third);
    const field = at.one<HTMLInputElement>('[data-test=corner-box] input');
    await at.type(field, 'wide');
    expect(at.texts('[data-test=corner-box] .fault')[0]).toContain('"wide"');
    await at.type(field, '2100');
    expect(at.corners()[2]).toEqual([2100, third[1], third[2]]);
  });

  test('a straight says what it is and takes a corner or a clip where it was tapped', async () => {
    const at = await inSpace('sp5');
    // Halfway between two clips.
    const [one, other] = [shown().chosen!.clips[4]!, shown().chosen!.clips[5]!];
    const middle: Vec3 = [(one[0] + other[0]) / 2, one[1], 0];
    const [corners, clips] = [at.corners().length, at.clips().length];
    await at.tap(middle);
    expect(at.texts('[data-test=picked-box] h2')).toEqual(['From corner 2 to corner 3']);
    expect(at.texts('[data-test=picked-box] p')[0]).toMatch(/^aft 1520; \d+ mm straight/);
    await at.click(at.button('Add clip'));
    expect(at.clips()).toHaveLength(clips + 1);
    expect(at.root.querySelector('[data-test=picked-box]')).toBeNull();
    await at.tap([middle[0] - 56, middle[1], 0]);
    await at.click(at.button('Add corner'));
    expect(at.corners()).toHaveLength(corners + 1);
    expect(at.corners()[2]![0]).toBeCloseTo(middle[0] - 56, 0);
    expect(at.texts('[data-test=corner-box] h2')).toEqual(['Corner 3']);
  });

  test('a clip says what it sits on; it is moved by its figure and taken off', async () => {
    const at = await inSpace('sp6');
    const third = at.clips()[3]!;
    await at.tap(shown().chosen!.clips[3]!);
    expect(at.texts('[data-test=picked-box] h2')).toEqual([`Clip at ${Math.round(third)} mm`]);
    expect(at.texts('[data-test=picked-box] p')[0]).toMatch(/Left rail\.$/);
    await at.type(at.one<HTMLInputElement>('[data-test=picked-box] input'), String(third + 12));
    expect(at.clips()[3]).toBeCloseTo(third + 12, 6);
    await at.tap(shown().chosen!.clips[3]!);
    await at.click(at.button('Remove clip'));
    expect(at.clips()).not.toContain(third + 12);
  });

  test('a tap chooses another line, names a port and leads to it, or lets the corner go; a bend that is pointed at is marked', async () => {
    const at = await inSpace('sp7');
    const third = at.corners()[2]!;
    await at.event('move', third);
    expect(shown().pointed).toBe(3);
    await at.tap(third);
    await at.tap([-600, 1100, 0]);
    expect(at.root.querySelector('[data-test=corner-box]')).toBeNull();
    const line = at.store.view().lines.find((view) => view.line.id === 'line-f1')!;
    await at.tap(line.ports.b!.fixed.atMm);
    expect(at.texts('[data-test=port-box]')[0]).toMatch(/: show in Measure$/);
    const [from, to] = [line.nodesMm[1]!, line.nodesMm[2]!];
    await at.tap([(from[0] + to[0]) / 2, (from[1] + to[1]) / 2, 0]);
    expect(at.texts('h2')[0]).toBe('F1');
  });
});

describe('hoses in space', () => {
  test('the looked-at hose is drawn whole with its fittings, and its bracket slides along the rail: verdicts follow at once', async () => {
    const at = await inSpace('sp8', 'line-1', demo('wheatear'));
    await at.click(
      [...at.root.querySelectorAll('button')].find((b) =>
        b.textContent!.trim().startsWith('Hoses'),
      )!,
    );
    await until(() => shown()?.hoses?.some((hose) => hose.chosen));
    await at.settle();
    const chosen = (): HoseShown => shown().hoses.find((hose) => hose.chosen)!;
    expect(shown().hoses).toHaveLength(5);
    expect(chosen().fittings).toHaveLength(2);
    expect(shown().chosen!.corners).toHaveLength(1);
    const hose = () => at.store.plan().hoses[0]!;
    const [port] = [at.store.view().ports.get(hose().ends.a.portId!)!];
    const from = port.fixed.atMm;
    const canvas = at.one<HTMLCanvasElement>('[data-test=space]');
    const drag = async (type: string, byMm: number): Promise<void> => {
      const place = {
        clientX: 200 + (from[0] + byMm) / 4,
        clientY: 300 - from[1] / 4,
        button: 0,
        bubbles: true,
      };
      canvas.dispatchEvent(new MouseEvent(`pointer${type}`, place));
      await at.settle();
    };
    await drag('down', 0);
    await drag('move', 200);
    expect(at.texts('[data-test=hose-cells]')[0]).toMatch(/does not reach/);
    expect(at.store.view().ports.get(port.port.id)!.fixed.atMm).toEqual(from);
    // Broken off, it hangs as it did; the next drag begins from nothing.
    await drag('cancel', 200);
    expect(at.texts('[data-test=hose-cells]')[0]).not.toMatch(/does not reach/);
    await drag('down', 0);
    await drag('up', 0);
    expect(at.store.view().ports.get(port.port.id)!.fixed.atMm).toEqual(from);
    await drag('down', 0);
    await drag('move', 200);
    expect(at.texts('label[for=hose-slide]')[0]).toMatch(/\+\d+$/);
    await drag('up', 200);
    const moved = at.store.view().ports.get(port.port.id)!.fixed.atMm;
    expect(moved[0] - from[0]).toBeGreaterThan(150);
    at.store.undo();
    await at.settle();
    expect(at.texts('[data-test=hose-cells]')[0]).not.toMatch(/does not reach/);
  });
});
