import { readFileSync, writeFileSync } from 'node:fs';
import { fieldTables } from '../core/src/plan/file/field-tables.ts';
import { ROOT } from './steps.mjs';

/** Writes the tables of the plan file into its page. */
const PAGE = `${ROOT}/docs/plan-format.md`;
const text = readFileSync(PAGE, 'utf8');
const [before, rest] = text.split('<!-- fields -->');
const [, after] = rest!.split('<!-- /fields -->');
writeFileSync(PAGE, `${before}<!-- fields -->\n\n${fieldTables()}\n\n<!-- /fields -->${after}`);
