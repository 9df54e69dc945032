import { soldSize } from '../../../lib/units/index.ts';
import { consumablesOf, type Joint } from '../../../trade/ends/index.ts';
import { jointEnds } from '../../join/index.ts';
import { tubeName, tubeWanted } from '../making/index.ts';
import {
  fluidFor,
  lineSpace,
  PART_SPECS,
  tightenKey,
  throughHoles,
  type LineView,
  type Plan,
} from '../../../plan/index.ts';
import type { PlanView } from '../../../plan/results/index.ts';
import { halfWords, fluidById, hoseById, hoseFittingById } from '../../../trade/stock/index.ts';
import { Gathered, type ListItem } from './gathered.ts';
import { onLine, ofLine } from './line-items.ts';
import { wheelParts } from './wheel-items.ts';

/** What of a plan the list rests on. */
export type Listed = Pick<PlanView, 'lines' | 'ports' | 'bleeding'> & {
  readonly plan: Pick<
    Plan,
    | 'id'
    | 'buying'
    | 'making'
    | 'parts'
    | 'hoses'
    | 'things'
    | 'clipSettings'
    | 'bleeding'
    | 'bench'
    | 'filling'
    | 'wheelEnds'
    | 'floor'
  >;
};

function partsAndTube({ plan, lines }: Listed, to: Gathered): void {
  for (const { id, name, kind, kept, ports } of plan.parts)
    if (!kept)
      to.add(
        { key: `part:${id}`, group: 'Parts', name, words: PART_SPECS[kind].name.toLowerCase() },
        1,
        { text: name, place: ports[0] ? { kind: 'port', id: ports[0].id } : { kind: 'part', id } },
      );
  for (const { tube, cuts, totalMm } of tubeWanted(lines))
    to.add(
      { key: `tube:${tube.id}`, group: 'Tube', name: tubeName(tube.id), unit: 'm' },
      totalMm / 1000,
      ...cuts.map(({ name, lineId }) => ({
        text: name,
        place: lineId
          ? ({ kind: 'line', id: lineId } as const)
          : ({ kind: 'plan', id: plan.id } as const),
      })),
    );
}
function hosesOf({ plan }: Listed, to: Gathered): void {
  for (const hose of plan.hoses) {
    const ends = (['a', 'b'] as const).map((end) =>
      hoseFittingById(hose.ends[end].fittingId)!.name.toLowerCase(),
    );
    const half = hose.ends.a.half ?? hose.ends.b.half;
    to.add(
      {
        key: `hose:${hose.id}`,
        group: 'Hoses',
        name: `${hose.name}: ${hoseById(hose.stockId)!.name}, ${Math.round(hose.orderMm)} mm`,
        ...(half ? { half } : {}),
        words: `${ends[0]} to ${ends[1]}${half ? `, ${halfWords(half)}` : ''}, ${Math.round(hose.orderMm)} mm between the seats’ faces`,
      },
      1,
      { text: hose.name, place: { kind: 'hose', id: hose.id } },
    );
  }
}
/** What every joint uses up, and once more where it was opened again; but of what is kept as it is. */
function washersOf(view: Listed, to: Gathered): void {
  const { lines } = view;
  const kept = new Set(
    lines.filter(({ line }) => line.origin === 'kept').map(({ line }) => line.id),
  );
  const opened = new Set(view.plan.floor.tight.filter((one) => one.opened).map(({ key }) => key));
  for (const end of jointEnds(view)) {
    if (kept.has(end.place.id)) continue;
    const used = (joint: Joint, text: string): void => {
      for (const { what, count } of consumablesOf(joint, end.eyes))
        to.add({ key: `use:${what}`, group: 'Washers and sealant', name: what }, count, {
          text,
          place: end.place,
        });
    };
    const joints = end.joints ?? [];
    for (const [i, joint] of joints.entries()) {
      used(joint, end.name);
      const task = tightenKey(end.id, end.end, i === joints.length - 1 ? undefined : i);
      if (opened.has(task)) used(joint, `${end.name}: opened, so new ones`);
    }
  }
}
/** Clips with their screws and brackets, and grommets where a line goes through a hole. */
function clipsOf(plan: Listed['plan'], line: LineView, to: Gathered): void {
  const { odMm } = line.tube;
  for (const clip of lineSpace(plan, line)?.clips ?? []) {
    const on = clip.to
      ? clip.bracket
        ? `on a bracket from ${clip.to.name}`
        : `on ${clip.to.name}`
      : 'no mounting yet';
    const use = {
      text: `${line.line.name} at ${Math.round(clip.atMm)}, ${on}`,
      place: onLine(line),
    };
    to.add(
      {
        key: `clip:${odMm}`,
        group: 'Clips and screws',
        name: `Lined clip for ${soldSize(odMm)} tube`,
      },
      1,
      use,
    );
    to.add(
      {
        key: 'screw:M6',
        group: 'Clips and screws',
        name: 'Screw M6 with lock washer, for a clip',
      },
      1,
      use,
    );
    if (clip.bracket)
      to.add(
        { key: 'bracket:clip', group: 'Clips and screws', name: 'Bracket of strip, for a clip' },
        1,
        use,
      );
  }
  for (const thing of plan.things)
    for (const { hole } of throughHoles(thing, line.nodesMm, odMm))
      if (hole?.lined === 'grommet')
        to.add(
          {
            key: `grommet:${hole.diameterMm}`,
            group: 'Clips and screws',
            name: `Grommet for a hole of ${hole.diameterMm} mm`,
          },
          1,
          { text: `${line.line.name} through ${thing.name}`, place: onLine(line) },
        );
}
function fluidsOf({ plan, bleeding }: Listed, to: Gathered): void {
  for (const { work, result, reservoirs } of bleeding) {
    // Each reservoir has its own fluid.
    const own = fluidFor(plan, reservoirs);
    if (result?.buyMl)
      to.add(
        {
          key: `fluid:${own}`,
          group: 'Fluid',
          name: `${fluidById(own)?.name ?? 'Brake fluid'}, unopened`,
          unit: 'mL',
        },
        result.buyMl,
        {
          text: work === 'brake' ? 'Brakes: fill and flush' : 'Clutch: fill and flush',
          place: { kind: 'plan', id: plan.id },
        },
      );
  }
}

/** One for everything: all that this plan uses up or is made with, each with where it goes. What is kept on the vehicle is not on it. */
export function shoppingList(view: Listed): ListItem[] {
  const { plan, lines } = view;
  const to = new Gathered();
  const ours = lines.filter(({ line }) => line.origin !== 'kept');
  partsAndTube(view, to);
  for (const line of ours) ofLine(line, to);
  hosesOf(view, to);
  washersOf(view, to);
  for (const line of ours) clipsOf(plan, line, to);
  wheelParts(plan, to);
  fluidsOf(view, to);
  for (const { id, name, count } of plan.buying.own ?? [])
    to.add({ key: `own:${id}`, group: 'Your own', name }, count);
  return to.items;
}
