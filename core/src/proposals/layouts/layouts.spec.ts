import { inspect } from '../../inspect/index.ts';
import { emptyPlan, isBrake, writePlan, type Plan } from '../../plan/index.ts';
import { brakePlace, pedalsOf } from '../../plan/network/index.ts';
import { readPlan } from '../../plan/file/index.ts';
import { LAYOUTS } from './index.ts';
import { viewPlan } from '../../plan/results/index.ts';

const empty = (): Plan => emptyPlan('p', 'P', '2026-01-01T00:00:00.000Z');

describe.each(LAYOUTS.map((layout) => [layout.name, layout] as const))(
  'the layout %s',
  (_, layout) => {
    const plan = layout.draw(empty());
    const view = viewPlan(plan);

    test('is a sound plan that reads back, whose every place is a guess', () => {
      expect(readPlan(writePlan(plan))).toEqual(plan);
      expect([...view.ports.values()].every(({ fixed }) => fixed.guess)).toBe(true);
    });

    test('every line can be bent and every bleeder has its turn', () => {
      expect(view.lines.map((line) => [line.line.name, line.fault?.message])).toEqual(
        view.lines.map((line) => [line.line.name, undefined]),
      );
      const bled = view.bleeding.flatMap((work) => work.result!.order.map((step) => step.id));
      const bleeders = plan.parts.flatMap((part) =>
        part.ports.filter((port) => port.role === 'bleeder').map((port) => port.id),
      );
      expect([...bled].sort()).toEqual([...bleeders].sort());
    });

    test('no port is open, no circuit joined to another; what is against it is that nothing is measured', () => {
      const snags = inspect(plan);
      expect(snags.filter((s) => s.level === 'stop')).toEqual([]);
      const ends = new Set(plan.lines.flatMap((l) => [l.ends.a.portId, l.ends.b.portId])).size;
      const guesses = snags.filter((s) => s.rule === 'guess-unmeasured').map(({ text }) => text);
      if (ends > 3)
        expect(guesses).toEqual([expect.stringMatching(`^${ends} positions are estimates: `)]);
      else expect(guesses).toHaveLength(ends);
    });

    test('each brake and master says what it is for: another name changes nothing of it', () => {
      const { ports } = view;
      const purpose = (of: Plan) => ({
        pedals: [...pedalsOf(of).values()],
        places: of.parts.filter(isBrake).map((part) => brakePlace(part, ports, null)),
      });
      const renamed = { ...plan, parts: plan.parts.map((part) => ({ ...part, name: 'Part' })) };
      expect(purpose(renamed)).toEqual(purpose(plan));
      for (const { name, axle } of plan.parts.filter(isBrake))
        expect(axle).toBe(/^(front|rear)/i.exec(name)?.[1]!.toLowerCase() ?? null);
    });

    test('can be drawn a second time beside the first', () => {
      const twice = layout.draw(plan);
      expect(twice.hoses).toHaveLength(2 * plan.hoses.length);
      expect(new Set(twice.hoses.map(({ name }) => name)).size).toBe(twice.hoses.length);
      expect(readPlan(writePlan(twice)).lines).toHaveLength(2 * plan.lines.length);
      expect(new Set(twice.lines.map((l) => l.name)).size).toBe(twice.lines.length);
    });
  },
);
