import { derive } from '../../lib/derive/index.ts';
import { obstaclesOf, type Obstacle, type Thing } from '../../shape/obstacles/index.ts';
import { worstOf, type Motion } from '../../shape/rod/index.ts';
import { InputError } from '../../lib/faults/index.ts';
import { freeMm, type Hose, type Plan, type PortView } from '../../plan/index.ts';
import {
  hoseById,
  hoseFittingById,
  TWIST_BY_BEND,
  type HoseFitting,
  type HoseStock,
} from '../../trade/stock/index.ts';
import { twistThrough } from './twist.ts';
import type { Vec3 } from '../../lib/vec/index.ts';
import { type EndPlace, type HoseState, HANG, type Hung, seatOf, sweep } from './hose-sweep.ts';

export interface HoseView {
  readonly hose: Hose;
  readonly stock: HoseStock;
  readonly fittings: { readonly a: HoseFitting; readonly b: HoseFitting };
  readonly ends: { readonly a: EndPlace; readonly b: EndPlace };
  readonly freeMm: number;
  readonly states: readonly HoseState[];
  readonly worst: HoseState | null;
  /** Twist from end to end that the travel puts into it, by state, once both ends are tight; null where it does not reach. */
  readonly twistDeg: readonly (number | null)[];
  /** Why there are no states. */
  readonly fault: string | null;
}

/** What a hose does through its travel: its names, its fixing and its age do not matter. */
type Travelled = Omit<HoseView, 'hose'>;
/** Hoses that may share one motion, as copies do. */
const SHARED = 8;
const travelled = derive(
  'hose through its travel',
  (
    { ends, motion, orderMm, stockId }: Hose,
    obstacles: readonly Obstacle[],
    a?: PortView,
    b?: PortView,
  ) => [
    motion,
    orderMm,
    stockId,
    obstacles,
    a?.fixed.atMm,
    a?.port.direction,
    b?.fixed.atMm,
    b?.port.direction,
    ...HANG.map((key) => ends.a[key]),
    ...HANG.map((key) => ends.b[key]),
  ],
  (motion, orderMm, stockId, obstacles, aAt, aWay, bAt, bWay, ...hung) => {
    const end = (from: number): Hung =>
      Object.fromEntries(HANG.map((key, i) => [key, hung[from + i]])) as Partial<Hung> as Hung;
    const ends = { a: end(0), b: end(HANG.length) };
    return build(
      (obstacles as readonly Obstacle[]).map(({ thing }) => thing),
      { ends, motion: motion as Motion, orderMm: orderMm as number, stockId: stockId as string },
      {
        a: seatOf(ends.a, aAt as Vec3, aWay as Vec3),
        b: seatOf(ends.b, bAt as Vec3, bWay as Vec3),
      },
    );
  },
  SHARED,
);
/** A hose with all that follows from it; the same hose among the same things is computed once. */
const viewed = derive(
  'hose',
  (hose: Hose, view: Travelled) => [hose, view],
  (hose, view): HoseView => ({ hose, ...view }),
);
export const hoseView = (
  plan: Pick<Plan, 'things'>,
  hose: Hose,
  ports: ReadonlyMap<string, PortView>,
): HoseView =>
  viewed(
    hose,
    travelled(
      hose,
      obstaclesOf(plan),
      ports.get(hose.ends.a.portId ?? ''),
      ports.get(hose.ends.b.portId ?? ''),
    ),
  );

function build(
  things: readonly Thing[],
  hose: Pick<Hose, 'motion' | 'orderMm' | 'stockId'> & {
    readonly ends: { readonly a: Hung; readonly b: Hung };
  },
  ends: Travelled['ends'],
): Travelled {
  const stock = hoseById(hose.stockId)!;
  const fittings = {
    a: hoseFittingById(hose.ends.a.fittingId)!,
    b: hoseFittingById(hose.ends.b.fittingId)!,
  };
  const free = freeMm(hose);
  const base = { stock, fittings, ends, freeMm: free };
  const without = (fault: string): Travelled => ({
    ...base,
    states: [],
    worst: null,
    twistDeg: [],
    fault,
  });
  if (free <= 0)
    return without(`The two fittings alone are longer than the ${hose.orderMm} mm ordered.`);
  try {
    const states = sweep(hose.motion, ends.a.clamp, ends.b, free, stock, things);
    const twistDeg = twistThrough(
      hose.motion,
      ends.a,
      ends.b,
      free,
      TWIST_BY_BEND[stock.kind],
      states,
    );
    return { ...base, states, worst: worstOf(states), twistDeg, fault: null };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return without(error.message);
  }
}
