import { defineRule } from '../../define-rule.ts';

/** Compression joints and rubber fuel hose have no place under brake pressure. Common practice. */
export const jointForbidden = defineRule({
  id: 'joint-forbidden',
  station: 'join',
  about: 'end',
  reads: [],
  judge: (line, end) => {
    const { made } = line.line.ends[end].joint;
    if (made === 'flared') return null;
    return {
      level: 'stop',
      text:
        made === 'compression'
          ? 'A compression joint slips off under brake pressure. Flare the tube.'
          : 'Rubber fuel hose and clips burst under brake pressure. Flare the tube, or fit a brake hose.',
      fix: () => ({
        label: 'It is flared',
        call: {
          edit: 'changeEnd',
          with: {
            id: line.line.id,
            end,
            patch: { joint: { ...line.line.ends[end].joint, made: 'flared' } },
          },
        },
      }),
    };
  },
});
