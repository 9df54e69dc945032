import { onLine, type Rule, type Snag } from '../snag.ts';

/** An edit un-proves the work that was ticked to an older card. */
export const changedAfterMade: Rule = (view) =>
  view.lines.flatMap((line): Snag[] => {
    const stale = line.line.ticks.filter((tick) => tick.digest !== line.digest);
    return stale.length
      ? [{
          rule: 'changed-after-made', level: 'mind', station: 'make', place: onLine(line), where: line.line.name,
          text: `${stale.length === 1 ? '1 step was' : `${stale.length} steps were`} ticked to an older card. Hold the tube against the new one and tick again what still agrees.`,
        }] // prettier-ignore
      : [];
  });
