import { richPlan } from '../../testing/rich-plan.ts';
import fc from 'fast-check';
import { InputError } from '../../lib/faults/index.ts';
import { newThing } from '../../shape/obstacles/fresh.ts';
import { inspect, NOT_JUDGED } from '../../inspect/index.ts';
import { cases } from '../../testing/cases.ts';
import { demo } from '../../testing/demo-plans.ts';
import { GONE, odd, places, put } from '../../testing/odd-values.ts';
import {
  applyEdit,
  applyEdits,
  EDITS,
  figureAt,
  newPart,
  newPort,
  keyOf,
  recordAt,
  writePlan,
  type EditCall,
  type Plan,
} from '../index.ts';
import { checkPlan } from '../file/index.ts';
import { COLLECTIONS, type CollectionKind } from '../model/record-kind.ts';
import { typicalClutch, typicalParking, typicalTrailer } from '../typical.ts';

/** One sound call of every edit there is, for the demo plan. */
function calls(plan: Plan): EditCall[] {
  const kinds = Object.keys(COLLECTIONS) as CollectionKind[];
  const listed = (kind: CollectionKind) =>
    figureAt(plan, COLLECTIONS[kind]) as readonly { readonly id: string }[];
  const ofRecords = kinds.flatMap((kind): EditCall[] => {
    const name = kind[0]!.toUpperCase() + kind.slice(1);
    const [first] = listed(kind);
    const key = keyOf(kind);
    const own = (first ?? SPARE[kind]) as Readonly<Record<string, unknown>>;
    const fresh = { ...own, [key]: key === 'id' ? 'fresh' : own[key] };
    const id = first ? own[key] : 'none';
    return [
      { edit: `${key === 'id' ? 'add' : 'put'}${name}`, with: { [kind]: fresh } },
      { edit: `change${name}`, with: { id, patch: own } },
      { edit: `remove${name}`, with: { id } },
    ] as unknown as EditCall[];
  });
  const at = '2026-03-02T09:00:00Z';
  const work = { task: 'tighten:line-r1:a', stamp: 'abc', at };
  const ofWork: EditCall[] = [
    { edit: 'recordWorkDone', with: work },
    { edit: 'recordTorque', with: { ...work, nm: 17, washers: 'new' } },
    { edit: 'recordOpened', with: { task: work.task, at } },
    { edit: 'recordInspection', with: { ...work, good: false, note: 'rubs' } },
    { edit: 'clearWork', with: { task: work.task } },
    { edit: 'recordDeviation', with: { task: work.task, what: 'hole off', at } },
    { edit: 'beginOwnTask', with: { name: 'Sweep', gateId: null } },
    { edit: 'beginTemporaryFix', with: { what: 'R1', by: 'clip', since: '2026-03-02' } },
    { edit: 'addFastener', with: { name: 'Bolts' } },
    { edit: 'removeOwnWork', with: { task: 'own:own-rich' } },
    { edit: 'changeSession', with: { patch: { on: '2026-03-02' } } },
    { edit: 'setComesOff', with: { to: ['Old master'] } },
    { edit: 'recordFillRun', with: { run: { ...plan.filling.runs[0]!, markMl: 20 } } },
    { edit: 'changeFilling', with: { patch: { people: 1 } } },
    { edit: 'clearTest', with: { key: 'leak:circuit-1' } },
    { edit: 'recordBedding', with: { at, text: 'Ten stops' } },
    {
      edit: 'sign',
      with: {
        signature: { at, by: 'AB', as: 'builder', scope: 'move', rests: 'abc', exceptions: [] },
      },
    },
    { edit: 'keepRevision', with: { at, revisionId: 'plan-signed' } },
    {
      edit: 'acceptCaution',
      with: { accepted: { key: 'snag:k', figures: 'abc', by: 'AB', at, reason: 'Seen' } },
    },
    { edit: 'withdrawAcceptance', with: { key: 'snag:k' } },
    { edit: 'recordFollowUp', with: { followUp: { key: 'joints', at, good: true, note: '' } } },
    { edit: 'setDriven', with: { km: 60 } },
    { edit: 'changeCutting', with: { patch: { kerfMm: 1 } } },
    { edit: 'setStock', with: { stock: plan.making.stock } },
    { edit: 'updateOrder', with: { key: 'nut:m10x1-bubble', patch: { have: 2 } } },
    { edit: 'setCurrency', with: { currency: 'EUR' } },
    { edit: 'removeOwnItemAndOrder', with: { id: 'own-rich', key: 'own:own-rich' } },
    {
      edit: 'recordLogEntry',
      with: {
        entry: {
          at,
          by: 'AB',
          text: 'Seen',
          reading: '',
          about: { kind: 'plan', id: plan.id },
          when: 'now',
          photos: [],
        },
      },
    },
    {
      edit: 'recordTrial',
      with: {
        trial: {
          at,
          flare: 'bubble',
          tubeId: '3-16-copper-nickel',
          piece: 'test',
          good: false,
          why: 'split',
        },
      },
    },
    { edit: 'changePushrodPlay', with: { patch: { coldMm: 1 } } },
    { edit: 'setSupply', with: { to: null } },
  ];
  const id = 'line-r1';
  const r1 = plan.lines.find((line) => line.id === id)!;
  return [
    ...ofRecords,
    { edit: 'addPort', with: { partId: 'front-tee', port: newPort(plan, 'one more') } },
    {
      edit: 'changePort',
      with: {
        id: 'port-fl',
        patch: plan.parts.flatMap((part) => part.ports).find((port) => port.id === 'port-fl')!,
      },
    },
    { edit: 'removePort', with: { id: 'port-fl' } },
    {
      edit: 'addLayout',
      with: { parts: [newPart(plan, 'tee')], circuits: [], lines: [], hoses: [] },
    },
    {
      edit: 'setKnown',
      with: {
        target: { kind: 'point', id: 'datum-a' },
        known: { how: 'typed', atMm: [1, 2, 3], sigmaMm: [1, 1, 1] },
      },
    },
    { edit: 'setCorners', with: { id, cornersMm: r1.cornersMm } },
    { edit: 'insertCorner', with: { id, index: 0, atMm: [100, 0, 400] } },
    { edit: 'removeCorner', with: { id, index: 1 } },
    { edit: 'setMove', with: { id, index: 2, moveMm: [1400, 0, 0] } },
    { edit: 'straighten', with: { id, from: 1, to: 3 } },
    { edit: 'stepAside', with: { id, index: 2, riseMm: [0, 0, 40], bendDeg: 30, topMm: null } },
    {
      edit: 'followRail',
      with: { id, from: 1, to: 4, thingId: 'rail-left', side: 'right', standoffMm: 12 },
    },
    { edit: 'mirrorLine', with: { id } },
    { edit: 'swapEnds', with: { id } },
    { edit: 'splitLine', with: { id, index: 2, by: 'union' } },
    {
      edit: 'layTemplate',
      with: {
        id,
        bends: [{ feedMm: 45, rotateDeg: 0, bendDeg: 90 }],
        tailMm: 200,
        takeUp: 1,
        origin: 'kept',
      },
    },
    { edit: 'setTube', with: { id, tubeId: r1.tubeId } },
    { edit: 'changeEnd', with: { id, end: 'a', patch: r1.ends.a } },
    { edit: 'changeJoint', with: { of: 'line', id, end: 'a', patch: r1.ends.a.joint } },
    { edit: 'tick', with: { id, step: 'nut-a', digest: 'abc', at: '2026-01-01T00:00:00.000Z' } },
    { edit: 'untick', with: { id, step: 'nut-a' } },
    {
      edit: 'learnBends',
      with: { id: plan.bench.benders[0]!.id, bends: [{ dialDeg: 46, gotDeg: 45 }] },
    },
    { edit: 'movePart', with: { id: plan.parts[0]!.id, byMm: [5, 0, 0] } },
    { edit: 'rename', with: { name: 'Other' } },
    { edit: 'setUnits', with: { units: 'inch' } },
    { edit: 'changeClipSettings', with: { patch: plan.clipSettings } },
    { edit: 'changeBench', with: { patch: plan.bench } },
    { edit: 'changeBleeding', with: { patch: plan.bleeding } },
    { edit: 'chooseFluid', with: { parts: ['master'], fluidId: 'dot-5.1' } },
    { edit: 'equalizeHoseLengths', with: { ids: [], orderMm: 300 } },
    { edit: 'setSheet', with: { sheet: 'clutch', to: typicalClutch() } },
    { edit: 'setSheet', with: { sheet: 'trailer', to: typicalTrailer() } },
    { edit: 'setSheet', with: { sheet: 'parking', to: typicalParking('lever') } },
    ...ofWork,
    { edit: 'setFigure', with: { of: 'sizing', path: 'pedal.ratio', to: 5 } },
    { edit: 'setFigure', with: { of: 'sizing', path: 'front.pistonsMm.0', to: 40 } },
  ];
}
const SPARE: Partial<Record<CollectionKind, object>> = {
  hose: demo('wheatear').hoses[0]!,
  gate: { id: 'gate', name: 'Bed', minMm: [0, 0, 0], maxMm: [1, 1, 1], closed: false },
  adapter: {
    id: 'own',
    name: 'Own',
    family: 'reducer',
    material: 'brass',
    costMinor: 1,
    halves: [],
  },
  thing: newThing('thing', 'Thing', 'rail'),
};

describe('every edit there is', () => {
  const gannet = richPlan();
  const all = calls(gannet);
  test('is called here', () => {
    expect([...new Set(all.map((call) => call.edit))].sort()).toEqual(Object.keys(EDITS).sort());
  });

  test('with odd values in its figures is refused in a sentence that changes nothing, or makes a plan that opens again', () => {
    const text = JSON.stringify(gannet);
    const made = { refused: 0, kept: 0 };
    fc.assert(
      fc.property(
        fc.nat(all.length - 1),
        fc.nat(),
        fc.nat(),
        odd,
        odd,
        (which, seed, second, one, other) => {
          const call = all[which]!;
          const where = places(call.with).filter((path) => path.length);
          const spoilt = put(
            call.with,
            where[seed % where.length]!,
            one === GONE ? undefined : one,
          );
          const again = places(spoilt).filter((path) => path.length);
          const figures =
            seed % 3
              ? spoilt
              : put(spoilt, again[second % again.length]!, other === GONE ? undefined : other);
          let plan: Plan;
          try {
            plan = applyEdit(gannet, { edit: call.edit, with: figures } as EditCall);
          } catch (error) {
            // A figure of the wrong kind is the program's own mistake; it must not get into a plan either way.
            made.refused++;
            expect(error).toBeInstanceOf(Error);
            if (error instanceof InputError) expect(error.message).toMatch(/[.!]$/);
            return;
          }
          made.kept++;
          expect(writePlan(checkPlan(JSON.parse(writePlan(plan))))).toBe(writePlan(plan));
          expect(inspect(plan).filter(({ text }) => text.startsWith(NOT_JUDGED))).toEqual([]);
        },
      ),
      { numRuns: cases(250, 10_000) },
    );
    expect(JSON.stringify(gannet)).toBe(text);
    expect(Math.min(made.refused, made.kept)).toBeGreaterThan(cases(30, 1000));
  });

  const thing = (id: string, patch: object): EditCall => ({
    edit: 'changeThing',
    with: { id, patch },
  });
  const joint = gannet.lines[0]!.ends.a.joint;
  test.each<[string, EditCall, RegExp]>([
    [
      'corners of a block crossed',
      thing('engine', { shape: { kind: 'block', minMm: [900, 0, 0], maxMm: [800, 10, 10] } }),
      /^Engine, shape, upper corner, x: This corner lies at 800 mm and the lower one at 900/,
    ],
    [
      'corners of a gate crossed',
      {
        edit: 'addGate',
        with: { gate: { id: 'g', name: 'Bed', minMm: [0, 0, 9], maxMm: [1, 1, 0], closed: false } },
      },
      /^Bed, upper corner, z: This corner/,
    ],
    [
      'near is within 20 m',
      { edit: 'changeClipSettings', with: { patch: { nearMm: 20_000 } } },
      /^clips, near is within: 20000 is too large: 10000 is the limit/,
    ],
    [
      'a bracket that reaches 11 m',
      { edit: 'changeClipSettings', with: { patch: { reachMm: 11_000 } } },
      /reach: 11000 is too large/,
    ],
    [
      'lines keep 11 m from it',
      thing('engine', { keepMm: 11_000 }),
      /^Engine, lines keep from it: 11000 is too large/,
    ],
    [
      'a rail as wide as a street',
      thing('rail-left', {
        shape: { ...(recordAt(gannet, 'thing', 'rail-left')!.shape as object), widthMm: 12_000 },
      }),
      /^Left rail, shape, across, level: 12000/,
    ],
    [
      'a torque of nothing',
      {
        edit: 'changeEnd',
        with: { id: 'line-r1', end: 'a', patch: { joint: { ...joint, torqueNm: 0 } } },
      },
      /^R1, ends, end A, joint, torque: 0 is too small: must be over 0/,
    ],
    [
      'a torque past all wrenches',
      {
        edit: 'changeEnd',
        with: { id: 'line-r1', end: 'a', patch: { joint: { ...joint, torqueNm: 10_001 } } },
      },
      /10001 is too large/,
    ],
    [
      'a bender with a long name',
      { edit: 'changeBender', with: { id: 'bender-1', patch: { name: 'x'.repeat(201) } } },
      /name: This text is longer than 200 characters/,
    ],
    [
      'more than 500 corners',
      {
        edit: 'setCorners',
        with: { id: 'line-r1', cornersMm: Array.from({ length: 501 }, () => [0, 0, 0] as const) },
      },
      /^R1, corners: This list holds 501; 500 is the limit/,
    ],
    [
      'a move beyond 100 m',
      { edit: 'setMove', with: { id: 'line-r1', index: 2, moveMm: [120_000, 0, 0] } },
      /is too large: 100000 is the limit/,
    ],
    ['a plan without a name', { edit: 'rename', with: { name: '' } }, /^name: This text is empty/],
    [
      'a port for two lines',
      { edit: 'changeEnd', with: { id: 'line-r1', end: 'b', patch: { portId: 'port-fl' } } },
      /already holds line/,
    ],
    [
      'a datum that is read from',
      { edit: 'removePoint', with: { id: 'datum-a' } },
      /is a datum of .*: change that first/,
    ],
    [
      'a circuit with lines',
      { edit: 'removeCircuit', with: { id: 'circuit-1' } },
      /Front brakes is used by F1/,
    ],
    [
      'a bender that lines are made in',
      { edit: 'removeBender', with: { id: 'bender-1' } },
      /is used by/,
    ],
  ])('%s is refused', (_, call, sentence) => {
    expect(() => applyEdit(gannet, call)).toThrow(sentence);
  });

  test('edits that belong together are checked together', () => {
    const swap: EditCall[] = [
      { edit: 'changeEnd', with: { id: 'line-f2', end: 'b', patch: { portId: 'port-fr' } } },
      { edit: 'changeEnd', with: { id: 'line-f3', end: 'b', patch: { portId: 'port-fl' } } },
    ];
    expect(() => applyEdit(gannet, swap[0]!)).toThrow(/already holds/);
    expect(
      applyEdits(gannet, swap).lines.find((line) => line.id === 'line-f3')!.ends.b.portId,
    ).toBe('port-fl');
  });

  test('a line with an end nowhere has no moves to change, and says so', () => {
    const open = applyEdit(gannet, {
      edit: 'changeEnd',
      with: { id: 'line-r1', end: 'b', patch: { portId: null } },
    });
    const [moves] = [calls(open)];
    for (const call of moves.filter(({ edit }) =>
      ['setMove', 'stepAside', 'followRail', 'splitLine', 'layTemplate', 'mirrorLine'].includes(
        edit,
      ),
    ))
      expect(() => applyEdit(open, call)).toThrow(/R1 has an open end with no position/);
  });
});
