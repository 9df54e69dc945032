import { consumablesOf } from '../../../trade/ends/index.ts';
import { jointEnds } from '../../join/index.ts';
import { tubeName, tubeWanted } from '../making/index.ts';
import {
  adapterOf,
  fluidFor,
  lineSpace,
  PART_SPECS,
  throughHoles,
  type LineView,
  type Plan,
  type Ref,
} from '../../../plan/index.ts';
import type { PlanView } from '../../../plan/results/index.ts';
import {
  halfWords,
  fluidById,
  FLARES,
  hoseById,
  hoseFittingById,
  type Half,
} from '../../../trade/stock/index.ts';

export const GROUPS = [
  'Parts',
  'Tube',
  'Nuts and sleeves',
  'Hoses',
  'Adapters',
  'Bought lines',
  'Washers and sealant',
  'Clips and screws',
  'Caps',
  'Fluid',
  'Tools',
  'Your own',
] as const;
export type Group = (typeof GROUPS)[number];
/** Where a thing of the list goes. */
export interface Use {
  readonly text: string;
  readonly place: Ref;
}
/** One thing of the list, as it follows from the plan. */
export interface ListItem {
  /** Tells it from the others, whatever else of the plan changes. */
  readonly key: string;
  readonly group: Group;
  readonly name: string;
  /** Pieces; of tube metres, of fluid millilitres. */
  readonly count: number;
  readonly unit: 'piece' | 'm' | 'mL';
  readonly uses: readonly Use[];
  /** Its own threaded end, where it has one that can be measured when it comes. */
  readonly half?: Half;
  /** What to say to a seller beside its name. */
  readonly words?: string;
}

const onLine = ({ line }: LineView): Ref => ({ kind: 'line', id: line.id });

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
  >;
};

/** Gathers things by what they are: the same thing wanted in two places is one line with both. */
class Gathered {
  readonly #items = new Map<string, ListItem>();
  add(
    item: Omit<ListItem, 'count' | 'uses' | 'unit'> & { readonly unit?: ListItem['unit'] },
    count: number,
    ...uses: Use[]
  ): void {
    const now = this.#items.get(item.key);
    this.#items.set(item.key, {
      unit: 'piece',
      ...item,
      count: (now?.count ?? 0) + count,
      uses: [...(now?.uses ?? []), ...uses],
    });
  }
  get items(): ListItem[] {
    return [...this.#items.values()].sort(
      (a, b) => GROUPS.indexOf(a.group) - GROUPS.indexOf(b.group) || a.name.localeCompare(b.name),
    );
  }
}

function ofLine(view: LineView, to: Gathered): void {
  const { line, nuts, bench, tube } = view;
  const place = onLine(view);
  if (line.origin === 'bought')
    to.add(
      { key: `line:${line.id}`, group: 'Bought lines', name: `${line.name} ${line.title}`.trim() },
      1,
      { text: line.name, place },
    );
  if (line.origin === 'made') {
    for (const end of ['a', 'b'] as const) {
      const use = { text: `${line.name}, end ${end.toUpperCase()}`, place };
      const nut = nuts[end];
      const half: Half = {
        gender: 'male',
        thread: nut.thread,
        end: nut.flare === 'cone-37' ? 'cone-37' : nut.flare,
      };
      to.add(
        {
          key: `nut:${nut.id}`,
          group: 'Nuts and sleeves',
          name: nut.name,
          half,
          words: `tube nut ${nut.thread}, right hand, for ${tube.odMm} mm tube, ${FLARES[nut.flare].name.toLowerCase()}, ${nut.lengthMm} mm long`,
        },
        1,
        use,
      );
      if (nut.flare === 'cone-37')
        to.add(
          {
            key: `sleeve:${tube.odMm}`,
            group: 'Nuts and sleeves',
            name: `37° sleeve for ${tube.odMm} mm tube`,
          },
          1,
          use,
        );
      to.add(
        { key: `cap:${tube.odMm}`, group: 'Caps', name: `Cap for ${tube.odMm} mm tube end` },
        1,
        use,
      );
      to.add(
        { key: `tool:${nut.wrench}`, group: 'Tools', name: `${nut.wrench}, flare nut` },
        1,
        use,
      );
      if (!bench.flares[nut.flare].owned)
        to.add(
          {
            key: `tool:flare-${nut.flare}`,
            group: 'Tools',
            name: `Flaring tool or die, ${FLARES[nut.flare].name.toLowerCase()}`,
          },
          1,
          use,
        );
    }
    const heat = line.sleeves.filter(({ kind }) => kind === 'heat').length;
    const chafe = line.sleeves.length - heat;
    if (heat)
      to.add(
        {
          key: `heat:${tube.odMm}`,
          group: 'Clips and screws',
          name: `Heat sleeve over ${tube.odMm} mm tube`,
        },
        heat,
        { text: line.name, place },
      );
    if (chafe)
      to.add(
        {
          key: `guard:${tube.odMm}`,
          group: 'Clips and screws',
          name: `Guard over ${tube.odMm} mm tube`,
        },
        chafe,
        { text: line.name, place },
      );
    if (Math.abs(view.bender.tubeOdMm - tube.odMm) > 0.1)
      to.add(
        {
          key: `tool:bender-${tube.odMm}`,
          group: 'Tools',
          name: `Bender for ${tube.odMm} mm tube`,
        },
        1,
        { text: line.name, place },
      );
  }
  for (const end of ['a', 'b'] as const)
    for (const id of line.ends[end].adapters) {
      const adapter = adapterOf(bench, id);
      if (adapter)
        to.add(
          {
            key: `adapter:${id}`,
            group: 'Adapters',
            name: adapter.name,
            half: adapter.halves[0]!,
            words: adapter.halves.map(halfWords).join('; '),
          },
          1,
          { text: `${line.name}, end ${end.toUpperCase()}`, place },
        );
    }
}

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
        words: `${ends[0]} to ${ends[1]}${half ? `, ${halfWords(half)}` : ''}, ${Math.round(hose.orderMm)} mm between the seats' faces`,
      },
      1,
      { text: hose.name, place: { kind: 'hose', id: hose.id } },
    );
  }
}
/** What every joint uses up, but of what is kept as it is. */
function washersOf(view: Listed, to: Gathered): void {
  const { lines } = view;
  const kept = new Set(
    lines.filter(({ line }) => line.origin === 'kept').map(({ line }) => line.id),
  );
  for (const end of jointEnds(view)) {
    if (kept.has(end.place.id)) continue;
    for (const joint of end.joints ?? [])
      for (const { what, count } of consumablesOf(joint))
        to.add({ key: `use:${what}`, group: 'Washers and sealant', name: what }, count, {
          text: end.name,
          place: end.place,
        });
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
      : 'held by nothing yet';
    const use = {
      text: `${line.line.name} at ${Math.round(clip.atMm)}, ${on}`,
      place: onLine(line),
    };
    to.add(
      { key: `clip:${odMm}`, group: 'Clips and screws', name: `Lined clip for ${odMm} mm tube` },
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
  fluidsOf(view, to);
  for (const { id, name, count } of plan.buying.own ?? [])
    to.add({ key: `own:${id}`, group: 'Your own', name }, count);
  return to.items;
}
