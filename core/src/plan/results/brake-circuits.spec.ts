import { applyEdits, type EditCall, type Plan } from '../index.ts';
import { demo } from '../../testing/demo-plans.ts';
import { pedalsOf } from '../network/index.ts';
import { brakeCircuits } from './brake-circuits.ts';
import { viewPlan } from './index.ts';

const circuits = (plan: Plan) => {
  const { network, ports } = viewPlan(plan);
  const { wheelbaseMm, category } = plan.sizing!;
  return brakeCircuits(
    network,
    plan.parts,
    ports,
    wheelbaseMm,
    pedalsOf(plan),
    category === 'motorcycle',
  );
};
const gannet = demo('gannet');
/** A line brought to another port at its end B. */
const to = (id: string, portId: string | null): EditCall => {
  const { ends } = gannet.lines.find((line) => line.id === id)!;
  return {
    edit: 'changeLine',
    with: { id, patch: { ends: { ...ends, b: { ...ends.b, portId } } } },
  };
};

describe('circuits as they are drawn', () => {
  test('one an axle where each outlet feeds one', () => {
    expect(circuits(gannet)).toEqual([
      { name: 'Front circuit', share: { front: 1, rear: 0 } },
      { name: 'Rear circuit', share: { front: 0, rear: 1 } },
    ]);
  });
  test('a diagonal split: each has half of either axle, and is called by its brakes', () => {
    const diagonal = applyEdits(gannet, [to('line-f3', 'port-rr'), to('line-r3', 'port-fr')]);
    expect(circuits(diagonal)).toEqual([
      { name: 'Front left and Rear right', share: { front: 0.5, rear: 0.5 } },
      { name: 'Front right and Rear left', share: { front: 0.5, rear: 0.5 } },
    ]);
  });
  test('a brake that nothing feeds, or that two outlets do: then one an axle is reckoned with', () => {
    const split = [to('line-f3', 'port-rr'), to('line-r3', 'port-fr')];
    const open = applyEdits(gannet, [...split, to('line-f2', null)]);
    const twice = applyEdits(gannet, [...split, to('line-c1', 'bleed-fl')]);
    for (const plan of [open, twice])
      expect(circuits(plan).map(({ name }) => name)).toEqual(['Front circuit', 'Rear circuit']);
  });
});
