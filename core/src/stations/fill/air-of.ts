import { type AirNetwork, type AirPipe } from '../../physics/air/index.ts';
import { derive } from '../../lib/derive/index.ts';
import { hoseById, tubeBoreMm } from '../../trade/stock/index.ts';
import type { Part, Plan, Port } from '../../plan/index.ts';
import type { BleedView, PlanView } from '../../plan/results/index.ts';
import { distance, unit, type Vec3 } from '../../lib/vec/index.ts';

/** What a plan's air rests on besides its lines. */
export type Aired = Pick<PlanView, 'lines' | 'ports'> & {
  readonly plan: Pick<
    Plan,
    | 'parts'
    | 'hoses'
    | 'sizing'
    | 'clutch'
    | 'trailer'
    | 'singles'
    | 'circuits'
    | 'lines'
    | 'filling'
  >;
};
/** What one push sends where nothing is known of the master, mL. Common practice. */
const USUAL_STROKE_ML = 5;
/** What a reservoir holds where its sheet says nothing, mL. Common practice. */
export const USUAL_RESERVOIR_ML = 100;
/** What is in a metering valve's way where its sheet says nothing, MPa. Common practice. */
const USUAL_HOLD_OFF_MPA = 0.5;
/** A body whose bleeder lies this far under its top holds nothing but air, mm. Ours, said to be a judgement. */
const BODY_HEIGHT_MM = 60;
const BODY_MM = 100;

const area = (mm: number): number => (Math.PI / 4) * mm * mm;
/** What one stroke sends out of one outlet, mL, and whether figures say so. */
export function strokeOf(
  { sizing, clutch, trailer }: Aired['plan'],
  work: BleedView['work'],
  master: Part,
  axle: 'front' | 'rear' | null,
): { readonly ml: number; readonly known: boolean } {
  const of = (mm3: number) => ({ ml: Math.max(0.1, mm3 / 1000), known: true });
  if (master.kind === 'actuator')
    return trailer
      ? { ml: trailer.actuatorMl / 4, known: true }
      : { ml: USUAL_STROKE_ML * 2, known: false };
  if (work === 'clutch')
    return clutch
      ? of(area(clutch.masterBoreMm) * (clutch.strokeMm - clutch.deadMm))
      : { ml: USUAL_STROKE_ML, known: false };
  if (!sizing) return { ml: USUAL_STROKE_ML, known: false };
  const { master: m } = sizing;
  // A tandem's chambers share its stroke.
  if (m.kind === 'tandem') return of((area(m.boreMm) * (m.strokeMm - m.deadMm)) / 2);
  return of(area(axle === 'rear' ? m.rearBoreMm : m.frontBoreMm) * (m.strokeMm - m.deadMm));
}

/** Air that stays over a bleeder that is not the highest place of its body, mL. */
function trapOf(part: Part, port: Port, ports: Aired['ports'], cavityMl: number): number {
  if ((unit(port.direction)?.[2] ?? 0) < -0.2) return cavityMl / 2;
  const at = ports.get(port.id)!.fixed.atMm;
  const above = part.ports
    .filter(({ id, role }) => id !== port.id && role !== 'bleeder')
    .map(({ id }) => ports.get(id)!.fixed.atMm)
    .filter((other) => distance(other, at) < BODY_MM)
    .map((other) => other[2] - at[2]);
  const over = Math.max(0, ...above);
  return over > 5 ? cavityMl * Math.min(1, over / BODY_HEIGHT_MM) : 0;
}

/** Heights along a way through corners, its length as it is made. */
function profileOf(nodes: readonly Vec3[], lengthMm: number): [number, number][] {
  const along = [0];
  for (let i = 1; i < nodes.length; i++)
    along.push(along[i - 1]! + distance(nodes[i - 1]!, nodes[i]!));
  const all = along.at(-1) ?? 0;
  // Both ends in one place, as in a plan that is begun: level over its length.
  if (nodes.length < 2 || all < 1e-6)
    return [
      [0, nodes[0]?.[2] ?? 0],
      [lengthMm, nodes.at(-1)?.[2] ?? 0],
    ];
  const scale = lengthMm / all;
  return nodes.map((node, i) => [along[i]! * scale, node[2]]);
}

/** The network of one kind of work as air sees it; null where it has no order. */
export const airNetworkOf = derive(
  'air',
  (work: BleedView, { lines, ports, plan }: Aired) => [
    work,
    lines,
    ports,
    plan.parts,
    plan.hoses,
    plan.sizing,
    plan.clutch,
    plan.trailer,
    plan.circuits,
    plan.filling.before,
  ],
  (
    work,
    lines,
    ports,
    parts,
    hoses,
    sizing,
    clutch,
    trailer,
    circuits,
    before,
  ): AirNetwork | null => {
    const { net } = work;
    if (!net) return null;
    const plan = { parts, hoses, sizing, clutch, trailer, circuits } as Aired['plan'];
    const partOf = new Map(parts.map((part) => [part.id, part]));
    const lineOf = new Map(lines.map((line) => [line.line.id, line]));
    const benched = new Set(
      (before ?? []).flatMap(({ key }) => (key.startsWith('bench:') ? [key.slice(6)] : [])),
    );
    /** A valve at the end of a pipe that decides what goes through it. */
    const valves = (...ids: (string | null)[]) => {
      const at = ids.flatMap((id) => (id ? (ports.get(id) ?? []) : []));
      const keeps = at.some(
        ({ part, port }) =>
          port.role === 'outlet' && (part.kind === 'residual-valve' || (port.residualMPa ?? 0) > 0),
      );
      const holds = at.some(
        ({ part, port }) =>
          port.role === 'outlet' &&
          (part.kind === 'metering-valve' ||
            (part.kind === 'combination-valve' && port.name.startsWith('front'))),
      );
      return {
        ...(keeps ? { keeps } : {}),
        ...(holds ? { holdsMPa: sizing?.combination?.holdOffMPa ?? USUAL_HOLD_OFF_MPA } : {}),
      };
    };
    const pipes = net.pipes.map(({ kind, id, from, to }): AirPipe => {
      if (kind === 'line') {
        const { nodesMm, card, tube, line } = lineOf.get(id)!;
        return {
          id,
          from,
          to,
          boreMm: tubeBoreMm(tube),
          profile: profileOf(nodesMm, card!.developedMm),
          ...valves(line.ends.a.portId, line.ends.b.portId),
        };
      }
      const hose = hoses.find((one) => one.id === id)!;
      const ends = [hose.ends.a, hose.ends.b].map(({ portId, atMm }) =>
        portId ? ports.get(portId)!.fixed.atMm : atMm,
      );
      return {
        id,
        from,
        to,
        boreMm: hoseById(hose.stockId)!.boreMm,
        profile: profileOf(ends, hose.orderMm),
        ...valves(hose.ends.a.portId, hose.ends.b.portId),
      };
    });
    // What a tee or a valve holds is counted to the first pipe that leaves it.
    const own = new Set([...net.bleeders, ...net.outlets].map(({ partId }) => partId));
    const counted = new Set<string>();
    const held = pipes.map((pipe, i) => {
      const { kind, id } = net.pipes[i]!;
      const ends =
        kind === 'line' ? lineOf.get(id)!.line.ends : hoses.find((one) => one.id === id)!.ends;
      let ml = 0;
      for (const { portId } of [ends.a, ends.b]) {
        const part = portId ? ports.get(portId)?.part : undefined;
        if (!part || own.has(part.id) || counted.has(part.id)) continue;
        counted.add(part.id);
        ml += part.cavityMl;
      }
      if (!ml) return pipe;
      const last = pipe.profile.at(-1)!;
      return {
        ...pipe,
        profile: [...pipe.profile, [last[0] + (ml * 1000) / area(pipe.boreMm), last[1]] as const],
      };
    });
    const axleOf = (at: string): 'front' | 'rear' | null => {
      const first = net.pipes.find(({ from, to }) => from === at || to === at);
      const circuitId =
        first &&
        (first.kind === 'line'
          ? lineOf.get(first.id)!.line.circuitId
          : hoses.find(({ id }) => id === first.id)!.circuitId);
      return circuits.find(({ id }) => id === circuitId)?.axle ?? null;
    };
    return {
      pipes: held,
      bleeders: net.bleeders.map(({ portId, partId, at, cavityMl }) => {
        const part = partOf.get(partId)!;
        const port = part.ports.find(({ id }) => id === portId)!;
        return {
          id: portId,
          at,
          cavityMl,
          trapMl: trapOf(part, port, ports, cavityMl),
          heightMm: ports.get(portId)!.fixed.atMm[2],
        };
      }),
      outlets: net.outlets.map(({ at, portId, partId }) => {
        const master = partOf.get(partId)!;
        const strokeMl = strokeOf(plan, work.work, master, axleOf(at)).ml;
        const heightMm = master.figures.levelMm ?? ports.get(portId)!.fixed.atMm[2];
        // A chamber holds about what its stroke sends; the reservoir is kept up while it is bled.
        return {
          at,
          heightMm,
          strokeMl,
          airMl: benched.has(partId) ? 0 : strokeMl,
          reservoirMl: 1e9,
        };
      }),
    };
  },
);

/** Names of the pipes and places of a network, for sentences. */
export function placeName(
  view: Pick<Aired, 'lines' | 'ports'> & { readonly plan: Pick<Plan, 'parts' | 'hoses'> },
  net: NonNullable<BleedView['net']>,
  where: { readonly pipeId?: string; readonly at?: string },
): string {
  if (where.pipeId !== undefined)
    return (
      view.lines.find(({ line }) => line.id === where.pipeId)?.line.name ??
      view.plan.hoses.find(({ id }) => id === where.pipeId)?.name ??
      where.pipeId
    );
  const partId = [...net.bleeders, ...net.outlets].find(({ at }) => at === where.at)?.partId;
  return view.plan.parts.find(({ id }) => id === partId)?.name ?? where.at!;
}
