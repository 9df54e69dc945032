import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { type Plan } from '../plan/index.ts';
import { readPlan } from '../plan/file/index.ts';

export const demoText = (name: string): string =>
  readFileSync(join(__dirname, `../../../demo/${name}.firmline.json`), 'utf8');

const read = new Map<string, Plan>();
/** A demo plan as it ships, read once and frozen: whoever changes it in place throws. */
export function demo(name: string): Plan {
  let plan = read.get(name);
  if (!plan) read.set(name, (plan = frozen(readPlan(demoText(name)))));
  return plan;
}
function frozen<T>(value: T): T {
  if (typeof value === 'object' && value !== null)
    Object.values(Object.freeze(value)).forEach(frozen);
  return value;
}
