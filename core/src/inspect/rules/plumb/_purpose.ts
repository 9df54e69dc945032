import {
  brakePlace,
  brakesOf,
  feedsOf,
  pedalsOf,
  type BrakePlace,
  type Feed,
} from '../../../plan/network/index.ts';
import type { Part, Pedal } from '../../../plan/index.ts';
import type { Reading } from '../../define-rule.ts';

/** What a rule must read to know what a master, an outlet or a brake is for. */
export const PURPOSE_READS = [
  'network',
  'plan.circuits',
  'plan.hoses',
  'plan.lines',
  'plan.parts',
  'plan.sizing',
  'ports',
] as const;
type Read = Reading<(typeof PURPOSE_READS)[number]>;

/** A feed with what works it and the brakes that it presses. */
export interface PressingFeed extends Feed {
  readonly pedal: Pedal;
  readonly brakes: readonly Part[];
}
export function pressingFeeds({ network, plan }: Read): PressingFeed[] {
  const pedals = pedalsOf(plan);
  return feedsOf(network, plan.parts).map((feed) => ({
    ...feed,
    pedal: pedals.get(feed.master.id)!,
    brakes: brakesOf(feed, plan.parts),
  }));
}
export const placeOf = (view: Read, brake: Part): BrakePlace =>
  brakePlace(brake, view.ports, view.plan.sizing?.wheelbaseMm ?? null);
/** Cars, vans and trucks: four wheels or more under one pedal. */
export const hasFourWheels = ({ plan: { sizing } }: Read): boolean =>
  sizing !== null && ['light', 'heavy', 'competition'].includes(sizing.category);
