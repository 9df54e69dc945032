import { BODY_MM } from '../../plan/network/index.ts';
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

type Drawn = Pick<Aired, 'lines' | 'ports'> & { readonly hoses: Plan['hoses'] };
type NetPipe = NonNullable<BleedView['net']>['pipes'][number];

/** The line or hose that a pipe is: its ends, its circuit, its bore and how high it lies along its way. */
function drawnPipe({ kind, id }: NetPipe, { lines, ports, hoses }: Drawn) {
  if (kind === 'line') {
    const { nodesMm, card, tube, line } = lines.find((one) => one.line.id === id)!;
    return {
      ends: [line.ends.a, line.ends.b],
      circuitId: line.circuitId,
      boreMm: tubeBoreMm(tube),
      profile: profileOf(nodesMm, card!.developedMm),
    };
  }
  const { ends, circuitId, stockId, orderMm } = hoses.find((one) => one.id === id)!;
  const atMm = [ends.a, ends.b].map((end) =>
    end.portId ? ports.get(end.portId)!.fixed.atMm : end.atMm,
  );
  return {
    ends: [ends.a, ends.b],
    circuitId,
    boreMm: hoseById(stockId)!.boreMm,
    profile: profileOf(atMm, orderMm),
  };
}

/** A valve at the end of a pipe that decides what goes through it. */
function valvesAt(
  ends: readonly { readonly portId: string | null }[],
  ports: Aired['ports'],
  sizing: Aired['plan']['sizing'],
): Pick<AirPipe, 'keeps' | 'holdsMPa'> {
  const outlets = ends
    .flatMap(({ portId }) => (portId ? (ports.get(portId) ?? []) : []))
    .filter(({ port }) => port.role === 'outlet');
  const keeps = outlets.some(
    ({ part, port }) => part.kind === 'residual-valve' || (port.residualMPa ?? 0) > 0,
  );
  const holds = outlets.some(
    ({ part, port }) =>
      part.kind === 'metering-valve' ||
      (part.kind === 'combination-valve' && port.name.startsWith('front')),
  );
  return {
    ...(keeps ? { keeps } : {}),
    ...(holds ? { holdsMPa: sizing?.combination?.holdOffMPa ?? USUAL_HOLD_OFF_MPA } : {}),
  };
}

/** A pipe that is longer by what the tees and valves at its ends hold; each is counted to the first pipe that leaves it. */
function withCavities(
  pipe: AirPipe,
  ends: readonly { readonly portId: string | null }[],
  ports: Aired['ports'],
  counted: Set<string>,
): AirPipe {
  let ml = 0;
  for (const { portId } of ends) {
    const part = portId ? ports.get(portId)?.part : undefined;
    if (!part || counted.has(part.id)) continue;
    counted.add(part.id);
    ml += part.cavityMl;
  }
  if (!ml) return pipe;
  const [lengthMm, heightMm] = pipe.profile.at(-1)!;
  const longer = [lengthMm + (ml * 1000) / area(pipe.boreMm), heightMm] as const;
  return { ...pipe, profile: [...pipe.profile, longer] };
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
    const benched = new Set(
      (before ?? []).flatMap(({ key }) => (key.startsWith('bench:') ? [key.slice(6)] : [])),
    );
    // Bleeders and outlets count what their own parts hold.
    const counted = new Set([...net.bleeders, ...net.outlets].map(({ partId }) => partId));
    const drawn = net.pipes.map((pipe) => ({
      ...pipe,
      ...drawnPipe(pipe, { lines, ports, hoses }),
    }));
    const pipes = drawn.map(({ id, from, to, ends, boreMm, profile }): AirPipe => {
      const pipe = { id, from, to, boreMm, profile, ...valvesAt(ends, ports, sizing) };
      return withCavities(pipe, ends, ports, counted);
    });
    const axleOf = (at: string): 'front' | 'rear' | null => {
      const first = drawn.find(({ from, to }) => from === at || to === at);
      return circuits.find(({ id }) => id === first?.circuitId)?.axle ?? null;
    };
    return {
      pipes,
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
      outlets: net.outlets.map(({ at, portId, partId, levelMm }) => {
        const master = partOf.get(partId)!;
        const strokeMl = strokeOf(plan, work.work, master, axleOf(at)).ml;
        const heightMm = levelMm ?? ports.get(portId)!.fixed.atMm[2];
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
