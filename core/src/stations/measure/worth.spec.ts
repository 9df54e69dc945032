import {
  applyEdit,
  cutAllowedMm,
  cutSigmaMm,
  layPlan,
  lineSpace,
  type Plan,
  type Target,
} from '../../plan/index.ts';
import { demo } from '../../testing/demo-plans.ts';
import type { Vec3 } from '../../lib/vec/index.ts';
import { asTaped, rankMeasurements } from './index.ts';

/** Gannet with some of its ports and datums no more than guesses, each unsure in its own way. */
function unsure(): Plan {
  const sigmas: Record<string, Vec3> = {
    'port-master-front': [30, 12, 5],
    'port-ft-in': [9, 22, 14],
    'port-ft-left': [4, 40, 8],
    'port-rt-left': [25, 6, 31],
    'datum-a': [20, 20, 20],
    'datum-d': [6, 6, 6],
  };
  const known = <
    T extends { readonly id: string; readonly known: Plan['points'][number]['known'] },
  >(
    one: T,
  ): T => {
    const sigmaMm = sigmas[one.id];
    return sigmaMm ? { ...one, known: { how: 'guessed', atMm: one.known.atMm, sigmaMm } } : one;
  };
  const plan = demo('gannet');
  return {
    ...plan,
    points: plan.points.map(known),
    parts: plan.parts.map((part) => ({ ...part, ports: part.ports.map(known) })),
  };
}
const portMoved = (plan: Plan, id: string, axis: number, by: number): Plan => {
  const { fixed } = layPlan(plan).ports.get(id)!;
  const held = applyEdit(plan, {
    edit: 'setKnown',
    with: {
      target: { kind: 'port', id },
      known: { how: 'typed', atMm: fixed.atMm, sigmaMm: [0, 0, 0] },
    },
  });
  const atMm = fixed.atMm.map((v, k) => (k === axis ? v + by : v)) as unknown as Vec3;
  return applyEdit(held, {
    edit: 'setKnown',
    with: { target: { kind: 'port', id }, known: { how: 'typed', atMm, sigmaMm: [0, 0, 0] } },
  });
};

/**
 * By brute force, through edits of whole plans: ± of each cut from the plan's own figure, ± of each clearance by moving
 * every port by edits and measuring each line to each thing anew.
 */
interface Told {
  readonly name: string;
  readonly pm: number;
  readonly open: boolean;
  readonly inside: boolean;
  readonly counts: boolean;
}
function brute(plan: Plan, slopes: Map<string, Map<string, Vec3>>): Told[] {
  const { lines, ports } = layPlan(plan);
  return lines.flatMap((line): Told[] => {
    if (!line.card) return [];
    const pm = 2 * cutSigmaMm(line)!;
    const cut: Told = {
      name: line.line.name,
      pm,
      open: false,
      inside: pm <= cutAllowedMm(line.card),
      counts: true,
    };
    const near = lineSpace(plan, line)!.near.filter(
      ({ wantedMm, thing }) => wantedMm > 0 && !thing.holds,
    );
    return [
      cut,
      ...near.flatMap(({ thing, distanceMm, wantedMm }): Told[] => {
        const name = `${line.line.name} to ${thing.name}`;
        let variance = 0;
        for (const [id, slope] of slopes.get(name) ?? [])
          slope.forEach((s, axis) => (variance += (s * ports.get(id)!.fixed.sigmaMm[axis]!) ** 2));
        const own = 2 * Math.sqrt(variance);
        return slopes.has(name)
          ? [
              {
                name,
                pm: own,
                open: Math.abs(distanceMm - wantedMm) < own,
                inside: false,
                counts: distanceMm < wantedMm,
              },
            ]
          : [];
      }),
    ];
  });
}
function slopesByEdits(plan: Plan): Map<string, Map<string, Vec3>> {
  const found = new Map<string, Map<string, Vec3>>();
  const distances = (of: Plan): Map<string, number> =>
    new Map(
      layPlan(of).lines.flatMap((line) =>
        (lineSpace(of, line)?.near ?? []).map(
          ({ thing, distanceMm }) => [`${line.line.name} to ${thing.name}`, distanceMm] as const,
        ),
      ),
    );
  for (const { line } of layPlan(plan).lines)
    for (const id of [line.ends.a.portId!, line.ends.b.portId!])
      for (const axis of [0, 1, 2] as const) {
        const [more, less] = [
          distances(portMoved(plan, id, axis, 1)),
          distances(portMoved(plan, id, axis, -1)),
        ];
        for (const [name, d] of more)
          if (less.has(name) && name.startsWith(`${line.name} to `)) {
            const own = found.get(name) ?? found.set(name, new Map()).get(name)!;
            const slope = [...(own.get(id) ?? [0, 0, 0])] as [number, number, number];
            slope[axis] = (d - less.get(name)!) / 2;
            own.set(id, slope);
          }
      }
  return found;
}

test('the order is that of brute force: each guess taped in turn and the whole plan reckoned anew', () => {
  const plan = unsure();
  const slopes = slopesByEdits(plan);
  const before = brute(plan, slopes);
  const guesses: Target[] = [
    ...plan.points
      .filter(({ known }) => known.how === 'guessed')
      .map(({ id }) => ({ kind: 'point', id }) as const),
    ...plan.parts.flatMap(({ ports }) =>
      ports
        .filter(({ known }) => known.how === 'guessed')
        .map(({ id }) => ({ kind: 'port', id }) as const),
    ),
  ];
  const wanted = guesses
    .map((target) => {
      const after = new Map(brute(asTaped(plan, target), slopes).map((one) => [one.name, one]));
      const pairs = before.flatMap((was) =>
        after.has(was.name) ? [{ was, is: after.get(was.name)! }] : [],
      );
      const better = pairs.filter(({ was, is }) => is.pm < was.pm - 1e-9);
      return {
        id: target.id,
        settles: better.filter(({ was, is }) => was.open && !is.open).length,
        brings: better.filter(({ was, is }) => !was.inside && is.inside).length,
        removedMm: better
          .filter(({ was }) => was.counts)
          .reduce((sum, { was, is }) => sum + was.pm - is.pm, 0),
      };
    })
    .filter(({ settles, brings, removedMm }) => settles + brings > 0 || removedMm > 0.05)
    .sort((a, b) => b.settles - a.settles || b.brings - a.brings || b.removedMm - a.removedMm);
  const found = rankMeasurements(plan);
  expect(found.length).toBeGreaterThan(3);
  expect(found.map(({ target }) => target.id)).toEqual(wanted.map(({ id }) => id));
  found.forEach((one, i) => {
    expect([one.clearancesDecided.length, one.cutsBroughtInTolerance.length]).toEqual([
      wanted[i]!.settles,
      wanted[i]!.brings,
    ]);
    // Corners are kept to tenths of a millimetre by an edit, and reckoned with in full here.
    expect(Math.abs(one.removedMm - wanted[i]!.removedMm)).toBeLessThan(0.1 * one.removedMm + 0.5);
  });
});

test('nothing is worth taping where nothing is a guess, nor for a line that stays on the vehicle', () => {
  const plan = demo('gannet');
  const sure = {
    ...plan,
    parts: plan.parts.map((part) => ({
      ...part,
      ports: part.ports.map((port) => ({
        ...port,
        known: {
          ...port.known,
          how: port.known.how === 'guessed' ? ('typed' as const) : port.known.how,
        },
      })),
    })),
  };
  expect(rankMeasurements(sure)).toEqual([]);
  const kept = {
    ...unsure(),
    lines: plan.lines.map((line) => ({ ...line, origin: 'kept' as const })),
  };
  expect(rankMeasurements(kept)).toEqual([]);
});
