import { replay } from '../../../stations/fill/index.ts';
import type { FillRun } from '../../../plan/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { doneIds, told } from '../fit/_shared.ts';
import { begun, FILL_READS } from './_shared.ts';

const WORK_WORDS = { brake: 'Brakes', clutch: 'Clutch' } as const;
/** What the newest run at the bleeders left behind: one that was skipped, bubbles at the last look, a pedal that is not firm. Common practice. */
export const runLeft = defineRule({
  id: 'run-left',
  station: 'fill',
  about: 'plan',
  reads: FILL_READS,
  judge: (view): Finding[] => {
    const nameOf = (portId: string): string => {
      const at = view.ports.get(portId);
      return at ? `${at.part.name}, ${at.port.name}` : 'A bleeder that is no longer there';
    };
    const isFilled = doneIds(told(view)).has('fill');
    const left = (run: FillRun): Finding[] => {
      const { felt } = replay(run).state;
      const where = WORK_WORDS[run.work];
      if (felt === null)
        return isFilled
          ? [
              {
                level: 'stop',
                where,
                text: 'The last bleeding run is not finished. Finish it, or bleed again.',
              },
            ]
          : [];
      // A wheel that was bled again by itself counts as it was left then.
      const bled = new Map(
        view.plan.filling.runs
          .filter(({ work }) => work === run.work)
          .flatMap((one) => replay(one).state.corners.filter(({ ml }) => ml > 0))
          .map((corner) => [corner.portId, corner]),
      );
      const order = view.bleeding.find(({ work }) => work === run.work)?.result?.order ?? [];
      const at = (portId: string, level: Finding['level'], text: string): Finding => ({
        level,
        place: { kind: 'port', id: portId },
        where: nameOf(portId),
        text,
      });
      return [
        ...order.flatMap(({ id }): Finding[] => {
          const corner = bled.get(id);
          if (!corner)
            return [at(id, 'stop', 'No fluid came out here in a bleeding run. Bleed this wheel.')];
          if (corner.out === 'bubbles' || corner.out === 'froth')
            return [
              at(id, 'stop', 'The last fluid here still carried bubbles. Bleed this wheel again.'),
            ];
          return corner.out === 'dirty'
            ? [at(id, 'caution', 'The last fluid here was dirty. Flush until it runs clear.')]
            : [];
        }),
        ...(felt === 'firm'
          ? []
          : [
              {
                level: felt === 'sinks' ? ('stop' as const) : ('caution' as const),
                where,
                text: `After the last bleed the pedal was recorded as ${felt === 'sinks' ? 'sinking' : felt}. Find the cause, and bleed again.`,
              },
            ]),
      ];
    };
    const runs = begun(view);
    const unrecorded = isFilled
      ? view.bleeding.filter(({ work, result }) => result && !runs.some((run) => run.work === work))
      : [];
    return [
      ...runs.flatMap(left),
      ...unrecorded.map(({ work }): Finding => ({
        level: 'caution',
        where: WORK_WORDS[work],
        text: 'Fluid is in, and no bleeding run is recorded. Record one, or say where it was written down.',
      })),
    ];
  },
});
