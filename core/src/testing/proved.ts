import { withDone, withTight, withWanted, withLook, withRound } from './records.ts';
import { floorView } from '../stations/fit/tasks/index.ts';
import { NO_FLOOR, NO_PROVING, type Floor, type Plan, type Proving } from '../plan/index.ts';
import { viewPlan } from '../plan/results/index.ts';
import { provingTests } from '../stations/prove/index.ts';

/** A plan of which everything is told done on the floor and good in its rounds, on a day. */
export function proved(plan: Plan, at = '2026-03-02T09:00:00Z'): Plan {
  let floor: Floor = NO_FLOOR;
  for (const { task } of floorView(viewPlan(plan))) {
    if (task.fastener)
      floor = withWanted(floor, {
        key: task.fastener.key,
        nm: 20,
        source: 'Sheet',
        state: 'dry',
        fastener: 'new',
      });
    floor =
      task.fastener || task.joint
        ? withTight(floor, task, task.joint?.work.torqueNm ?? 20, at)
        : task.kind === 'look'
          ? withLook(floor, task, { good: true, note: '', at })
          : withDone(floor, task, at);
  }
  const built = { ...plan, floor };
  const rounds = provingTests(viewPlan(built));
  const holds = rounds.flatMap(({ hold, rests }) =>
    hold
      ? [
          {
            id: `hold-${hold.circuitId}`,
            at,
            circuitId: hold.circuitId,
            wantedMPa: hold.wantedMPa,
            startMPa: hold.wantedMPa,
            endMPa: hold.wantedMPa,
            startC: 18,
            endC: 18,
            minutes: 5,
            sigmaMPa: 0.02,
            rests,
          },
        ]
      : [],
  );
  return {
    ...built,
    proving: rounds
      .filter(({ hold }) => !hold)
      .flatMap(({ looks, key, rests }) =>
        looks.length ? looks.map((look) => ({ key: look.key, rests })) : [{ key, rests }],
      )
      .reduce<Proving>((so, told) => withRound(so, told, true, '', at), { ...NO_PROVING, holds }),
  };
}
