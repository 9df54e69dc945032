import { applyEdit, emptyPlan, type Plan } from '../plan/index.ts';
import { viewPlan } from '../plan/results/index.ts';
import { LAYOUTS } from '../proposals/layouts/index.ts';
import { defaultsFor, setOut, VEHICLES } from '../proposals/set-out/index.ts';
import { demo } from '../testing/demo-plans.ts';
import { proved } from '../testing/proved.ts';
import { acceptAll, sign } from '../testing/signed.ts';
import { inspect, RULES } from './index.ts';

const fresh = (vehicle: (typeof VEHICLES)[number]): Plan =>
  setOut(
    { answers: defaultsFor(vehicle), said: [], name: 'New', units: 'metric' },
    { id: 'p', now: '2026-01-01T00:00:00.000Z' },
  );

describe('one cause is said once', () => {
  // A list that is longer than a screen is not read.
  test.each(VEHICLES)('a new %s that nobody has touched has at most twelve snags', (vehicle) => {
    expect(
      inspect(fresh(vehicle))
        .map(({ rule, where }) => `${rule} ${where}`)
        .slice(12),
    ).toEqual([]);
  });
  test.each(['wheatear', 'dunlin'])(
    'a corner moved by 5 mm on a signed %s adds at most five, the signature’s among them',
    (name) => {
      const signed = sign(acceptAll(proved(demo(name))));
      const { id, cornersMm } = signed.lines[0]!;
      const [[x, y, z], ...rest] = cornersMm as [
        [number, number, number],
        ...[number, number, number][],
      ];
      const moved = applyEdit(signed, {
        edit: 'setCorners',
        with: { id, cornersMm: [[x + 5, y, z], ...rest] },
      });
      const before = new Set(inspect(signed).map(({ key }) => key));
      const added = inspect(moved).filter(({ key }) => !before.has(key));
      expect(added.map(({ where }) => where)).toContain('Signature');
      expect(added.slice(5).map(({ rule, where }) => `${rule} ${where}`)).toEqual([]);
    },
  );
  // A fix is weighed by each: three of four that are left would else look like three new ones.
  test('many are said as one, and are still found apart', () => {
    const rule = RULES.find(({ id }) => id === 'guess-unmeasured')!;
    const view = viewPlan(LAYOUTS[0]!.draw(emptyPlan('p', 'P', '2026-01-01T00:00:00.000Z')));
    expect(rule.find(view).map(({ where, text }) => [where, text.slice(0, 12)])).toEqual([
      ['Places', '12 positions'],
    ]);
    expect(rule.findEach(view)).toHaveLength(12);
  });
});
