import { loadVerdict } from '../../../physics/wheel-ends/index.ts';
import { figure } from '../../../lib/faults/index.ts';
import { defineRule } from '../../define-rule.ts';
import { quantityWords } from '../../rule-kit/places.ts';

/** What is welded or changed and carries a foot is loaded before it is trusted. */
export const proofLoad = defineRule({
  id: 'proof-load',
  station: 'fit',
  about: 'plan',
  reads: ['plan.wheelEnds'],
  judge: ({ plan }) => {
    const { force } = quantityWords({ plan });
    return plan.wheelEnds.loads.flatMap((load) => {
      const verdict = loadVerdict(load, load.wantedN);
      if (verdict === 'held') return [];
      const text = {
        open: `It is not tested yet: hold it under ${force(load.wantedN)} for ten seconds, then check it.`,
        'too-little': `The test load was ${force(load.loadN ?? 0)}, and ${force(load.wantedN)} is required.`,
        'too-short': `The load was held for ${figure(load.seconds ?? 0)} s, and ten are required.`,
        set: 'It stayed bent, so it will yield under a foot. Make it stronger; never straighten it.',
        cracked: 'It cracked or moved under load. Make a new one.',
      }[verdict];
      return [
        {
          level:
            verdict === 'set' || verdict === 'cracked' ? ('stop' as const) : ('caution' as const),
          place: { kind: 'proofLoad' as const, id: load.id },
          where: load.name,
          text,
        },
      ];
    });
  },
});
