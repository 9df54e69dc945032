import type { Sizing } from '../../../plan/index.ts';
import { LOADS, type LoadName, type LoadView, type SizeView } from '../../../plan/results/index.ts';
import type { Quantities } from '../../../lib/units/index.ts';
import { defineRule, type Finding, type Rule } from '../../define-rule.ts';
import { quantityWords } from '../../rule-kit/places.ts';

/** A rule about the figures from foot to road; it says nothing before they are begun. */
export const sizingRule = (
  id: string,
  find: (sizing: Sizing, size: SizeView, words: Quantities) => Finding[],
): Rule =>
  defineRule({
    id,
    station: 'size',
    about: 'plan',
    reads: ['plan.sizing', 'size'],
    judge: ({ plan, size }) =>
      plan.sizing && size && find(plan.sizing, size, quantityWords({ plan })),
  });

/** The same for the vehicle empty and laden. */
export const eachLoad = (
  id: string,
  find: (load: LoadView, name: LoadName, words: Quantities) => Finding[],
): Rule =>
  sizingRule(id, (_sizing, size, words) => LOADS.flatMap((name) => find(size[name], name, words)));
