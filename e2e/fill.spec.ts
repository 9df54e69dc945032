import type { Page } from 'puppeteer-core';
import { editable, openPlan, settled, watch, withBrowser } from './browser';
import { clickOn, pressNamed, textOf, waitText } from './keyboard';

jest.setTimeout(240_000);
const run = withBrowser('spec');

const INSTRUCTION = '[data-test=instruction]';
/** Taps what goes on, until the instruction says something else. */
async function goOn(page: Page): Promise<void> {
  const was = await textOf(page, INSTRUCTION);
  await page.tap('[data-test=main]');
  await page.waitForFunction(
    (s, t) => document.querySelector(s)?.textContent?.replace(/\s+/g, ' ').trim() !== t,
    { polling: 50 },
    INSTRUCTION,
    was,
  );
}
const number = async (page: Page, test: string): Promise<number> =>
  Number(await textOf(page, `[data-test=${test}]`));
/** Everything before the first pump is said, then the run is begun. */
async function beginRun(page: Page): Promise<void> {
  await pressNamed(page, 'Run');
  await waitText(page, 'fl-run-page', 'Locked: ');
  for (let left = (await page.$$('[data-before][aria-pressed=false]')).length; left > 0; left--) {
    await clickOn(page, '[data-before][aria-pressed=false]');
    await page.waitForFunction(
      (n) => document.querySelectorAll('[data-before][aria-pressed=false]').length < n,
      { polling: 50 },
      left,
    );
  }
  await pressNamed(page, 'Start bleeding');
  await waitText(page, INSTRUCTION, 'Rear right: open');
}

test('a whole run by touch: locked, begun, reloaded, with no network, taken back, ended', async () => {
  const { page } = await watch(run.browser, run.server.url, 'kept');
  await page.setViewport({ width: 768, height: 1024, hasTouch: true });
  await openPlan(page, run.server.url, 'gannet', 'fill');
  await beginRun(page);
  await page.evaluate(() => navigator.serviceWorker.ready);
  await page.setOfflineMode(true);
  // Open, down, shut: a tap each.
  for (let i = 0; i < 6; i++) await goOn(page);
  expect(await number(page, 'through')).toBe(16);
  expect(await number(page, 'reservoir')).toBe(104);
  await goOn(page);
  const title = await textOf(page, INSTRUCTION);
  expect(title).toMatch(/pedal down, and hold/);
  await editable(page);
  await page.reload({ waitUntil: 'load' });
  await editable(page);
  await page.waitForSelector(INSTRUCTION);
  expect([await textOf(page, INSTRUCTION), await number(page, 'through')]).toEqual([title, 16]);
  // A mis-tap is taken back.
  await goOn(page);
  expect(await number(page, 'through')).toBe(24);
  await pressNamed(page, 'Undo');
  await waitText(page, INSTRUCTION, 'pedal down, and hold');
  expect(await number(page, 'through')).toBe(16);
  // What cannot be is refused in a sentence, and nothing is lost.
  await goOn(page);
  for (let i = 0; i < 40 && !(await textOf(page, INSTRUCTION)).startsWith('Top up'); i++)
    await goOn(page);
  expect(await textOf(page, INSTRUCTION)).toBe('Top up the reservoir');
  await goOn(page);
  expect(await number(page, 'reservoir')).toBe(120);
  for (let i = 0; i < 40 && (await number(page, 'through')) < 107; i++) await goOn(page);
  await pressNamed(page, 'Clear');
  await settled(page);
  for (let i = 0; i < 3 && !(await textOf(page, INSTRUCTION)).includes('runs clear'); i++)
    await goOn(page);
  await waitText(page, '[data-test=main]', 'Closed, next wheel');
  await goOn(page);
  await waitText(page, INSTRUCTION, 'Rear left: open');
  // The air that is left, by the simulation, which works with no network as well.
  await waitText(page, 'fl-run-where', 'of air left');
  await pressNamed(page, 'End the run here');
  await waitText(page, INSTRUCTION, 'All wheels done');
  await pressNamed(page, 'Soft');
  await waitText(page, '[data-test=soft]', 'Tie the pedal down overnight');
  await pressNamed(page, 'Plan');
  await waitText(page, 'fl-fill-plan-page', 'Last bleed');
  // 14 strokes of π/4·22.225²·40.5/2 = 7.86 mL.
  expect(await textOf(page, 'section[aria-label="Last bleed"]')).toMatch(
    /110 mL in \d+ min, then soft\. Rear right 110 mL, 14/,
  );
});

test('alone: the space bar goes on, and so does the whole screen', async () => {
  const { page, complaints } = await watch(run.browser, run.server.url, 'flat');
  await openPlan(page, run.server.url, 'gannet', 'fill');
  await beginRun(page);
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  await page.keyboard.press('Space');
  await waitText(page, INSTRUCTION, 'pedal down');
  await pressNamed(page, 'Tap anywhere to go on');
  await page.waitForSelector('[data-test=big]');
  await page.mouse.click(600, 500);
  await waitText(page, INSTRUCTION, 'close, then pedal up');
  await pressNamed(page, 'Back to the run page');
  await page.waitForFunction(() => !document.querySelector('[data-test=big]'));
  // Nobody can pause with the bleeder open.
  expect(
    await page.$eval('fl-run-page', (e) =>
      [...e.querySelectorAll('button')].map((b) => b.textContent!.trim()),
    ),
  ).not.toContain('Pause');
  expect(complaints).toEqual([]);
});

test('the plan: methods by people and tools, schools compared, tools on the list; a fluid of its own', async () => {
  const { page, complaints } = await watch(run.browser, run.server.url, 'flat');
  await openPlan(page, run.server.url, 'gannet', 'fill');
  await waitText(page, '[data-test=schools]', 'Nearest first');
  expect(await textOf(page, '[data-test=schools]')).toMatch(/Farthest first\d+/);
  expect(await textOf(page, '[data-method=pressure]')).toMatch(/pressure pot, cap adapter/);
  await clickOn(page, '[data-method=pressure]');
  await waitText(page, '[data-method=pressure]', 'chosen');
  await page.$$eval('fl-method-card button', (buttons) =>
    buttons.find((b) => b.textContent!.includes('Add missing tools'))!.click(),
  );
  await waitText(page, 'fl-method-card', 'All tools are here or on the list');
  await pressNamed(page, 'Fluids');
  const card = '[data-reservoir=master]';
  await page.select(`${card} #was-master`, 'dot-4');
  await page.select(`${card} #fluid-master`, 'dot-5');
  await waitText(page, `${card} [data-test=change]`, 'Replace every seal and rubber hose');
  await clickOn(page, 'header button[aria-label*="snag"], header button:last-of-type');
  await waitText(page, 'body', 'DOT 4 was used before, and DOT 5 silicone is to go in');
  expect(complaints).toEqual([]);
});

test('the drill: strokes at a corner, then judged beside the usual way', async () => {
  const { page, complaints } = await watch(run.browser, run.server.url, 'flat');
  await page.goto(`${run.server.url}/practice`, { waitUntil: 'load' });
  await page.waitForSelector('fl-practice-page fieldset button');
  await pressNamed(page, 'Bleed a vehicle');
  for (let i = 0; i < 3; i++) await pressNamed(page, 'Pedal down, close, pedal up');
  await waitText(page, '[data-test=drill-strokes]', '3');
  expect(await textOf(page, '[data-test=drill-out]')).toBe('Only air came out.');
  await pressNamed(page, 'Check the result');
  await waitText(page, '[data-test=drill-score]', 'Air is left');
  // And the third: a hidden fault, looks that cost minutes.
  await pressNamed(page, 'Find a fault');
  await page.$$eval('fl-fault-drill button', (all) => all[0]!.click());
  await waitText(page, '[data-test=fault-minutes]', '15 min');
  await pressNamed(page, 'Air in the fluid');
  await waitText(page, '[data-test=fault-result]', 'From the same checks, the fault finder ranks');
  expect(complaints).toEqual([]);
});
