import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readPlan, type Plan } from '../plan/index.ts';

export const demoText = (name: string): string => readFileSync(join(__dirname, `../../../demo/${name}.firmline.json`), 'utf8');
/** A demo plan as it ships. */
export const demo = (name: string): Plan => readPlan(demoText(name));
