import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { writePlan, type Plan } from '@firm-line/core/plan';
import type { ElementHandle } from 'puppeteer-core';
import { STATIONS } from '../app/src/stations/registry';
import { demo } from '../core/src/testing/demo-plans';
import { bare, ODD_PLANS, opened } from '../core/src/testing/odd-plans';
import { goTo, openPlan, settled, watch, withBrowser } from './browser';
import { keptPlan } from './fields';
import { pressAll, wrong } from './press';

jest.setTimeout(240_000);
const run = withBrowser();
const folder = mkdtempSync(join(tmpdir(), 'firm-line-'));

// The oddest of those with lines first: it is pressed all over, and those like it where they have more.
const plans = [
  ['ports deleted', bare(demo('gannet'))] as const,
  ['lines with an open end', opened(demo('gannet'))] as const,
  ...ODD_PLANS,
].map(([name, plan], i): [string, Plan] => [name, { ...plan, id: `odd-${i}`, name }]);

/** All of them are brought in at once, as files. */
beforeAll(async () => {
  const files = plans.map(([, plan]) => {
    const file = join(folder, `${plan.id}.firmline.json`);
    writeFileSync(file, writePlan(plan));
    return file;
  });
  const page = await run.browser.newPage();
  await page.goto(run.server.url, { waitUntil: 'load' });
  await (
    (await page.waitForSelector('input[type=file]')) as ElementHandle<HTMLInputElement>
  ).uploadFile(...files);
  for (const [, { id }] of plans) await page.waitForSelector(`a[href^="/plan/${id}"]`);
});

const isLong = process.env['LONG_TESTS'] !== undefined;
/** What was pressed, and which pages were gone to, by station. */
interface Gone {
  readonly pressed: Record<string, Set<string>>;
  readonly pages: Record<string, Set<string>>;
  plans: number;
}
const gone = (): Gone => ({ pressed: {}, pages: {}, plans: 0 });
/**
 * Plans with lines are much alike, and so are those with next to nothing: what was pressed at a station of one is not
 * again in the next, and once two were gone through whole, the next are at their stations; but in a long run.
 */
const alike: Readonly<Record<'lines' | 'bare', Gone>> = { lines: gone(), bare: gone() };
const before = ({ lines, parts }: Plan): Gone =>
  isLong ? gone() : alike[lines.length || parts.length > 1 ? 'lines' : 'bare'];

test.each(plans)('%s is gone through at every station, sub-page and form', async (_, plan) => {
  const known = before(plan);
  known.plans++;
  // One like a plan that was gone through: with no WebGL, where the scene is but words.
  const { page, complaints } = await watch(
    run.browser,
    run.server.url,
    known.plans > 1 ? 'flat' : undefined,
  );
  await openPlan(page, run.server.url, plan.id, 'measure');
  const found: string[] = [];
  for (const { path } of STATIONS) {
    await goTo(page, path);
    const pages = known.plans > 2 ? (known.pages[path] ??= new Set()) : new Set<string>();
    const pressed = (known.pressed[path] ??= new Set());
    const odd = [...(await wrong(page)), ...(await pressAll(page, pressed, undefined, pages))];
    for (const name of pages) (known.pages[path] ??= new Set()).add(name);
    found.push(...odd.map((words) => `${path}: ${words}`));
  }
  expect(found).toEqual([]);
  expect(complaints).toEqual([]);
  // What came of it can be opened again.
  await settled(page);
  await keptPlan(page, plan.id);
});
