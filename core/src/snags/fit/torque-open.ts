import { defineRule } from '../define-rule.ts';
import { FLOOR_READS, told } from './floor.ts';

/** A joint that is tight to no figure anybody can name is tight to nothing. */
export const torqueOpen = defineRule({
  id: 'torque-open',
  station: 'fit',
  about: 'plan',
  reads: FLOOR_READS,
  judge: (view) =>
    told(view).flatMap(({ task, state }) => {
      if (state !== 'done' || !task.joint || (task.joint.work.torqueNm !== null && task.joint.work.torqueSource)) return [];
      const text = task.joint.work.torqueNm === null ? 'It is tightened, and no figure stands for it: look it up and check.' : 'Its figure has no source: say whose word it is.';
      return [{ level: 'mind' as const, place: task.place, where: task.joint.name, text }];
    }),
}); // prettier-ignore
