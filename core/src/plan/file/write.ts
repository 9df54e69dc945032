import type { Plan } from '../model/index.ts';

/** The text of a plan file: JSON, one space of indent, ends in a line break. What `readPlan` reads. */
export const writePlan = (plan: Plan): string => `${JSON.stringify(plan, null, 1)}\n`;

/** A file name for a plan: its name in plain letters. */
export const planFileName = (plan: Plan): string => {
  const plain = plan.name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '');
  return `${plain || 'plan'}.firmline.json`;
};
