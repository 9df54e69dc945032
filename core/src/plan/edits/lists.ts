import { freshOrder } from '../model/index.ts';
import type { SupplyRun } from '../../physics/wheel-ends/index.ts';
import type { LogEntry, Order, Plan, PushrodPlay, StockPiece, Trial } from '../model/index.ts';
import { freshId } from './fresh-id.ts';
import { addRecord, putRecord, removeRecord } from './records.ts';

/** Edits of what is cut, bought and measured at the wheels. */
export const LIST_EDITS = {
  /** What a cut costs: the saw's width, and the end of every coil or stick. */
  changeCutting: (
    plan: Plan,
    { patch }: { readonly patch: { readonly kerfMm?: number; readonly endMm?: number } },
  ): Plan => ({ ...plan, making: { ...plan.making, ...patch } }),
  /** The stock that is left once pieces are cut from it. */
  setStock: (plan: Plan, { stock }: { readonly stock: readonly StockPiece[] }): Plan => ({
    ...plan,
    making: { ...plan.making, stock },
  }),
  /** Something of the order of one item changed; where nothing was recorded of it yet, it is begun. */
  updateOrder: (
    plan: Plan,
    { key, patch }: { readonly key: string; readonly patch: Partial<Omit<Order, 'key'>> },
  ): Plan => {
    const was = plan.buying.orders.find((one) => one.key === key) ?? freshOrder(key);
    return putRecord(plan, 'order', { ...was, ...patch });
  },
  /** A flare that was tried, good or not. */
  recordTrial: (plan: Plan, { trial }: { readonly trial: Trial }): Plan => ({
    ...plan,
    bench: { ...plan.bench, trials: [...(plan.bench.trials ?? []), trial] },
  }),
  setCurrency: (plan: Plan, { currency }: { readonly currency: string }): Plan => ({
    ...plan,
    buying: { ...plan.buying, currency },
  }),
  /** An item of the user's own deleted with its order, which the list knows by `key`. */
  removeOwnItemAndOrder: (
    plan: Plan,
    { id, key }: { readonly id: string; readonly key: string },
  ): Plan => removeRecord(removeRecord(plan, 'ownItem', id), 'order', key),
  recordLogEntry: (plan: Plan, { entry }: { readonly entry: Omit<LogEntry, 'id'> }): Plan =>
    addRecord(plan, 'logEntry', { id: freshId(plan, 'entry'), ...entry }),
  /** Wire and breaker of the actuator, or none. */
  setSupply: (plan: Plan, { to }: { readonly to: SupplyRun | null }): Plan => ({
    ...plan,
    wheelEnds: { ...plan.wheelEnds, supply: to },
  }),
  changePushrodPlay: (plan: Plan, { patch }: { readonly patch: Partial<PushrodPlay> }): Plan => ({
    ...plan,
    wheelEnds: { ...plan.wheelEnds, play: { ...plan.wheelEnds.play, ...patch } },
  }),
} as const;
