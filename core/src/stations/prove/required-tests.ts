import type { PlanView } from '../../plan/results/index.ts';
import { testedDigest, circuitDigest } from './digests.ts';
import type { TestContext, RequiredTest } from './required-test.ts';
import { pressureTests, leakTests } from './pressure-tests.ts';

/** Each circuit grips and lets go: engine off, running, and hot. */
const gripTests = ({ view, plan, brakes, whole }: TestContext): RequiredTest[] => [
  ...brakes.flatMap((circuit): RequiredTest[] => {
    const rests = circuitDigest(circuit, view);
    const how =
      'On stands: pedal down, nobody turns a wheel by hand; pedal up, each turns free at once. Each wheel by itself.';
    return [
      {
        key: `grips:${circuit.id}`,
        group: 'Grips and lets go',
        name: `${circuit.name}: grips, and lets go at once`,
        how: `${plan.sizing?.booster ? 'Engine off. ' : ''}${how}`,
        rests,
        needs: [`leak:${circuit.id}`],
      },
      ...(plan.sizing?.booster
        ? [
            {
              key: `running:${circuit.id}`,
              group: 'Grips and lets go',
              name: `${circuit.name}: the same with the engine running`,
              how: `Engine running, in neutral, wheels clear. ${how}`,
              rests,
              needs: [`grips:${circuit.id}`],
            } as const,
          ]
        : []),
      {
        key: `hot:${circuit.id}`,
        group: 'Grips and lets go',
        name: `${circuit.name}: the same hot, after the first drive`,
        how: `${how} One that drags now was free cold: its hose, its piston or the pushrod’s play.`,
        rests,
        needs: ['walking'],
      },
    ];
  }),
  ...(plan.sizing?.booster
    ? [
        {
          key: 'booster',
          group: 'Grips and lets go',
          name: 'Engine off and running',
          how: 'Pumped hard engine off, then held while it starts: the pedal goes down a little. Grips and lets go with it as without.',
          rests: whole,
        } as RequiredTest,
      ]
    : []),
];
/** The pedal, its pushrod and the lamps it lights. */
const pedalTests = ({ plan, brakes, whole }: TestContext): RequiredTest[] => [
  ...(brakes.length && !plan.trailer
    ? [
        {
          key: 'pedal-firm',
          group: 'Pedal',
          name: 'Pedal firm, does not sink',
          how: 'Held for a minute with the rule’s foot: it stays. Set the reading down below; a reference vehicle is measured, never remembered.',
          rests: whole,
        } as RequiredTest,
        {
          key: 'pushrod-cold',
          group: 'Pedal',
          name: 'Pushrod has its play, cold',
          how: 'Felt by hand at the pedal before it meets the piston.',
          rests: whole,
        } as RequiredTest,
        {
          key: 'pushrod-hot',
          group: 'Pedal',
          name: 'Pushrod has its play, hot',
          how: 'After the first drive, warm: the compensating port is open, the wheels turn free.',
          rests: whole,
          needs: ['walking'],
        } as RequiredTest,
        {
          key: 'lamps',
          group: 'On the vehicle',
          name: 'Brake lights, at the switch and on the vehicle',
          how: 'A finger’s weight on the pedal lights them, off they go out; both ends of the wire.',
          rests: whole,
        } as RequiredTest,
        {
          key: 'no-power',
          group: 'On the vehicle',
          name: 'Works with no power at all',
          how: 'Battery off: the pedal still stops every wheel.',
          rests: whole,
        } as RequiredTest,
      ]
    : []),
];
/** What else the vehicle has that must work. */
const vehicleTests = ({ plan, wet, whole }: TestContext): RequiredTest[] => [
  ...(plan.hoses.length || plan.things.some(({ kind }) => kind === 'wheel')
    ? [
        {
          key: 'lock-droop',
          group: 'On the vehicle',
          name: 'Lock to lock, full droop, full bump',
          how: 'Nothing touches, no hose pulls or twists; the wheel on and turned by hand.',
          rests: whole,
        } as RequiredTest,
      ]
    : []),
  ...(plan.parking
    ? [
        {
          key: 'parking',
          group: 'On the vehicle',
          name:
            plan.sizing?.category === 'heavy'
              ? 'Parking brake holds on 18 %, both ways'
              : 'Parking brake holds on 20 %, both ways',
          how: 'Laden, five minutes, nose up and nose down, within the rule’s hand or foot; chocks ready.',
          rests: whole,
        } as RequiredTest,
      ]
    : []),
  ...(plan.clutch || wet.some(({ work }) => work === 'clutch')
    ? [
        {
          key: 'clutch',
          group: 'On the vehicle',
          name: 'Clutch frees, in gear, the other foot off the brake',
          how: 'Wheels off the ground: in gear, pedal down, they can be turned; it bites well off the floor.',
          rests: whole,
        } as RequiredTest,
      ]
    : []),
  ...(plan.trailer
    ? [
        {
          key: 'breakaway',
          group: 'On the vehicle',
          name: 'Breakaway applies and holds 15 minutes',
          how: 'Pin pulled, on chocks: no wheel can be turned. Its battery alone (49 CFR 393.43, from memory).',
          rests: whole,
        } as RequiredTest,
        {
          key: 'wires',
          group: 'On the vehicle',
          name: 'Wires of the actuator read as they should',
          how: 'The readings stand in Fit, under Wires.',
          rests: whole,
        } as RequiredTest,
      ]
    : []),
  ...(plan.parts.some(({ kind }) => kind === 'dry-break')
    ? [
        {
          key: 'dry-break',
          group: 'On the vehicle',
          name: 'Dry breaks tugged, flow seen',
          how: 'A hard tug does not part them; a stroke with the bleeder beyond them open gives fluid.',
          rests: whole,
        } as RequiredTest,
      ]
    : []),
];
/** From standing still to stops on a closed site. */
const roadTests = ({ brakes, whole }: TestContext): RequiredTest[] => [
  ...(brakes.length
    ? [
        {
          key: 'static',
          group: 'On the road',
          name: 'Held still against the engine',
          how: 'In a clear place, belt on: held by the foot in gear, it does not creep.',
          rests: whole,
          needs: brakes.map(({ id }) => `grips:${id}`),
        } as RequiredTest,
        {
          key: 'walking',
          group: 'On the road',
          name: 'Stops at walking pace',
          how: 'Closed ground, nobody before or behind: straight, no wheel drags.',
          rests: whole,
          needs: ['static'],
        } as RequiredTest,
        {
          key: 'site',
          group: 'On the road',
          name: 'Stops on a closed dry site',
          how: 'Up from 30 km/h, pads bedded; the rear never locks first. The distances stand under Stops.',
          rests: whole,
          needs: ['walking'],
        } as RequiredTest,
      ]
    : []),
];
/** All tests of a plan in the order in which they are done. Common practice; the makers' sheets and local rules come first. */
export function requiredTests(view: PlanView): RequiredTest[] {
  const { plan } = view;
  const wet = plan.circuits.filter(
    ({ id }) =>
      view.lines.some(({ line }) => line.circuitId === id) ||
      plan.hoses.some((hose) => hose.circuitId === id),
  );
  const brakes = wet.filter(({ work }) => work === 'brake');
  const context = { view, plan, wet, brakes, whole: testedDigest(view) };
  return [pressureTests, leakTests, gripTests, pedalTests, vehicleTests, roadTests].flatMap(
    (tests) => tests(context),
  );
}
