import { faultOf, faultSentence, type Fault } from '../../lib/faults/index.ts';
import { countValues } from '../model/references.ts';
import { PLAN, PLAN_FORMAT, PLAN_VERSION, type AnyField, type Plan } from '../model/index.ts';
import { faultsBetween, MOST_VALUES } from '../validate.ts';
import { migrate } from './migrations/index.ts';
import { planSchema } from './schema.ts';
import { PlanFileError, MOST_PLAN_BYTES } from './plan-file-error.ts';

const MOST_DEPTH = 60;
const MOST_FAULTS = 50;

const refuse = (message: string, path = ''): never => {
  throw new PlanFileError([{ path, message }]);
};

/** How deep brackets nest outside of text, so that no parser is sent down a well. */
function depthOf(text: string): number {
  let depth = 0;
  let most = 0;
  let inText = false;
  for (let i = 0; i < text.length; i++) {
    const c = text.charCodeAt(i);
    if (inText) {
      if (c === 92) i++;
      else if (c === 34) inText = false;
    } else if (c === 34) inText = true;
    else if (c === 91 || c === 123) most = Math.max(most, ++depth);
    else if (c === 93 || c === 125) depth--;
  }
  return most;
}

function parse(text: string): unknown {
  if (text.length > MOST_PLAN_BYTES)
    refuse(
      `The file holds ${(text.length / 1e6).toFixed(1)} MB; ${MOST_PLAN_BYTES / 1e6} MB is the limit.`,
    );
  if (depthOf(text) > MOST_DEPTH)
    refuse(`The file nests deeper than ${MOST_DEPTH} levels. It is not a plan.`);
  try {
    return JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch (error) {
    return refuse(`The file is not JSON: ${(error as Error).message}`);
  }
}

/**
 * A plan of the present version from a value that came out of storage. Throws PlanFileError with every fault by path; the
 * value itself is left as it was, unknown fields are kept.
 */
export function checkPlan(value: unknown): Plan {
  if (typeof value !== 'object' || value === null || Array.isArray(value))
    refuse('The file is not a plan. A plan is one JSON object with named fields.');
  const { format, version } = value as { format?: unknown; version?: unknown };
  if (format !== PLAN_FORMAT)
    refuse(`This is not a Firm Line plan: its format should be "${PLAN_FORMAT}".`, 'format');
  if (typeof version === 'number' && version > PLAN_VERSION) {
    refuse(
      `The plan has version ${version}; this program reads up to version ${PLAN_VERSION}. Reload the page to update the program.`,
      'version',
    );
  }
  const migrated = migrate(value as Record<string, unknown>);
  const full = overfull(migrated);
  if (full.length) throw new PlanFileError(full);
  const { error } = planSchema.validate(migrated, { abortEarly: false, convert: false });
  if (error) throw new PlanFileError(error.details.slice(0, MOST_FAULTS).map(faultOf));
  const plan = migrated as unknown as Plan;
  const faults = faultsBetween(plan);
  if (faults.length) throw new PlanFileError(faults.slice(0, MOST_FAULTS));
  return plan;
}

/** Whether there is more of it than a plan may hold: asked before the schema, whose time goes by it. */
function overfull(value: Readonly<Record<string, unknown>>): Fault[] {
  if (countValues(value, MOST_VALUES) > MOST_VALUES)
    return [
      {
        path: '',
        message: `The plan holds more than ${MOST_VALUES} figures and texts, which is the limit.`,
      },
    ];
  return Object.entries(PLAN.fields as Readonly<Record<string, AnyField>>).flatMap(
    ([path, field]): Fault[] => {
      const list = value[path];
      return field.type === 'list' && Array.isArray(list) && list.length > field.most
        ? [{ path, message: faultSentence('array.max', { value: list, limit: field.most }) }]
        : [];
    },
  );
}

/** A plan from the text of a `*.firmline.json` file. Throws PlanFileError and nothing else. */
export const readPlan = (text: string): Plan => checkPlan(parse(text));
