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
type Pressed = Record<string, Set<string>>;
/** Plans with lines are much alike, and so are those with next to nothing: what was pressed at a station of one is not again in the next, but in a long run. Their pages are all gone to. */
const alike: Readonly<Record<'lines' | 'bare', Pressed>> = { lines: {}, bare: {} };
const pressedBefore = ({ lines, parts }: Plan): Pressed =>
  isLong ? {} : alike[lines.length || parts.length > 1 ? 'lines' : 'bare'];

test.each(plans)('%s is gone through at every station, sub-page and form', async (_, plan) => {
  const pressed = pressedBefore(plan);
  // One like a plan that was gone through: with no WebGL, where the scene is but words.
  const { page, complaints } = await watch(
    run.browser,
    run.server.url,
    'route' in pressed ? 'flat' : undefined,
  );
  await openPlan(page, run.server.url, plan.id, 'measure');
  const found: string[] = [];
  for (const { path } of STATIONS) {
    await goTo(page, path);
    found.push(
      ...[...(await wrong(page)), ...(await pressAll(page, (pressed[path] ??= new Set())))].map(
        (words) => `${path}: ${words}`,
      ),
    );
  }
  expect(found).toEqual([]);
  expect(complaints).toEqual([]);
  // What came of it can be opened again.
  await settled(page);
  await keptPlan(page, plan.id);
});
