import { NATURES, type Thing } from '@firm-line/core/shape/obstacles';
import type { Vec3 } from '@firm-line/core/lib/vec';
import type { InstancedMesh } from 'three';
import {
  AmbientLight,
  BufferGeometry,
  DirectionalLight,
  Group,
  Line,
  LineBasicMaterial,
  LineDashedMaterial,
  LineSegments,
  Matrix4,
  Mesh,
  OrthographicCamera,
  PerspectiveCamera,
  Plane,
  Raycaster,
  Scene,
  Vector2,
  Vector3,
  WebGLRenderer,
} from 'three';
import { OrbitControls } from 'three/addons/controls/OrbitControls.js';
import { forgetColors, LOOKS, token } from './colors';
import { thingsGeometry } from './thing-geometry';
import { tubesGeometry } from './tube-geometry';
import { centerLines, wideLines } from './wide-lines';
import { type TubeShown, type HoseShown, type ChosenShown, type Look, EYES } from './stage-shown';
import {
  drawnByCpu,
  handles,
  clear,
  made,
  matt,
  kept,
  boxes,
  vector,
  plain,
  MOST_HANDLES,
} from './stage-pieces';

/** A little further off than just sees it all. */
const NEARLY = 1.03;
/** Handles keep their size on the screen, px. */
const HANDLE_PX = 6;

/** The three.js scene. It shows and says what lies under the pointer; it decides nothing. */
export class Stage {
  private readonly renderer: WebGLRenderer;
  private readonly scene = new Scene();
  private readonly perspective = new PerspectiveCamera(35, 1, 10, 60_000);
  private readonly flat = new OrthographicCamera(-1, 1, 1, -1, -30_000, 60_000);
  private camera: PerspectiveCamera | OrthographicCamera = this.perspective;
  readonly controls: OrbitControls;
  private readonly frameGroup = new Group();
  private readonly linesGroup = new Group();
  private readonly chosenGroup = new Group();
  private readonly hosesGroup = new Group();
  private readonly posedGroup = new Group();
  private readonly markGroup = new Group();
  /** Handles of the chosen line's corners: a ring of ink, and what it rings. */
  private readonly rings: InstancedMesh;
  private readonly corners: InstancedMesh;
  private cornerPlaces: readonly Vec3[] = [];
  private cornerChosen: number | null = null;
  private cornerPointed: number | null = null;
  private readonly ghost = new Line(
    new BufferGeometry(),
    new LineDashedMaterial({ dashSize: 14, gapSize: 9, depthTest: false }),
  );
  private width = 1;
  private height = 1;
  private asked = 0;
  private readonly slow: boolean;
  private hurried = false;

  /** Called after each picture, so that words laid over it can follow. */
  constructor(
    canvas: HTMLCanvasElement,
    private readonly drawn: () => void,
  ) {
    this.slow = drawnByCpu();
    this.renderer = new WebGLRenderer({
      canvas,
      antialias: !this.slow,
      alpha: true,
      preserveDrawingBuffer: true,
    });
    this.scene.add(new AmbientLight(0xffffff, 1.7));
    for (const [at, strength] of [
      [[-1, -1, 2], 1.3],
      [[1, 2, 0.5], 0.5],
    ] as const) {
      const light = new DirectionalLight(0xffffff, strength);
      light.position.set(at[0], at[1], at[2]);
      this.scene.add(light);
    }
    this.rings = handles(5);
    this.corners = handles(6);
    this.ghost.renderOrder = 7;
    (this.ghost.material as LineDashedMaterial).color = token('ink');
    this.scene.add(
      this.frameGroup,
      this.linesGroup,
      this.chosenGroup,
      this.hosesGroup,
      this.posedGroup,
      this.markGroup,
      this.rings,
      this.corners,
      this.ghost,
    );
    this.controls = new OrbitControls(this.camera, canvas);
    this.controls.addEventListener('change', () => this.ask());
  }

  dispose(): void {
    cancelAnimationFrame(this.asked);
    this.controls.dispose();
    for (const group of [
      this.frameGroup,
      this.linesGroup,
      this.chosenGroup,
      this.hosesGroup,
      this.posedGroup,
      this.markGroup,
    ])
      clear(group);
    for (const material of made.values()) material.dispose();
    made.clear();
    forgetColors();
    this.renderer.dispose();
  }

  /** Draw calls of the last picture. */
  get calls(): number {
    return this.renderer.info.render.calls;
  }

  resize(width: number, height: number): void {
    // Setting a size empties the picture and takes its memory anew: only where it is another one.
    if (width === this.width && height === this.height) return;
    this.fit(width, height);
  }
  /** While something moves by itself, a picture that the CPU draws is drawn coarser, so that it keeps up. */
  hurry(on: boolean): void {
    if (!this.slow || on === this.hurried) return;
    this.hurried = on;
    this.fit(this.width, this.height);
  }
  private fit(width: number, height: number): void {
    [this.width, this.height] = [Math.max(1, width), Math.max(1, height)];
    this.renderer.setPixelRatio(this.hurried ? 0.4 : Math.min(2, globalThis.devicePixelRatio || 1));
    this.renderer.setSize(this.width, this.height, false);
    this.perspective.aspect = this.width / this.height;
    this.perspective.updateProjectionMatrix();
    this.shapeFlat();
    this.ask();
  }
  private shapeFlat(): void {
    const half = (this.flat.userData['halfMm'] as number | undefined) ?? 1000;
    const wide = (half * this.width) / this.height;
    Object.assign(this.flat, { left: -wide, right: wide, top: half, bottom: -half });
    this.flat.updateProjectionMatrix();
  }

  setThings(things: readonly Thing[]): void {
    clear(this.frameGroup);
    for (const nature of NATURES) {
      const own = things.filter((thing) => thing.nature === nature);
      const floor = (thing: Thing): boolean => thing.kind === 'floor';
      const holds = (thing: Thing): boolean => nature === 'solid' && thing.holds && !floor(thing);
      for (const [list, opacity] of [
        [own.filter(holds), 1],
        [own.filter(floor), 0.1],
        [
          own.filter((thing) => !holds(thing) && !floor(thing)),
          nature === 'solid' ? 0.3 : LOOKS[nature].opacity,
        ],
      ] as const) {
        const made = thingsGeometry(list);
        if (!made) continue;
        const material = matt(LOOKS[nature].token, opacity);
        const edge = opacity < 1 ? 0.35 : 0.8;
        const lines = kept(
          `edge ${edge}`,
          () =>
            new LineBasicMaterial({ color: token('ink-soft'), transparent: true, opacity: edge }),
        );
        this.frameGroup.add(new Mesh(made.faces, material), new LineSegments(made.edges, lines));
      }
    }
    this.ask();
  }

  /** All lines but the chosen one, one geometry an ink, and their clips. */
  setLines(lines: readonly TubeShown[], clips: readonly Vec3[]): void {
    clear(this.linesGroup);
    for (const ink of new Set(lines.map((line) => line.ink))) {
      const own = lines.filter((line) => line.ink === ink);
      this.linesGroup.add(
        new Mesh(tubesGeometry(own), matt(ink)),
        wideLines(centerLines(own.map(({ points }) => points)), ink, 'other'),
      );
    }
    if (clips.length) this.linesGroup.add(boxes(clips, [12, 18, 18], 'ink-soft'));
    this.ask();
  }

  /** Hoses as they hang, the looked-at one whole and the others faint; and what moves with its end, as it stands now. */
  setHoses(hoses: readonly HoseShown[], moving: readonly Thing[]): void {
    clear(this.hosesGroup);
    clear(this.posedGroup);
    for (const hose of hoses) {
      const ink = hose.chosen ? hose.ink : 'slate';
      const center = centerLines([hose.points]);
      this.hosesGroup.add(
        new Mesh(tubesGeometry([hose]), matt(ink)),
        wideLines(center, ink, hose.chosen ? 'chosen' : 'other'),
      );
      if (hose.chosen) this.hosesGroup.add(wideLines(center, ink, 'ghost'));
      if (hose.chosen && hose.fittings.length)
        this.hosesGroup.add(new Mesh(tubesGeometry(hose.fittings), matt('ink')));
    }
    const made = thingsGeometry(moving);
    if (made) {
      const edges = kept(
        'posed edge',
        () => new LineBasicMaterial({ color: token('copper'), transparent: true, opacity: 0.8 }),
      );
      this.posedGroup.add(new LineSegments(made.edges, edges));
      made.faces.dispose();
    }
    this.ask();
  }

  setPorts(places: readonly Vec3[]): void {
    clear(this.markGroup);
    if (places.length) this.markGroup.add(boxes(places, [26, 26, 26], 'ink'));
    this.ask();
  }

  /** The chosen line: drawn anew at every step of a drag. */
  setChosen(line: ChosenShown | null): void {
    clear(this.chosenGroup);
    this.cornerPlaces = line?.corners ?? [];
    this.cornerChosen = line?.corner ?? null;
    if (line) {
      // In place with a dark halo, and faintly through anything in front of it.
      const center = centerLines([line.points]);
      this.chosenGroup.add(
        new Mesh(tubesGeometry([line]), matt(line.ink)),
        wideLines(center, 'ink', 'halo'),
        wideLines(center, line.ink, 'chosen'),
        wideLines(center, line.ink, 'ghost'),
      );
      if (line.clips.length) this.chosenGroup.add(boxes(line.clips, [16, 24, 24], 'ink'));
      if (line.gaps.length) {
        const gaps = new BufferGeometry().setFromPoints(
          line.gaps.flatMap(([from, to]) => [vector(from), vector(to)]),
        );
        const seen = new LineSegments(
          gaps,
          kept('gap', () => new LineBasicMaterial({ color: token('stop'), depthTest: false })),
        );
        seen.renderOrder = 4;
        this.chosenGroup.add(seen);
      }
    }
    this.ask();
  }

  /** Marks the corner that is pointed at, here or in another picture of the line. */
  setPointed(corner: number | null): void {
    this.cornerPointed = corner;
    this.ask();
  }

  setGhost(points: readonly Vec3[] | null): void {
    this.ghost.geometry.dispose();
    this.ghost.geometry = new BufferGeometry().setFromPoints((points ?? []).map(vector));
    this.ghost.computeLineDistances();
    this.ghost.visible = !!points?.length;
    this.ask();
  }

  /** Looks from a side at these places, all of them in the picture. */
  lookFrom(look: Look, places: readonly Vec3[]): void {
    this.camera = look === 'around' ? this.perspective : this.flat;
    this.controls.object = this.camera;
    this.controls.enableRotate = look === 'around';
    const [eye, up] = EYES[look].map(vector) as [Vector3, Vector3];
    this.camera.up.copy(up);
    this.aim(eye, places);
  }
  /** Keeps the side and brings these places into the picture. */
  zoomTo(places: readonly Vec3[]): void {
    this.aim(this.camera.position.clone().sub(this.controls.target).normalize(), places);
  }
  private aim(eye: Vector3, places: readonly Vec3[]): void {
    const points = places.length ? places.map(vector) : [new Vector3()];
    const low = points.reduce((a, b) => a.clone().min(b), points[0]!.clone());
    const high = points.reduce((a, b) => a.clone().max(b), points[0]!.clone());
    const middle = low.clone().add(high).multiplyScalar(0.5);
    const right = this.camera.up.clone().cross(eye).normalize();
    const up = eye.clone().cross(right).normalize();
    // As it is seen: the middle of what lies across and upright in the picture.
    for (const axis of [right, up]) {
      const off = points.map((p) => p.clone().sub(middle).dot(axis));
      middle.addScaledVector(axis, (Math.max(...off) + Math.min(...off)) / 2);
    }
    const reach = (axis: Vector3): number =>
      Math.max(...points.map((p) => Math.abs(p.clone().sub(middle).dot(axis))));
    const isFlat = this.camera === this.flat;
    const half =
      Math.max(reach(up) + 60, ((reach(right) + 80) * this.height) / this.width, 90) * 1.05;
    // From a point that sees each place within the angle of the picture, upright and across.
    const tan = Math.tan((this.perspective.fov * Math.PI) / 360);
    const sees = (p: Vector3): number => {
      const at = p.clone().sub(middle);
      const off = Math.max(
        Math.abs(at.dot(up)) + 40,
        ((Math.abs(at.dot(right)) + 40) * this.height) / this.width,
      );
      return at.dot(eye) + off / tan;
    };
    const away = isFlat ? half / tan + reach(eye) : Math.max(...points.map(sees), 90 / tan);
    this.controls.target.copy(middle);
    this.camera.position.copy(middle).addScaledVector(eye, Math.max(away * NEARLY, 200));
    this.flat.zoom = 1;
    this.flat.userData['halfMm'] = half;
    this.shapeFlat();
    this.controls.update();
    this.ask();
  }

  /** Where a place lies on the canvas, px; null behind the eye. */
  at(place: Vec3): { x: number; y: number } | null {
    const seen = vector(place).project(this.camera);
    if (seen.z > 1 || seen.z < -1) return null;
    return { x: ((seen.x + 1) / 2) * this.width, y: ((1 - seen.y) / 2) * this.height };
  }

  /** Axis that the eye looks along most: the plane of a drag is square to it. */
  get depthAxis(): 0 | 1 | 2 {
    const eye = plain(this.camera.position.clone().sub(this.controls.target));
    const sizes = eye.map(Math.abs);
    return sizes.indexOf(Math.max(...sizes)) as 0 | 1 | 2;
  }

  /** The place under a point of the canvas, in the upright or level plane through `through` that faces the eye most. */
  under(x: number, y: number, through: Vec3): Vec3 | null {
    const ray = new Raycaster();
    ray.setFromCamera(
      new Vector2((x / this.width) * 2 - 1, 1 - (y / this.height) * 2),
      this.camera,
    );
    const normal = new Vector3().setComponent(this.depthAxis, 1);
    const hit = ray.ray.intersectPlane(
      new Plane().setFromNormalAndCoplanarPoint(normal, vector(through)),
      new Vector3(),
    );
    return hit && plain(hit);
  }

  private ask(): void {
    if (this.asked) return;
    this.asked = requestAnimationFrame(() => {
      this.asked = 0;
      this.draw();
    });
  }
  /** One picture, at once. */
  draw(): void {
    this.placeCorners();
    this.renderer.render(this.scene, this.camera);
    this.drawn();
  }
  private placeCorners(): void {
    const [ink, sheet] = [token('ink'), token('sheet')];
    const matrix = new Matrix4();
    const places = this.cornerPlaces.slice(0, MOST_HANDLES);
    for (const [mesh, morePx] of [
      [this.rings, 2.5],
      [this.corners, 0],
    ] as const) {
      mesh.count = places.length;
      for (const [i, place] of places.entries()) {
        const at = vector(place);
        const chosen = this.cornerChosen === i + 1;
        const size =
          this.mmPerPx(at) *
          (HANDLE_PX + (chosen || this.cornerPointed === i + 1 ? 3 : 0) + morePx);
        mesh.setMatrixAt(i, matrix.makeScale(size, size, size).setPosition(at));
        mesh.setColorAt(i, (mesh === this.corners) === chosen || mesh === this.rings ? ink : sheet);
      }
      mesh.instanceMatrix.needsUpdate = true;
      if (mesh.instanceColor) mesh.instanceColor.needsUpdate = true;
    }
  }
  private mmPerPx(at: Vector3): number {
    return this.camera === this.perspective
      ? (2 *
          at.distanceTo(this.camera.position) *
          Math.tan((this.perspective.fov * Math.PI) / 360)) /
          this.height
      : (this.flat.top - this.flat.bottom) / this.flat.zoom / this.height;
  }
}
