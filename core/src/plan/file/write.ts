import type { Plan } from '../model/index.ts';

/** The text of a plan file: JSON, one space of indent, ends in a line break. What `readPlan` reads. */
export const writePlan = (plan: Plan): string => `${JSON.stringify(plan, null, 1)}\n`;

const MOST_LETTERS = 80;
/** What a plan's files are called: its name in letters and digits of whatever script. */
export const fileStem = ({ name }: Pick<Plan, 'name'>): string =>
  String(name)
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .slice(0, MOST_LETTERS)
    .replace(/^-|-$/g, '') || 'plan';
/** A file name for a plan. */
export const planFileName = (plan: Pick<Plan, 'name'>): string => `${fileStem(plan)}.firmline.json`;
