import { tubeName } from '../make/making/index.ts';
import { formatLengthUnit } from '../../lib/units/index.ts';
import type { Circuit, Plan } from '../../plan/index.ts';
import type { PlanView } from '../../plan/results/index.ts';
import type { Vec3 } from '../../lib/vec/index.ts';
import { localRules } from './signature.ts';
import { ITEM_KINDS, signoff, type FoundSnag, type SignoffItem } from './signoff.ts';
import { signedDigest } from './digests.ts';
import type { PackPicture, Pages, PackSection, PackContext } from './pack-section.ts';
import { jointPages, fluidPage, testPages } from './pack-records.ts';

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

/** What plan it is, of when, signed by whom. */
const titlePage: Pages = ({ view, plan, signoff: { signed, road }, madeAt }) => {
  return [
    {
      title: plan.name,
      words: [
        localRules(plan.sizing?.category),
        'Brakes can kill. Local rules and the part makers’ sheets come before this plan. A qualified person inspects the work before road use.',
        `Made ${madeAt.slice(0, 16).replace('T', ' ')}. SHA-256 of this plan, its work record, tests and accepted cautions: ${signedDigest(view)}.`,
        signed
          ? `Signed ${signed.sign.at.slice(0, 10)} by ${signed.sign.by} (${signed.sign.as === 'qualified' ? 'qualified person' : 'builder'}), ${signed.sign.scope === 'road' ? 'for the road' : 'for moving at walking pace on closed ground, NOT FOR THE ROAD'}${signed.stands ? '.' : `; no longer valid. ${signed.why}`}`
          : 'Not signed.',
        road.may ? 'Nothing is left before it can be signed for the road.' : road.why,
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

const KIND_TITLES = {
  blocker: 'Blockers',
  caution: 'Cautions',
  task: 'Tasks left',
  test: 'Tests left',
} as const satisfies Record<SignoffItem['kind'], string>;
const acceptedWords = ({ accepted }: SignoffItem): string =>
  accepted ? ` Accepted by ${accepted.by}, ${accepted.at.slice(0, 10)}: ${accepted.reason}` : '';

/** What is left, what was accepted and by whom, what follows, and where it is signed. */
const signPages: Pages = ({ plan, signoff: { items, followUps } }) => [
  ...ITEM_KINDS.flatMap((kind, i): PackSection[] => {
    const own = items.filter((item) => item.kind === kind);
    return own.length || kind === 'blocker'
      ? [
          {
            title: KIND_TITLES[kind],
            apart: i === 0,
            words: own.length
              ? own.map((item) => `${item.where}: ${item.text}${acceptedWords(item)}`)
              : ['None.'],
          },
        ]
      : [];
  }),
  {
    title: 'After signing',
    table: {
      head: ['Check', 'Due', 'Found'],
      rows: followUps.map(({ text, dueKm, dueOn, state, note }) => [
        text,
        dueKm === null ? (dueOn ?? '') : `${dueKm} km`,
        state === 'done' ? `good. ${note}`.trim() : state === 'bad' ? `NOT GOOD. ${note}` : '',
      ]),
    },
  },
  {
    title: 'Signatures',
    words: [
      localRules(plan.sizing?.category),
      'Builder: ______________________________   Date: ______________',
      'Qualified person: ______________________   Date: ______________',
      'License or stamp: ______________________',
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
    signoff: signoff(view, snags),
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
