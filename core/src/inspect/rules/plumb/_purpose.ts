import {
  brakePlace,
  pressingFeeds,
  type BrakePlace,
  type PressingFeed,
} from '../../../plan/network/index.ts';
import type { Part } from '../../../plan/index.ts';
import type { Reading } from '../../define-rule.ts';

/** What a rule must read to know what a master, an outlet or a brake is for. */
export const PURPOSE_READS = ['network', 'pedals', 'plan.parts', 'plan.sizing', 'ports'] as const;
type Read = Reading<(typeof PURPOSE_READS)[number]>;

export const feedsIn = ({ network, pedals, plan }: Read): readonly PressingFeed[] =>
  pressingFeeds(network, plan.parts, pedals);
export const placeOf = (view: Read, brake: Part): BrakePlace =>
  brakePlace(brake, view.ports, view.plan.sizing?.wheelbaseMm ?? null);
/** Cars, vans and trucks: four wheels or more under one pedal. */
export const hasFourWheels = ({ plan: { sizing } }: Read): boolean =>
  sizing !== null && ['light', 'heavy', 'competition'].includes(sizing.category);
