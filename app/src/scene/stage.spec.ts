import type { Vec3 } from '@firm-line/core/lib/vec';
import type { Scene } from 'three';
import { Stage } from './stage';
import { VIEWS } from './stage-shown';

interface Drawn {
  scene: Scene | null;
}
const drawn: Drawn = { scene: null };
jest.mock('three', () => {
  class Renderer {
    readonly info = { render: { calls: 3 } };
    setPixelRatio = (): void => undefined;
    setSize = (): void => undefined;
    dispose = (): void => undefined;
    // The renderer is who brings the camera up to date.
    render = (scene: unknown, camera: { updateMatrixWorld(): void }): void => {
      camera.updateMatrixWorld();
      Object.assign(drawn, { scene });
    };
  }
  return { ...jest.requireActual('three'), WebGLRenderer: Renderer };
});

const [WIDE, HIGH] = [900, 500];
function stage(): Stage {
  HTMLCanvasElement.prototype.getContext = (() => null) as never;
  const made = new Stage(document.createElement('canvas'), () => undefined);
  made.resize(WIDE, HIGH);
  return made;
}
const VEHICLE: readonly Vec3[] = [
  [-200, -700, 200],
  [3200, 700, 900],
  [1500, 0, 1400],
  [800, -500, 300],
];

describe.each(VIEWS)('looked at from %s', (look) => {
  test('every place is in the picture, also when it is brought near', () => {
    const at = stage();
    at.lookFrom(look, VEHICLE);
    for (const places of [VEHICLE, VEHICLE.slice(2)]) {
      at.zoomTo(places);
      at.draw();
      for (const place of places) {
        const seen = at.at(place)!;
        expect(seen.x).toBeGreaterThan(0);
        expect(seen.x).toBeLessThan(WIDE);
        expect(seen.y).toBeGreaterThan(0);
        expect(seen.y).toBeLessThan(HIGH);
      }
    }
  });
  test('what lies under the pixel of a place is that place', () => {
    const at = stage();
    at.lookFrom(look, VEHICLE);
    at.draw();
    for (const place of VEHICLE) {
      const seen = at.at(place)!;
      const back = at.under(seen.x, seen.y, place)!;
      for (const axis of [0, 1, 2]) expect(back[axis]).toBeCloseTo(place[axis]!, 3);
      // A drag stays in the plane that is looked at.
      expect(at.under(seen.x + 40, seen.y - 25, place)![at.depthAxis]).toBeCloseTo(
        place[at.depthAxis],
        6,
      );
    }
  });
});

describe('sides', () => {
  const seen = (look: (typeof VIEWS)[number], place: Vec3) => {
    const at = stage();
    at.lookFrom(look, VEHICLE);
    at.draw();
    return at.at(place)!;
  };
  test('front lies to the left from above and from the left, to the right from the right', () => {
    const [fore, aft]: Vec3[] = [
      [0, 0, 500],
      [3000, 0, 500],
    ];
    expect(seen('above', fore!).x).toBeLessThan(seen('above', aft!).x);
    expect(seen('left', fore!).x).toBeLessThan(seen('left', aft!).x);
    expect(seen('right', fore!).x).toBeGreaterThan(seen('right', aft!).x);
  });
  test('what is high is high on the screen; from the front the right side of the vehicle is at the left', () => {
    for (const look of ['around', 'left', 'right', 'front', 'rear'] as const)
      expect(seen(look, [0, 0, 900]).y).toBeLessThan(seen(look, [0, 0, 100]).y);
    expect(seen('front', [0, 700, 500]).x).toBeLessThan(seen('front', [0, -700, 500]).x);
    expect(seen('rear', [0, 700, 500]).x).toBeGreaterThan(seen('rear', [0, -700, 500]).x);
  });
});

describe('what it is told to show', () => {
  const meshes = (): number => {
    let count = 0;
    drawn.scene!.traverse(
      (item) => (count += 'isMesh' in item || 'isLineSegments' in item ? 1 : 0),
    );
    return count;
  };
  const tube = {
    points: [
      [0, 0, 0],
      [100, 0, 0],
    ] as Vec3[],
    radiusMm: 5,
    ink: 'copper',
  };
  test('is drawn, and gone when it is told of nothing', () => {
    const at = stage();
    at.draw();
    const before = meshes();
    at.setLines([tube, { ...tube, ink: 'fluid' }, tube], [[50, 0, 0]]);
    at.setChosen({
      ...tube,
      corners: [],
      corner: null,
      clips: [[5, 0, 0]],
      gaps: [
        [
          [0, 0, 0],
          [0, 9, 0],
        ],
      ],
    });
    at.setPorts([[0, 0, 0]]);
    at.setHoses([{ ...tube, chosen: true, fittings: [tube] }], []);
    at.draw();
    // Lines: as tubes and as wide lines for each of two inks, and clips. Chosen: its tube, halo, line and ghost, its clips,
    // its gaps. Ports. Hose: tube, line and ghost, and its fitting.
    expect(meshes() - before).toBe(5 + 6 + 1 + 4);
    at.setLines([], []);
    at.setChosen(null);
    at.setPorts([]);
    at.setHoses([], []);
    at.draw();
    expect(meshes()).toBe(before);
    at.dispose();
  });
});
