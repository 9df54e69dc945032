import { wholeView } from '../../rule-kit/whole-view.ts';
import { AirSim, driftMmS, extremesOf, POT_MPA, VACUUM_MPA } from '../../../physics/air/index.ts';
import { airFluidOf, airNetworkOf, methodOf, wayOfMethod } from '../../../stations/fill/index.ts';
import { fluidFor, lineSpace } from '../../../plan/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { humpsOf, RISE_MM } from '../route/high-point.ts';
import { FILL_READS } from './_shared.ts';

/** A down-leg at 45°, where sloping tube lets air climb fastest (Zukoski 1966, from memory). */
const SLOPING = Math.SQRT1_2;
/** Slower than this it hardly climbs: the stroke decides, mm/s. */
const CREEP_MM_S = 5;

/** A hump whose down-leg the method flows through slower than air climbs keeps its air, however much is pushed. Source: Viana et al. (2003), Zukoski (1966), from memory. */
export const airStays = defineRule({
  id: 'air-stays',
  station: 'fill',
  about: 'plan',
  reads: FILL_READS,
  judge: (view): Finding[] => {
    const whole = wholeView(view);
    return view.bleeding.flatMap((work) => {
      const network = airNetworkOf(work, whole);
      if (!network || !work.result) return [];
      const method = methodOf(view.plan.filling, view.plan, network);
      const way = wayOfMethod(method.id);
      const fluid = airFluidOf(fluidFor(view.plan, work.reservoirs));
      const extremes = extremesOf(fluid);
      const full = new AirSim(network, fluid, false);
      const said = new Set<string>();
      return work.result.order.flatMap(({ id }): Finding[] => {
        const { legs, outlet } = full.wayOf(id);
        const drive =
          (way === 'pressure' ? POT_MPA : way === 'vacuum' ? VACUUM_MPA : 0) + full.headOf(id);
        const mlPerS =
          way === 'two-people' || way === 'one-way'
            ? network.outlets[outlet]!.strokeMl
            : way === 'back-fill'
              ? 2.5
              : Math.max(0, drive / full.resistanceOf(id));
        return legs.flatMap(({ pipe }): Finding[] => {
          const { id: lineId, boreMm } = network.pipes[pipe]!;
          const line = view.lines.find((one) => one.line.id === lineId);
          const space = line && lineSpace(view.plan, line);
          const [most, least] = extremes.map((one) => driftMmS(boreMm, SLOPING, Infinity, one));
          const flow = mlPerS / ((Math.PI / 4) * boreMm * boreMm * 1e-3);
          if (!space || said.has(lineId) || most! < CREEP_MM_S || flow > most!) return [];
          const rise = Math.max(
            0,
            ...humpsOf(space.points.map((p) => p[2])).map(({ riseMm }) => riseMm),
          );
          if (rise < RISE_MM) return [];
          said.add(lineId);
          return [
            {
              level: 'caution',
              place: { kind: 'line', id: lineId },
              where: line.line.name,
              text: `With this method (${method.name.toLowerCase()}) fluid moves at ${Math.round(flow)} mm/s, and air climbs at ${Math.round(least!)} to ${Math.round(most!)}, so air ${flow > least! ? 'may stay' : 'stays'} at the high point. Push fluid faster, or lower the hump.`,
            },
          ];
        });
      });
    });
  },
});
