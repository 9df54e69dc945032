import { listView } from '../make/buying/index.ts';
import { fluidIn, reservoirParts, lastFluidUse } from '../fill/index.ts';
import { floorView, torqueOf } from '../fit/tasks/index.ts';
import { jointEnds } from '../join/index.ts';
import { tubeName } from '../make/making/index.ts';
import { fluidById } from '../../trade/stock/index.ts';
import { formatLengthUnit } from '../../lib/units/index.ts';
import type { Circuit, Plan } from '../../plan/index.ts';
import type { PlanView } from '../../plan/results/index.ts';
import type { Vec3 } from '../../lib/vec/index.ts';
import { judgeAir, judgeCurve, judgeHold } from './judge.ts';
import {
  followUpChecks,
  openPoints,
  latestSignature,
  localRules,
  type FoundSnag,
  type OpenPoint,
} from './open-points.ts';
import { signedDigest } from './digests.ts';
import { provingTests } from './test-results.ts';

export interface PackTable {
  readonly head: readonly string[];
  readonly rows: readonly (readonly string[])[];
}
/** What is laid in the vehicle, mm, drawn to scale: lines and hoses by name, and the parts that they join, by their ports. */
export interface PackPicture {
  readonly runs: readonly {
    readonly name: string;
    readonly ink: Circuit['ink'];
    readonly dashed: boolean;
    readonly points: readonly Vec3[];
  }[];
  readonly places: readonly { readonly name: string; readonly ports: readonly Vec3[] }[];
}
/** A part of the pack: its heading, sentences, a picture, a table, a curve. */
export interface PackSection {
  readonly title: string;
  readonly words?: readonly string[];
  readonly picture?: PackPicture;
  readonly table?: PackTable;
  readonly curve?: {
    readonly name: string;
    readonly points: readonly { readonly pressureMPa: number; readonly travelMm: number }[];
  };
  /** Begins a page of its own. */
  readonly apart?: boolean;
}
/** Lines through their corners, hoses from end to end, parts where their ports are. */
function pictureOf({ lines, circuits, ports, plan }: PlanView): PackPicture {
  const ink = (id: string): Circuit['ink'] => circuits.get(id)?.ink ?? 'slate';
  const at = ({ portId, atMm }: Plan['hoses'][number]['ends']['a']): Vec3 =>
    ports.get(portId ?? '')?.fixed.atMm ?? atMm;
  return {
    runs: [
      ...lines.map(({ line, nodesMm }) => ({
        name: line.name,
        ink: ink(line.circuitId),
        dashed: false,
        points: nodesMm,
      })),
      ...plan.hoses.map(({ name, circuitId, ends }) => ({
        name,
        ink: ink(circuitId),
        dashed: true,
        points: [at(ends.a), at(ends.b)],
      })),
    ],
    places: plan.parts.map(({ name, ports: own }) => ({
      name,
      ports: own.flatMap(({ id }) => {
        const at = ports.get(id)?.fixed.atMm;
        return at ? [at] : [];
      }),
    })),
  };
}
const STATE_WORDS = {
  done: 'good',
  bad: 'NOT GOOD',
  void: 'void since a change',
  open: 'not done',
  locked: 'not done',
} as const;

/** What every page of the pack is made from. */
interface PackContext {
  readonly view: PlanView;
  readonly plan: Plan;
  readonly points: readonly OpenPoint[];
  readonly madeAt: string;
  readonly length: (mm: number) => string;
  /** The name of a circuit. */
  readonly circuit: (id: string) => string;
  /** A port with its part. */
  readonly port: (id: string | null, none?: string) => string;
}
type Pages = (context: PackContext) => PackSection[];

/** What plan it is, of when, signed by whom. */
const titlePage: Pages = ({ view, plan, points, madeAt }) => {
  const signed = latestSignature(view);
  return [
    {
      title: plan.name,
      words: [
        localRules(plan.sizing?.category),
        'Local rules and the part makers’ sheets come before this plan. A qualified person inspects the work before the road.',
        `Made ${madeAt.slice(0, 16).replace('T', ' ')}. The plan as it stands here has the digest ${signedDigest(view)}.`,
        signed
          ? `Signed ${signed.sign.at.slice(0, 10)} by ${signed.sign.by} (${signed.sign.as === 'qualified' ? 'qualified person' : 'builder'}), ${signed.sign.scope === 'road' ? 'for the road' : 'for a move at walking pace on closed ground, NOT FOR THE ROAD'}${signed.stands ? '' : '; the plan is otherwise since, so that it stands no more'}.`
          : 'Not signed.',
        points.length ? `${points.length} open points.` : 'No open point.',
        plan.notes,
      ],
    },
  ];
};

/** Circuits, and what lies where. */
const layoutPages: Pages = ({ view, plan, length, circuit, port }) => [
  {
    title: 'Circuits',
    table: {
      head: ['Circuit', 'Work', 'Axle', 'Lines', 'Hoses'],
      rows: plan.circuits.map(({ id, name, work, axle }) => [
        name,
        work,
        axle ?? '',
        view.lines
          .filter(({ line }) => line.circuitId === id)
          .map(({ line }) => line.name)
          .join(', '),
        plan.hoses
          .filter((hose) => hose.circuitId === id)
          .map((hose) => hose.name)
          .join(', '),
      ]),
    },
  },
  {
    title: 'Line map',
    apart: true,
    picture: pictureOf(view),
    table: {
      head: ['Line', 'From', 'To', 'Circuit', 'Length', 'Tube'],
      rows: [
        ...view.lines.map(({ line, card, tube }) => [
          line.name,
          port(line.ends.a.portId),
          port(line.ends.b.portId),
          circuit(line.circuitId),
          card ? length(card.developedMm) : 'no card',
          tubeName(tube.id),
        ]),
        ...plan.hoses.map((hose) => [
          hose.name,
          port(hose.ends.a.portId, 'a place of its own'),
          port(hose.ends.b.portId, 'a place of its own'),
          circuit(hose.circuitId),
          length(hose.orderMm),
          'hose',
        ]),
      ],
    },
  },
];

/** A card for each line that has one. */
const cardPages: Pages = ({ view, length }) => [
  ...view.lines.flatMap(({ line, card }, i): PackSection[] =>
    card
      ? [
          {
            title: `Card ${line.name} ${line.title}`.trim(),
            apart: i === 0,
            words: [`Cut ${length(card.stockCutMm)}; ${card.bends.length} bends.`],
            table: {
              head: ['Bend', 'Mark', 'Turn', 'Angle', 'Dial'],
              rows: card.bends.map((bend, k) => [
                String(k + 1),
                length(bend.drawMarkMm),
                `${bend.rotateDeg.toFixed(1)}°`,
                `${bend.bendDeg.toFixed(1)}°`,
                `${bend.dialDeg.toFixed(1)}°`,
              ]),
            },
          },
        ]
      : [],
  ),
];

/** Joints, torques and what was bought. */
const jointPages: Pages = ({ view, plan }) => {
  const torques = floorView(view).flatMap(({ task, state }) => {
    const torque = torqueOf(task, plan.floor);
    return torque
      ? [
          [
            task.joint?.name ?? task.name,
            torque.wantedNm === null ? 'none' : `${torque.wantedNm} N·m`,
            torque.source || 'none',
            torque.saidNm === null ? '' : `${torque.saidNm} N·m`,
            state === 'done' ? 'tight' : torque.opened ? 'opened' : 'open',
          ],
        ]
      : [];
  });
  const bought = listView(view).rows.map(({ item, order }) => [
    item.group,
    item.name,
    item.unit === 'piece'
      ? String(item.count)
      : `${Math.round(item.count * 100) / 100} ${item.unit}`,
    order.state,
    order.from,
  ]);
  return [
    {
      title: 'Joints',
      apart: true,
      table: {
        head: ['Joint', 'Threads', 'Sealant'],
        rows: jointEnds(view).map((end) => [
          end.name,
          (end.joints ?? [])
            .map((joint) => joint.join?.male.thread ?? '')
            .filter(Boolean)
            .join(', ') || 'not known',
          end.work.sealant,
        ]),
      },
    },
    {
      title: 'Torques',
      table: { head: ['What', 'Wanted', 'Whose word', 'The wrench said', 'State'], rows: torques },
    },
    {
      title: 'Purchases',
      apart: true,
      table: { head: ['Group', 'Thing', 'Count', 'State', 'From'], rows: bought },
    },
  ];
};

/** The fluid of each reservoir, and how it went in. */
const fluidPage: Pages = ({ plan }) => [
  {
    title: 'Fluid',
    table: {
      head: ['Reservoir', 'Fluid', 'Batch', 'Opened', 'Filled', 'Renew by'],
      rows: reservoirParts(plan.parts).map((part) => {
        const now = fluidIn(plan, part.id);
        return [
          part.name,
          fluidById(now.fluidId)?.name ?? '',
          now.batch,
          now.openedOn ?? '',
          now.filledOn ?? '',
          now.nextOn ?? '',
        ];
      }),
    },
    words: lastFluidUse(plan.filling).map(
      ({ run, ml, minutes, felt }) =>
        `Bled ${run.startedAt.slice(0, 10)}, ${run.method}: ${Math.round(ml)} mL in ${Math.round(minutes)} min, then ${felt ?? 'not said'}.`,
    ),
  },
];

/** Tests and curves. */
const testPages: Pages = ({ view, plan, circuit }) => {
  const { proving } = plan;
  return [
    {
      title: 'Proofs',
      apart: true,
      table: {
        head: ['Round', 'State', 'Found'],
        rows: provingTests(view).map(({ name, state, note }) => [name, STATE_WORDS[state], note]),
      },
      words: [
        ...proving.holds.map(
          (hold) =>
            `Held ${hold.at.slice(0, 10)}, ${circuit(hold.circuitId)}: ${hold.startMPa} to ${hold.endMPa} MPa in ${hold.minutes} min. ${judgeHold(hold).words}`,
        ),
        ...proving.airTests.map(
          (test) => `Air test ${test.at.slice(0, 10)}: ${judgeAir(test).verdict}.`,
        ),
        ...proving.stops.map(
          (one) =>
            `Stop ${one.at.slice(0, 10)}, ${one.when}: ${one.distanceM} m from ${one.fromKmh} km/h, ${one.locked === 'none' ? 'none locked' : `${one.locked} locked first`}.`,
        ),
        ...proving.bedding.map(({ at, text }) => `Bedding ${at.slice(0, 10)}: ${text}`),
      ],
    },
    ...proving.curves.map((curve): PackSection => {
      const fit = judgeCurve(curve);
      return {
        title: `Curve ${circuit(curve.circuitId)}, ${curve.at.slice(0, 10)}`,
        words: [
          fit
            ? `${fit.verdict}: ${fit.airMl.toFixed(1)} mL of air (± ${(2 * fit.sigma.airMl).toFixed(1)}), free play ${fit.t0Mm.toFixed(0)} mm, ${fit.flexMmPerMPa.toFixed(1)} mm a MPa.`
            : 'Too few readings.',
        ],
        curve: { name: 'pedal mm over MPa', points: curve.points },
      };
    }),
  ];
};

/** What is open, what follows, and where it is signed. */
const signPages: Pages = ({ view, plan, points }) => [
  {
    title: 'Open points',
    apart: true,
    words: points.length
      ? points.map(({ text, never }) => `${never ? 'STOP. ' : ''}${text}`)
      : ['None.'],
  },
  { title: 'After signing', words: followUpChecks(view) },
  {
    title: 'Signatures',
    words: [
      localRules(plan.sizing?.category),
      'Builder: ______________________________   Date: ______________',
      'Qualified person: ______________________   Date: ______________',
      'Licence or stamp: ______________________',
    ],
  },
];

const PAGES: readonly Pages[] = [
  titlePage,
  layoutPages,
  cardPages,
  jointPages,
  fluidPage,
  testPages,
  signPages,
];

/** The whole plan for whoever signs it: what was built, of what, how tight, what proves it, what is open. */
export function packOf(view: PlanView, snags: readonly FoundSnag[], madeAt: string): PackSection[] {
  const { plan } = view;
  const context: PackContext = {
    view,
    plan,
    points: openPoints(view, snags),
    madeAt,
    length: (mm) => formatLengthUnit(mm, plan.units, 0),
    circuit: (id) => view.circuits.get(id)?.name ?? '',
    port: (id, none = 'open') => {
      const at = id ? view.ports.get(id) : undefined;
      return at ? `${at.part.name}, ${at.port.name}` : none;
    },
  };
  return PAGES.flatMap((pages) => pages(context));
}
