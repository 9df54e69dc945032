import {
  AirSim,
  extremesOf,
  GLYCOL_FLUID,
  goOnce,
  POT_MPA,
  simulateBleed,
  VACUUM_MPA,
  type AirFluid,
  type AirNetwork,
  type Bled,
  type WayToBleed,
} from '../../physics/air/index.ts';
import type { School } from '../../physics/bleeding/index.ts';
import type { FillMethod, FillRun } from '../../plan/index.ts';
import { secondsOf } from '../../lib/units/index.ts';
import { fluidById } from '../../trade/stock/index.ts';

/** Silicone beside glycol: lighter, less surface tension, thicker when cold. Makers' sheets, from memory. */
const SILICONE: AirFluid = { densityKgM3: 960, viscosityPaS: 0.04, tensionNM: 0.021 };
const MINERAL: AirFluid = { densityKgM3: 870, viscosityPaS: 0.02, tensionNM: 0.03 };
/** What a fluid is to the air in it. */
export const airFluidOf = (fluidId: string): AirFluid =>
  ({ glycol: GLYCOL_FLUID, silicone: SILICONE, mineral: MINERAL })[
    fluidById(fluidId)?.family ?? 'glycol'
  ];
/** A method as the simulation knows it: an actuator pushes as a pot does. */
export const wayOfMethod = (method: FillMethod): WayToBleed =>
  method === 'actuator' ? 'pressure' : method;

/** One school by one method on one plan. */
export interface Predicted {
  readonly school: School;
  readonly strokes: number;
  readonly ml: number;
  readonly minutes: number;
  /** Air that stays, mL: least and most over what is not known of the fluid. */
  readonly leftMl: readonly [least: number, most: number];
  readonly left: Bled['left'];
  readonly corners: Bled['corners'];
  /** Whether every corner ran clear. */
  readonly clear: boolean;
}
export interface Asked {
  readonly network: AirNetwork;
  readonly method: FillMethod;
  readonly fluidId: string;
  readonly share: number;
  readonly orders: readonly { readonly school: School; readonly order: readonly string[] }[];
}
/** What each school leaves behind and takes, on this very plan. */
export function predictSchools({ network, method, fluidId, share, orders }: Asked): Predicted[] {
  const fluid = airFluidOf(fluidId);
  const run = { way: wayOfMethod(method), share };
  return orders.map(({ school, order }) => {
    const bled = extremesOf(fluid).map((extreme) =>
      simulateBleed(network, { ...run, order }, extreme),
    );
    const worst = bled.reduce((a, b) => (b.leftMl > a.leftMl ? b : a));
    const sum = (of: (corner: Bled['corners'][number]) => number): number =>
      Math.max(...bled.map(({ corners }) => corners.reduce((s, c) => s + of(c), 0)));
    return {
      school,
      strokes: sum(({ strokes }) => strokes),
      ml: sum(({ ml }) => ml),
      minutes: Math.max(...bled.map(({ seconds }) => seconds)) / 60,
      leftMl: [Math.min(...bled.map(({ leftMl }) => leftMl)), worst.leftMl],
      left: worst.left,
      corners: worst.corners,
      clear: bled.every(({ corners }) => corners.every(({ clear }) => clear)),
    };
  });
}

/** Where the air stands by the simulation after all that was told of a run. */
export interface AirNow {
  readonly airMl: number;
  readonly pipes: readonly (readonly { readonly from: number; readonly to: number }[])[];
  readonly places: readonly { readonly at: string; readonly ml: number }[];
}
/** Nobody leaves a bleeder for longer than this without saying so, s. */
const LONGEST_REST_S = 120;
/** A run played through the pipes: what is seen at the hose comes before it. */
export function airNow(network: AirNetwork, run: FillRun, fluidId: string): AirNow {
  const sim = new AirSim(network, airFluidOf(fluidId));
  const way = wayOfMethod(run.method);
  let [at, portId, step] = [secondsOf(run.startedAt), run.order[0]!, 0];
  const known = (id: string): boolean => network.bleeders.some((bleeder) => bleeder.id === id);
  for (const event of run.log) {
    const gone = secondsOf(event.at) - at;
    at = secondsOf(event.at);
    if (event.act === 'next') portId = run.order[++step] ?? portId;
    if (!known(portId)) continue;
    if (gone > 1) sim.rest(Math.min(gone, LONGEST_REST_S));
    const nominal = network.outlets[sim.wayOf(portId).outlet]!.strokeMl;
    if (event.act === 'stroke') goOnce(sim, portId, { way, share: run.strokeMl / nominal });
    else if (event.act === 'read' && (event.ml ?? 0) > 0) {
      if (way === 'pressure') sim.press(portId, POT_MPA, event.ml!);
      else if (way === 'vacuum') sim.draw(portId, VACUUM_MPA, event.ml!);
      else if (way === 'back-fill') sim.backFill(portId, event.ml!);
      else sim.press(portId, 0, event.ml!);
    }
  }
  return {
    airMl: sim.airMl,
    pipes: network.pipes.map((_, i) => sim.slugsOf(i)),
    places: [...new Set(network.bleeders.map((b) => b.at))].map((place) => ({
      at: place,
      ml: sim.heldAt(place),
    })),
  };
}
