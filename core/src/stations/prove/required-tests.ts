import { isBrake } from '../../plan/index.ts';
import { limitsOf, type PlanView } from '../../plan/results/index.ts';
import { testedDigest, circuitDigest } from './digests.ts';
import { checkKey } from './check-key.ts';
import { onCircuit } from './on-circuit.ts';
import { needsParking } from './needs-parking.ts';
import type { TestContext, RequiredTest } from './required-test.ts';
import { pressureTests, leakTests } from './pressure-tests.ts';
import { pedalFelt, pushrodPlay, stopsMade, wiresRead } from './read-tests.ts';

/** What each circuit shows when it is pressed lightly: its fluid, and everything that must move. */
const lightTests = ({ view, plan, wet, brakes }: TestContext): RequiredTest[] => [
  ...brakes.flatMap((circuit): RequiredTest[] => {
    const key = checkKey(circuit.id, 'pistonStill');
    const moving = onCircuit(circuit.id, view.lines, plan.hoses, plan.parts).parts.filter(isBrake);
    return moving.length
      ? [
          {
            key,
            group: 'Grip and release',
            name: `${circuit.name}: each piston and shoe moves`,
            how: 'On stands, wheels off, pads and drums fitted. Someone presses lightly and lets go. Good: each pad or shoe comes out, and lets go. Fingers clear: pistons crush them.',
            rests: circuitDigest(circuit, view),
            words: { good: 'Moves', bad: 'Does not move' },
            looks: moving.map(({ id, name }) => ({ key: `${key}/${id}`, name })),
          },
        ]
      : [];
  }),
  ...wet.map((circuit): RequiredTest => ({
    key: checkKey(circuit.id, 'bubbles'),
    group: 'Pedal',
    name: `${circuit.name}: no bubbles in the reservoir`,
    how: 'Glasses on, cap off, pot vented and off. Pump slowly ten times and watch its chamber from the side. Good: no bubbles rise. A small jet at the open port as the pedal starts down is normal. Bubbles that keep rising are air in the master: bleed again.',
    rests: circuitDigest(circuit, view),
  })),
];
/** Each circuit grips and lets go: engine off, running, and hot. */
const gripTests = ({ view, plan, brakes, whole }: TestContext): RequiredTest[] => [
  ...brakes.flatMap((circuit): RequiredTest[] => {
    const rests = circuitDigest(circuit, view);
    const how =
      'On stands. Pedal down: no wheel can be turned by hand. Pedal up: each wheel turns freely at once. Check each wheel.';
    return [
      {
        key: `grips:${circuit.id}`,
        group: 'Grip and release',
        name: `${circuit.name}: grips, and releases at once`,
        how: `${plan.sizing?.booster ? 'Engine off. ' : ''}${how}`,
        rests,
        needs: [`leak:${circuit.id}`],
      },
      ...(plan.sizing?.booster
        ? [
            {
              key: `running:${circuit.id}`,
              group: 'Grip and release',
              name: `${circuit.name}: the same with the engine running`,
              how: `Engine running, in neutral, wheels clear of people and ground. ${how}`,
              rests,
              needs: [`grips:${circuit.id}`],
            } as const,
          ]
        : []),
      {
        key: `hot:${circuit.id}`,
        group: 'Grip and release',
        name: `${circuit.name}: the same hot, after the first drive`,
        how: `${how} A wheel that drags only when hot: check hose, piston and pushrod free play.`,
        rests,
        needs: ['walking'],
      },
    ];
  }),
  ...(plan.sizing?.booster
    ? [
        {
          key: 'booster',
          group: 'Grip and release',
          name: 'Engine off and running',
          how: 'Pump hard with the engine off, hold the pedal, start the engine: the pedal drops a little. Grip and release work with and without assist.',
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
          how: 'Hold for a minute at the rule’s foot force: the pedal stays. Record the reading below. Measure a reference vehicle; do not rely on memory.',
          rests: whole,
          reading: pedalFelt(plan),
        } as RequiredTest,
        {
          key: 'pushrod-cold',
          group: 'Pedal',
          name: 'Pushrod free play, cold',
          how: 'Feel the play by hand at the pedal, before the pushrod meets the piston.',
          rests: whole,
          reading: pushrodPlay(plan, 'coldMm'),
        } as RequiredTest,
        {
          key: 'pushrod-hot',
          group: 'Pedal',
          name: 'Pushrod free play, hot',
          how: 'After the first drive, warm: the compensating port is open and the wheels turn freely.',
          rests: whole,
          reading: pushrodPlay(plan, 'hotMm'),
          needs: ['walking'],
        } as RequiredTest,
        {
          key: 'lamps',
          group: 'On the vehicle',
          name: 'Brake lights, at the switch and on the vehicle',
          how: 'Light pedal pressure turns them on; release turns them off. Check at the switch and at the lamp.',
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
const vehicleTests = ({ plan, wet, brakes, whole }: TestContext): RequiredTest[] => [
  ...(plan.hoses.length || plan.things.some(({ kind }) => kind === 'wheel')
    ? [
        {
          key: 'lock-droop',
          group: 'On the vehicle',
          name: 'Lock to lock, full droop, full bump',
          how: 'Wheel on, turned by hand: nothing touches, no hose pulls or twists.',
          rests: whole,
        } as RequiredTest,
      ]
    : []),
  ...(needsParking(plan)
    ? [
        {
          key: 'parking',
          group: 'On the vehicle',
          name: `Parking brake holds on ${Math.round(100 * (plan.sizing ? (limitsOf(plan.sizing)?.parking.grade ?? 0.2) : 0.2))} %, both ways`,
          how: 'Laden, five minutes, nose up and nose down, within the rule’s hand or foot force. Chocks ready: a vehicle that rolls can crush people.',
          rests: whole,
        } as RequiredTest,
      ]
    : []),
  ...(plan.clutch || wet.some(({ work }) => work === 'clutch')
    ? [
        {
          key: 'clutch',
          group: 'On the vehicle',
          name: 'Clutch disengages: in gear, foot off the brake',
          how: 'On stands, engine off and key out, nobody else near: hands go to driven wheels. In gear, pedal down: the wheels can be turned. The clutch bites well above the floor.',
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
          how: 'Pin pulled, on chocks: no wheel can be turned, on the breakaway battery alone (49 CFR 393.43, from memory).',
          rests: whole,
        } as RequiredTest,
        {
          key: 'wires',
          group: 'On the vehicle',
          name: 'Actuator wiring measured good',
          how: 'Each wire at rest, braking half and full, and with the pin pulled.',
          rests: whole,
          reading: wiresRead(plan),
        } as RequiredTest,
        {
          key: 'slider',
          group: 'On the road',
          name: 'The controller’s slide alone stops the rig',
          how: 'Closed ground, walking pace, foot off the brake, nobody beside the trailer. Move the controller’s slide slowly. Good: the trailer alone stops the rig, straight, with no wheel locking before half. Note the load on board.',
          rests: whole,
          needs: brakes.map(({ id }) => `grips:${id}`),
        } as RequiredTest,
      ]
    : []),
  ...(plan.parts.some(({ kind }) => kind === 'dry-break')
    ? [
        {
          key: 'dry-break',
          group: 'On the vehicle',
          name: 'Dry breaks tugged, flow checked',
          how: 'A hard tug does not part them. With the bleeder beyond them open, one stroke gives fluid.',
          rests: whole,
        } as RequiredTest,
      ]
    : []),
];
/** From standing still to stops on a closed site. */
const roadTests = ({ plan, brakes, whole }: TestContext): RequiredTest[] => [
  ...(brakes.length
    ? [
        {
          key: 'static',
          group: 'On the road',
          name: 'Holds against the engine',
          how: 'In a clear place, belt on, in gear: the foot brake stops the vehicle creeping.',
          rests: whole,
          needs: brakes.map(({ id }) => `grips:${id}`),
        } as RequiredTest,
        {
          key: 'walking',
          group: 'On the road',
          name: 'Stops at walking pace',
          how: 'Closed ground, nobody in front or behind: stops straight, no wheel drags.',
          rests: whole,
          needs: ['static'],
        } as RequiredTest,
        {
          key: 'site',
          group: 'On the road',
          name: 'Stops on a closed dry site',
          how: 'Start at 30 km/h, pads bedded. The rear never locks first. Record the distances under Stops.',
          rests: whole,
          reading: stopsMade(plan),
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
  return [
    pressureTests,
    leakTests,
    lightTests,
    gripTests,
    pedalTests,
    vehicleTests,
    roadTests,
  ].flatMap((tests) => tests(context));
}
