import { adapt, halfOfNut } from '../../../trade/ends/index.ts';
import { adaptersOf, jointsAt } from '../../../stations/join/index.ts';
import { defineRule } from '../../define-rule.ts';

/** More joints than a found chain needs: each is a place to leak. */
export const jointsNeedless = defineRule({
  id: 'joints-needless',
  station: 'join',
  about: 'end',
  reads: ['plan.bench'],
  judge: (line, end, { plan }) => {
    const joints = jointsAt(line, end);
    const { adapters } = line.line.ends[end];
    if (!joints || adapters.length === 0) return null;
    const from = line.ports[end]!.port.fitting!.half;
    const best = adapt(
      { from, to: halfOfNut(line.nuts[end]), maxJoints: 8 },
      adaptersOf(plan.bench),
    ).chains[0];
    // A banjo seals on both its faces.
    const faces = joints.reduce((sum, { join }) => sum + (join?.male.end === 'banjo' ? 2 : 1), 0);
    if (!best || best.joints >= faces) return null;
    return {
      level: 'caution',
      text: `${faces} sealing faces where ${best.joints} would do. Each one is a place to leak.`,
      fix: () => ({
        label: best.parts.length ? 'Use the shorter chain' : 'Join it directly',
        call: {
          edit: 'changeEnd',
          with: { id: line.line.id, end, patch: { adapters: best.parts, standoffMm: 0 } },
        },
      }),
    };
  },
});
