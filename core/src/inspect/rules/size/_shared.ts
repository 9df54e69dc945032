import type { Sizing } from '../../../plan/index.ts';
import { LOADS, type LoadName, type LoadView, type SizeView } from '../../../plan/results/index.ts';
import { defineRule, type Finding, type Rule } from '../../define-rule.ts';

/** A rule about the figures from foot to road; it says nothing before they are begun. */
export const sizingRule = (id: string, find: (sizing: Sizing, size: SizeView) => Finding[]): Rule =>
  defineRule({
    id,
    station: 'size',
    about: 'plan',
    reads: ['plan.sizing', 'size'],
    judge: ({ plan: { sizing }, size }) => sizing && size && find(sizing, size),
  });

/** The same for the vehicle empty and laden. */
export const eachLoad = (id: string, find: (load: LoadView, name: LoadName) => Finding[]): Rule =>
  sizingRule(id, (_sizing, size) => LOADS.flatMap((name) => find(size[name], name)));
