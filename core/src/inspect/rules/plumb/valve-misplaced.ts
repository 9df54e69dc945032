import { isBrake, type Part } from '../../../plan/index.ts';
import { axleOf, brakesBehind } from '../../../plan/network/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { onPart } from '../../rule-kit/places.ts';

/** Valves that hold one axle's pressure back. */
const HOLDS_BACK = ['proportioning-valve', 'load-valve'] as const;

/** A valve that holds the rear back stands before both rear brakes, or one before each; never before the front. Common practice. */
export const valveMisplaced = defineRule({
  id: 'valve-misplaced',
  station: 'plumb',
  about: 'plan',
  reads: ['network', 'plan.parts', 'plan.sizing', 'ports'],
  judge: ({ network, ports, plan: { parts, sizing } }) => {
    if (!sizing) return [];
    const isFront = (part: Part): boolean => axleOf(part, ports, sizing.wheelbaseMm) === 'front';
    const heldBy = (...kinds: Part['kind'][]) =>
      parts
        .filter(({ kind }) => kinds.includes(kind))
        .map((valve) => ({ valve, brakes: brakesBehind(network, parts, valve) }));
    const behind = heldBy(...HOLDS_BACK);
    const held = new Set(behind.flatMap(({ brakes }) => brakes));
    const metering = heldBy('metering-valve').flatMap(({ valve, brakes }): Finding[] => {
      const rear = brakes.find((part) => !isFront(part));
      return rear
        ? [
            {
              level: 'stop',
              place: onPart(valve),
              where: valve.name,
              text: `A metering valve holds front discs back until the rear drums touch; this one holds back ${rear.name}, so light braking is done by the front alone. Move it to the front circuit.`,
            },
          ]
        : [];
    });
    const holdingBack = behind.flatMap(({ valve, brakes }): Finding[] => {
      const finding = (text: string): Finding[] => [
        { level: 'stop', place: onPart(valve), where: valve.name, text },
      ];
      const front = brakes.find(isFront);
      if (front)
        return finding(
          `The valve holds back ${front.name}, a front brake, so the rear locks first and the vehicle can spin. Move it to the rear circuit.`,
        );
      const other = parts.find(
        (part) => isBrake(part) && part.ports.length && !isFront(part) && !held.has(part),
      );
      return brakes.length && other
        ? finding(
            `The valve holds back ${brakes.map(({ name }) => name).join(', ')} and not ${other.name} on the same axle, so the vehicle pulls to one side. Put one valve before both brakes, or one before each.`,
          )
        : [];
    });
    return [...holdingBack, ...metering];
  },
});
