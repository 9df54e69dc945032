import { writeFileSync } from 'node:fs';
import { rulesPage } from '../core/src/testing/rule-table.ts';
import { ROOT } from './steps.mjs';

/** Writes the table of all rules. */
writeFileSync(`${ROOT}/docs/rules.md`, rulesPage(`${ROOT}/core/src/inspect/rules`));
