import { fluidIn, reservoirParts, type HoldTest } from '../../plan/index.ts';
import { listView } from '../make/buying/index.ts';
import { lastFluidUse } from '../fill/index.ts';
import { floorView, torqueOf } from '../fit/tasks/index.ts';
import { jointEnds } from '../join/index.ts';
import { fluidById } from '../../trade/stock/index.ts';
import { quantitiesOf, type Quantities } from '../../lib/units/index.ts';
import { judgedCurve, type JudgedCurve } from './curves.ts';
import { judgeAir, judgeHold } from './judge.ts';
import { provingTests } from './test-results.ts';
import type { Pages, PackSection } from './pack-section.ts';

const STATE_WORDS = {
  done: 'good',
  bad: 'FAILED',
  void: 'no longer valid after a change',
  open: 'not done',
  locked: 'not done',
} as const;

/** Joints, torques and what was bought. */
export const jointPages: Pages = ({ view, plan }) => {
  const { torque: say } = quantitiesOf(plan);
  const torques = floorView(view).flatMap(({ task, state }) => {
    const torque = torqueOf(task, plan.floor);
    return torque
      ? [
          [
            task.joint?.name ?? task.name,
            torque.wantedNm === null ? 'none' : say(torque.wantedNm),
            torque.source || 'none',
            torque.saidNm === null ? '' : say(torque.saidNm),
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
      table: { head: ['What', 'Required', 'Source', 'Wrench reading', 'State'], rows: torques },
    },
    {
      title: 'Purchases',
      apart: true,
      table: { head: ['Group', 'Item', 'Count', 'State', 'From'], rows: bought },
    },
  ];
};

/** The fluid of each reservoir, and how it went in. */
export const fluidPage: Pages = ({ plan }) => [
  {
    title: 'Fluid',
    table: {
      head: ['Reservoir', 'Fluid', 'Batch', 'Opened', 'Filled', 'Replace by'],
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

/** What a curve came to, and by how much it is over the pedal that was calculated. */
function curveWords({ fit, against }: JudgedCurve, { volume, pressure }: Quantities): string {
  const { verdict, airMl, sigma, t0Mm, flexMmPerMPa, excess, excessSigma } = fit;
  const air = `${verdict}: ${volume(airMl, 1)} of air (± ${volume(2 * sigma.airMl, 1)})`;
  const part = (name: string, mm: number, by: number): string =>
    `${name} ${mm.toFixed(0)} ± ${(2 * by).toFixed(0)} mm`;
  return excess && excessSigma && against
    ? `${air}. Over the calculated pedal at ${pressure(against.referenceMPa, 1)}: ${part('free play', excess.freeMm, excessSigma.freeMm)}, ${part('flex', excess.flexMm, excessSigma.flexMm)}, ${part('air', excess.airMm, excessSigma.airMm)}; ${against.limitMm.toFixed(0)} mm allowed.`
    : `${air}, free play ${t0Mm.toFixed(0)} mm, ${flexMmPerMPa.toFixed(1)} mm a MPa.`;
}
/** Tests and curves. */
export const testPages: Pages = ({ view, plan, circuit }) => {
  const { proving } = plan;
  const quantities = quantitiesOf(plan);
  const { pressure, distance, speed } = quantities;
  const tests = provingTests(view);
  // A circuit that is gone asks for nothing.
  const heldWords = (held: HoldTest): string => {
    const ask = tests.find(({ hold }) => hold?.circuitId === held.circuitId)?.hold;
    return ask ? judgeHold(held, ask, quantities).words : '';
  };
  return [
    {
      title: 'Tests',
      apart: true,
      table: {
        head: ['Test', 'State', 'Observation'],
        rows: tests.map(({ name, state, note }) => [name, STATE_WORDS[state], note]),
      },
      words: [
        ...proving.holds.map(
          (hold) =>
            `Held ${hold.at.slice(0, 10)}, ${circuit(hold.circuitId)}: ${pressure(hold.startMPa, 2)} to ${pressure(hold.endMPa, 2)} in ${hold.minutes} min, ${pressure(hold.wantedMPa, 1)} required. ${heldWords(hold)}`,
        ),
        ...proving.airTests.map(
          (test) => `Air test ${test.at.slice(0, 10)}: ${judgeAir(test).verdict}.`,
        ),
        ...proving.stops.map(
          (one) =>
            `Stop ${one.at.slice(0, 10)}, ${one.when}: ${distance(one.distanceM)} from ${speed(one.fromKmh)}, ${one.locked === 'none' ? 'none locked' : `${one.locked} locked first`}.`,
        ),
        ...proving.bedding.map(({ at, text }) => `Bedding ${at.slice(0, 10)}: ${text}`),
      ],
    },
    ...proving.curves.map((curve): PackSection => {
      const judged = judgedCurve(curve, view);
      return {
        title: `Curve ${circuit(curve.circuitId)}, ${curve.at.slice(0, 10)}${curve.pumped ? ', pumped first' : ''}`,
        words: [judged ? curveWords(judged, quantities) : 'Too few readings.'],
        curve: { name: 'pedal mm over MPa', points: curve.points },
      };
    }),
  ];
};
