import { addScaled, cross, distance, dot, sub, unit, type Vec3 } from '../../lib/vec/index.ts';
import { bendTable, cornersOf, type Bend, type BendTable, type Corner } from './bend.ts';
import { dialFor, formedRadiusMm, springback, type Bender } from './bender.ts';
import { endRoom, type EndRoom, type EndTooling } from './end-room.ts';

export interface CardInput {
  /** Corner points from seat to seat, end A first. */
  readonly nodesMm: readonly Vec3[];
  readonly odMm: number;
  readonly bender: Bender;
  readonly ends: { readonly a: EndTooling; readonly b: EndTooling };
  /** Extra tube left at B to be trimmed when the line has been offered up. */
  readonly trimMm: number;
}

/** What a tape must read after a bend, the bend laid flat on the bench. All to center lines but for the outside named. */
export interface BendCheck {
  /** From end A square across to the outside of the new straight. */
  readonly endToBendMm: number;
  /** End A over (or under) the plane of this bend. */
  readonly heightMm: number;
  /** Straight from end A to the far end of the tube as it is now. */
  readonly tipToTipMm: number;
}
export interface CardBend extends Bend {
  readonly dialDeg: number;
  readonly formedRadiusMm: number;
  /** Where to draw the mark that the die's reference is laid to, from the cut end A. */
  readonly drawMarkMm: number;
  readonly check: BendCheck;
}

export interface Card extends Omit<BendTable, 'bends'> {
  /** To cut from stock: `cutMm` and the trim. */
  readonly stockCutMm: number;
  /** Extra at B; 0 where B is flared before its last bend. */
  readonly trimMm: number;
  readonly bends: readonly CardBend[];
  readonly room: { readonly a: EndRoom; readonly b: EndRoom };
  /** The bend (from 0) before which B is flared; null where B is flared after the last. */
  readonly flareBBefore: number | null;
  /** Names of its steps in the plain order, from A: whether work was done to this card goes by them. */
  readonly stepIds: readonly string[];
}

/** The radius that each corner of a line keeps in this bender; the die's where there is no bend. */
export function formedRadii(nodesMm: readonly Vec3[], bender: Bender): (node: number) => number {
  const kept = new Map(
    cornersOf(nodesMm).map((corner) => [corner.node, formedRadiusMm(bender, corner.bendDeg)]),
  );
  return (node) => kept.get(node) ?? bender.dieRadiusMm;
}

/** The latest bend before which B still has the straight it is flared on; null where the last straight alone will do. */
function flareBefore(table: BendTable, neededMm: number): number | null {
  if (table.bends.length === 0 || table.tailMm >= neededMm - 1e-9) return null;
  let free = table.tailMm;
  for (let k = table.bends.length - 1; k > 0; k--) {
    free += table.bends[k]!.arcMm + table.bends[k]!.feedMm;
    if (free >= neededMm) return k;
  }
  return 0;
}

/** Usual order of work; what is flared early carries no trim. Source: common practice. */
function plainOrder(bends: number, flareBBefore: number | null): string[] {
  const atB = ['nut-b', 'flare-b'];
  return [
    ...['cut', 'deburr', 'nut-a', 'flare-a'],
    ...Array.from({ length: bends }, (_, k) => [
      ...(k === flareBBefore ? atB : []),
      `bend-${k + 1}`,
    ]).flat(),
    'offer-up',
    ...(flareBBefore === null ? ['trim-b', ...atB] : []),
    ...['clean', 'cap'],
  ];
}

/** `tipMm`: from the corner to the free end along the new straight. */
function checkAfter(corner: Corner, endA: Vec3, tipMm: number, odMm: number): BendCheck {
  const normal = unit(cross(corner.inward, corner.outward))!;
  const across = cross(normal, corner.outward);
  const arm = sub(endA, corner.at);
  return {
    endToBendMm: Math.abs(dot(arm, across)) + odMm / 2,
    heightMm: Math.abs(dot(arm, normal)),
    tipToTipMm: distance(endA, addScaled(corner.at, corner.outward, tipMm)),
  };
}

/**
 * The bend card of a line in this user's own bender: what to cut, where to mark, how far to turn and
 * what to dial, what to measure after each bend and the order of work. Throws InputError as `bendTable`.
 */
export function makeCard({ nodesMm, odMm, bender, ends, trimMm }: CardInput): Card {
  const corners = cornersOf(nodesMm);
  const radiusAt = formedRadii(nodesMm, bender);
  const line = springback(bender.testBends);
  const flareExtraMm = { a: ends.a.flareExtraMm, b: ends.b.flareExtraMm };
  const table = bendTable({
    nodesMm,
    clrMm: nodesMm.slice(1, -1).map((_, i) => radiusAt(i + 1)),
    flareExtraMm,
  });
  const flareBBefore = flareBefore(table, ends.b.nutLengthMm + ends.b.clampMm);
  const trim = flareBBefore === null ? trimMm : 0;
  const stockCutMm = table.cutMm + trim;
  const bends = table.bends.map((bend, k): CardBend => {
    const r = radiusAt(bend.node);
    const corner = corners[k]!;
    const arcEndMm = bend.markMm + bend.arcMm;
    const flaredB = flareBBefore !== null && k >= flareBBefore;
    const freeMm = (flaredB ? table.developedMm + flareExtraMm.a : stockCutMm) - arcEndMm;
    const tangent = r * Math.tan((bend.bendDeg * Math.PI) / 360);
    return {
      ...bend,
      dialDeg: dialFor(line, bend.bendDeg),
      formedRadiusMm: r,
      drawMarkMm:
        bender.clampSide === 'a' ? bend.markMm - bender.referenceMm : arcEndMm + bender.referenceMm,
      check: checkAfter(corner, nodesMm[0]!, tangent + freeMm, odMm),
    };
  });
  const bent = bends.length > 0;
  return {
    ...table,
    bends,
    stockCutMm,
    trimMm: trim,
    room: {
      a: endRoom(bends[0]?.feedMm ?? table.tailMm, ends.a, bender.shoeMm, bent),
      b: endRoom(table.tailMm, ends.b, bender.shoeMm, bent),
    },
    flareBBefore,
    stepIds: plainOrder(bends.length, flareBBefore),
  };
}
