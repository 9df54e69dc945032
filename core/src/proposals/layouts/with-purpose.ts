import { isBrake, makesPressure, type Part, type Plan } from '../../plan/index.ts';
import { brakePlace, guessedPedal, servedBy } from '../../plan/network/index.ts';
import { viewPlan } from '../../plan/results/index.ts';

/** Sets down what each brake and each master is for, as its name and place have it, so that a new name changes nothing of it. */
export function withPurpose(plan: Plan): Plan {
  const { ports } = viewPlan(plan);
  const floats = new Set(
    plan.hoses
      .filter(({ motion }) => motion.floatMm > 0)
      .flatMap(({ ends }) => [ends.a.portId, ends.b.portId]),
  );
  const purposeOf = (part: Part): Partial<Part> => {
    if (makesPressure(part)) return { pedal: guessedPedal(part, plan) };
    if (!isBrake(part)) return {};
    const { axle, side } = brakePlace(part, ports, null);
    const named = servedBy({ name: part.name })?.split('-')[0] as Part['axle'];
    return {
      axle: axle ?? named ?? null,
      side,
      ...(part.ports.some(({ id }) => floats.has(id)) ? { slides: true } : {}),
    };
  };
  return { ...plan, parts: plan.parts.map((part) => ({ ...purposeOf(part), ...part })) };
}
