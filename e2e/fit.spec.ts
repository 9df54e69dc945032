import { goTo, openPlan, reload, settled, watch, withBrowser } from './browser';
import { pressNamed, textOf, waitText } from './keyboard';
import type { Page } from 'puppeteer-core';

jest.setTimeout(240_000);
const run = withBrowser();

/** Taps as a finger does. */
const tap = async (page: Page, selector: string): Promise<void> => {
  await page.waitForSelector(`${selector}:enabled`);
  await page.$eval(selector, (button) => button.scrollIntoView({ block: 'center' }));
  await page.tap(selector);
  await settled(page);
};
const done = (page: Page): Promise<void> => tap(page, 'fl-task-detail .btn-main');

test('a session on a tablet: tasks done by touch, a reload in the middle, something held for now and closed, a part that came wrong', async () => {
  const { page, complaints } = await watch(run.browser, run.server.url, 'flat');
  await page.setViewport({ width: 768, height: 1024, hasTouch: true, isMobile: true });
  await openPlan(page, run.server.url, 'gannet', 'fit');
  await waitText(page, '[data-test=session]', 'Next 7 tasks take 100 minutes');
  // What waits says for what; it cannot be told done.
  await tap(page, '[data-task="part:master"]');
  await waitText(page, '[data-test=waits]', 'After: Lift onto stands');
  expect(
    await page.$eval(
      'fl-task-detail .btn-main',
      (button) => (button as HTMLButtonElement).disabled,
    ),
  ).toBe(true);
  await tap(page, '[data-task="safety:stands"]');
  for (let i = 0; i < 4; i++) await done(page);
  await waitText(page, '[data-test=session]', '4 of 110 done');
  await reload(page);
  await settled(page);
  await waitText(page, '[data-test=session]', '4 of 110 done');
  await tap(page, '[data-task="part:master"]');
  await done(page);
  await waitText(page, '[data-test=session]', '5 of 110 done');

  // Held for now, a snag until it is closed.
  await page.type('#held-what', 'Rear left hose');
  await pressNamed(page, 'Add temporary fix');
  await waitText(page, '[data-test=held]', 'on a zip tie since');
  await page.waitForFunction(() =>
    document.querySelector('[data-test=snags]')!.textContent!.includes('27'),
  );
  await tap(page, '[aria-label="Close: Rear left hose"]');
  await page.waitForFunction(() => !document.querySelector('[data-test=held]'));
  await page.waitForFunction(() =>
    document.querySelector('[data-test=snags]')!.textContent!.includes('26'),
  );

  // A part that came wrong holds up what needs it, by its own name.
  await page.evaluate(() =>
    (document.querySelector('fl-station-nav a[href*="/make"]') as HTMLElement).click(),
  );
  await page.waitForSelector('fl-make-station fl-page-nav a');
  await page.evaluate(() =>
    [...document.querySelectorAll<HTMLElement>('fl-page-nav a')]
      .find((b) => b.textContent!.trim() === 'List')!
      .click(),
  );
  await page.waitForSelector('fl-list-page');
  await pressNamed(page, 'M10x1 nut');
  await page.waitForSelector('[id="state-nut:M10x1-bubble"]');
  await page.select('[id="state-nut:M10x1-bubble"]', 'wrong');
  await settled(page);
  await page.evaluate(() =>
    (document.querySelector('fl-station-nav a[href*="/fit"]') as HTMLElement).click(),
  );
  await page.waitForSelector('fl-fit-station [data-test=session]');

  expect(await textOf(page, '[data-test=snags]')).toContain('27');

  // An edit that would undo done work is asked about before it is made.
  await goTo(page, 'plumb');
  await page.waitForSelector('[data-part=master]');
  await page.$eval('[data-part=master]', (part) =>
    part.dispatchEvent(new MouseEvent('click', { bubbles: true })),
  );
  const remove = async (): Promise<void> => {
    await page.waitForSelector('fl-part-panel');
    await pressNamed(page, 'Delete');
    await waitText(page, '[data-test=undoes]', 'Fit Tandem master');
  };
  await remove();
  await pressNamed(page, 'Cancel');
  await page.waitForFunction(() => !document.querySelector('[data-test=undoes]'));
  expect(await page.$('[data-part=master]')).not.toBeNull();
  await remove();
  await pressNamed(page, 'Make the change');
  await page.waitForFunction(() => !document.querySelector('[data-part=master]'));
  expect(complaints).toEqual([]);
});
