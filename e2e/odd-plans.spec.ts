import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { writePlan, type Plan } from '@firm-line/core/plan';
import { LAYOUTS } from '@firm-line/core/proposals/layouts';
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

const plans = [
  ...ODD_PLANS,
  ['ports deleted', bare(demo('gannet'))] as const,
  ['lines with an open end', opened(demo('gannet'))] as const,
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

const isLayout = ({ name }: Plan): boolean => LAYOUTS.some((layout) => layout.name === name);
const isLong = process.env['LONG_TESTS'] !== undefined;
const pressedInLayouts: Record<string, Set<string>> = {};
/** Size shows the same of every plan that has no figures yet, and of the two that have the same ones. */
const pressedInSize = { begun: new Set<string>(), fresh: new Set<string>() };

/** What was pressed before at a station and is as it was there: it is not pressed again but in a long run. */
function pressedBefore(plan: Plan, path: string): Set<string> {
  if (isLong) return new Set();
  if (path === 'size') return plan.sizing ? pressedInSize.begun : pressedInSize.fresh;
  // The layouts are much alike.
  return isLayout(plan) ? (pressedInLayouts[path] ??= new Set()) : new Set();
}

test.each(plans)('%s is gone through at every station, sub-page and form', async (_, plan) => {
  // A layout like one that was gone through: with no WebGL, where the scene is but words.
  const isLike = isLayout(plan) && pressedInLayouts['route'] !== undefined;
  const { page, complaints } = await watch(
    run.browser,
    run.server.url,
    isLike ? 'flat' : undefined,
  );
  await openPlan(page, run.server.url, plan.id, 'measure');
  const found: string[] = [];
  for (const { path } of STATIONS) {
    await goTo(page, path);
    found.push(
      ...[...(await wrong(page)), ...(await pressAll(page, pressedBefore(plan, path)))].map(
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
