import type { Circuit } from '../../../plan/index.ts';
import type { PlanView } from '../../../plan/results/index.ts';
import { wholeView } from '../../rule-kit/whole-view.ts';
import { circuitDigest, provingTests, latestSignature } from '../../../stations/prove/index.ts';
import { gathered } from '../../rule-kit/gathered.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { begunProving, PROVE_READS } from './_shared.ts';

/** Circuits whose newest curve was taken before a change. */
const staleCurves = (view: PlanView): Circuit[] =>
  view.plan.circuits.filter((circuit) => {
    const last = view.plan.proving.curves.findLast(({ circuitId }) => circuitId === circuit.id);
    return last !== undefined && last.rests !== circuitDigest(circuit, view);
  });

/** What was proved on another state of the plan proves nothing now. */
export const changedSinceProved = defineRule({
  id: 'changed-since-proved',
  station: 'prove',
  about: 'plan',
  reads: [...PROVE_READS, 'plan.points'],
  judge: (view) => {
    if (!begunProving(view)) return [];
    const whole = wholeView(view);
    const signed = latestSignature(whole);
    return [
      ...gathered(
        provingTests(whole)
          .filter(({ state }) => state === 'void')
          .map(({ key, name, hold }): Finding => ({
            level: 'caution',
            where: name,
            repeats: `test:${key}`,
            ...(hold ? { place: { kind: 'circuit', id: hold.circuitId } } : {}),
            text: 'It has changed since it was tested. Test it again.',
          })),
        {
          where: 'Tests before the change',
          text: (count, names) =>
            `${count} tests were taken before the last change: ${names}. Take them again.`,
        },
      ),
      ...staleCurves(whole).map(({ id, name }): Finding => ({
        level: 'caution',
        place: { kind: 'circuit', id },
        where: `${name}: pedal curve`,
        text: 'The circuit has changed since its curve was taken. Take it again.',
      })),
      ...(signed && !signed.stands
        ? [
            {
              level: 'stop' as const,
              where: 'Signature',
              repeats: 'signature',
              text: `Signed on ${signed.sign.at.slice(0, 10)}, and no longer valid. ${signed.why}`,
            },
          ]
        : []),
    ];
  },
});
