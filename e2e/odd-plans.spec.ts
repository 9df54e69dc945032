import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { writePlan, type Plan } from '@firm-line/core/plan';
import { LAYOUTS } from '@firm-line/core/proposals/layouts';
import type { ElementHandle, Page } from 'puppeteer-core';
import { STATIONS } from '../app/src/stations/registry';
import { demo } from '../core/src/testing/demo-plans';
import { bare, ODD_PLANS, opened } from '../core/src/testing/odd-plans';
import { goTo, openPlan, watch, withBrowser } from './browser';
import { pressAll, wrong } from './press';

jest.setTimeout(240_000);
const run = withBrowser();
const folder = mkdtempSync(join(tmpdir(), 'firm-line-'));

/** Brings a plan in and opens it. */
async function bring(page: Page, plan: Plan): Promise<void> {
  const file = join(folder, `${plan.id}.firmline.json`);
  writeFileSync(file, writePlan(plan));
  await page.goto(run.server.url, { waitUntil: 'load' });
  await (
    (await page.waitForSelector('input[type=file]')) as ElementHandle<HTMLInputElement>
  ).uploadFile(file);
  await page.waitForSelector(`a[href^="/plan/${plan.id}"]`);
  await openPlan(page, run.server.url, plan.id, 'measure');
}

const plans: (readonly [string, Plan])[] = [
  ...ODD_PLANS,
  ['ports deleted', bare(demo('gannet'))],
  ['lines with an open end', opened(demo('gannet'))],
];
const isLayout = ({ name }: Plan): boolean => LAYOUTS.some((layout) => layout.name === name);
const pressedInLayouts: Record<string, Set<string>> = {};

test.each(plans.map(([name, plan], i) => [name, { ...plan, id: `odd-${i}`, name }] as const))(
  '%s is gone through at every station, sub-page and form',
  async (_, plan) => {
    // A layout like one that was gone through: with no WebGL, where the scene is but words.
    const isLike = isLayout(plan) && pressedInLayouts['route'] !== undefined;
    const { page, complaints } = await watch(
      run.browser,
      run.server.url,
      isLike ? 'flat' : undefined,
    );
    await bring(page, plan);
    const found: string[] = [];
    for (const { path } of STATIONS) {
      await goTo(page, path);
      // The layouts are much alike: what was pressed in one is not pressed in the next.
      const pressed =
        isLayout(plan) && !process.env['LONG_TESTS']
          ? (pressedInLayouts[path] ??= new Set())
          : new Set<string>();
      found.push(
        ...[...(await wrong(page)), ...(await pressAll(page, pressed))].map(
          (words) => `${path}: ${words}`,
        ),
      );
    }
    expect(found).toEqual([]);
    expect(complaints).toEqual([]);
    // What came of it can be opened again.
    await openPlan(page, run.server.url, plan.id, 'measure');
  },
);
