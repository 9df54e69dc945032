import { overlap, type Px, type PxBox, type WireToRoute } from './drawn.ts';

/** Room that a wire's name takes in bold 13 px letters. */
const LETTER_PX = 8;
const NAME_PX = 16;

const along = (a: Px, b: Px, share: number): Px => ({
  x: a.x + (b.x - a.x) * share,
  y: a.y + (b.y - a.y) * share,
});
/** The box of a stretch of wire, a little thicker than the wire. */
const stretchBox = (a: Px, b: Px): PxBox => ({
  x: Math.min(a.x, b.x) - 2,
  y: Math.min(a.y, b.y) - 2,
  width: Math.abs(a.x - b.x) + 4,
  height: Math.abs(a.y - b.y) + 4,
});
const stretches = (points: readonly Px[]): (readonly [Px, Px])[] =>
  points.slice(1).map((to, i) => [points[i]!, to]);

export interface NamePlace extends PxBox {
  /** Middle of the foot of its letters. */
  readonly foot: Px;
}
function nameBox(name: string, [a, b]: readonly [Px, Px], share: number): NamePlace {
  const { x, y } = along(a, b, share);
  const width = name.length * LETTER_PX + 4;
  // Above a wire that runs across, on one that runs up and down.
  const foot = { x, y: a.y === b.y ? y - 6 : y + 5 };
  return { x: x - width / 2, y: foot.y - 12, width, height: NAME_PX, foot };
}

/** Where the name of each wire stands: on its longest stretch that is clear of boxes, of other names and of other wires. */
export function placeNames(
  wires: readonly WireToRoute[],
  routed: ReadonlyMap<string, readonly Px[]>,
  boxes: readonly PxBox[],
): ReadonlyMap<string, NamePlace> {
  const places = new Map<string, NamePlace>();
  const drawn = wires.flatMap(({ id }) =>
    stretches(routed.get(id)!).map(([a, b]) => ({ id, box: stretchBox(a, b) })),
  );
  const lengthPx = ({ id }: WireToRoute): number =>
    stretches(routed.get(id)!).reduce(
      (sum, [a, b]) => sum + Math.abs(a.x - b.x) + Math.abs(a.y - b.y),
      0,
    );
  // A short wire has little choice.
  for (const wire of [...wires].sort((a, b) => lengthPx(a) - lengthPx(b))) {
    const candidates = stretches(routed.get(wire.id)!).flatMap((stretch) =>
      [0.5, 0.3, 0.7, 0.15, 0.85].map((share) => ({
        box: nameBox(wire.name, stretch, share),
        stretch,
      })),
    );
    const cost = ({ box, stretch: [a, b] }: (typeof candidates)[number]): number => {
      const hits = (others: Iterable<PxBox>): number => {
        let count = 0;
        for (const other of others) if (overlap(box, other)) count++;
        return count;
      };
      const crossed = drawn.filter((other) => other.id !== wire.id && overlap(box, other.box));
      const across = Math.abs(a.x - b.x);
      const room = across ? Math.min(across, 2 * box.width) : Math.abs(a.y - b.y) / 4;
      return 1000 * (hits(boxes) + hits(places.values())) + 200 * crossed.length - room;
    };
    const costs = candidates.map(cost);
    const best = costs.indexOf(Math.min(...costs));
    if (candidates[best]) places.set(wire.id, candidates[best].box);
  }
  return places;
}
