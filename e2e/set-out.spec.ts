import { SCREENS, STATIONS } from '../app/src/stations/registry';
import { VEHICLES } from '../core/src/proposals/set-out/index';
import { editable, goTo, reload, settled, watch, withBrowser } from './browser';
import { pressNamed, tabTo, textOf, waitText } from './keyboard';
import { wrong } from './press';
import type { Page } from 'puppeteer-core';

jest.setTimeout(300_000);
const run = withBrowser('spec');

/** Begins a new plan and waits until its lines are led. */
async function setOut(page: Page, vehicle: string): Promise<void> {
  await page.goto(`${run.server.url}/new`, { waitUntil: 'load' });
  await page.waitForSelector('[data-ask=vehicle]');
  await page.select('[data-ask=vehicle]', vehicle);
  await page.waitForFunction(
    () => document.querySelector('[data-test=sums]')?.textContent?.includes('clips'),
    { timeout: 60_000 },
  );
}
const keep = async (page: Page): Promise<void> => {
  await pressNamed(page, 'Set out the plan');
  await page.waitForFunction(() => /\/plan\/[^/]+\/measure/.test(location.href), {
    timeout: 30_000,
  });
  await editable(page);
};

describe('a plan set out from what is known', () => {
  test.each(VEHICLES)(
    '%s: set out with its defaults, and walked through every station with nothing unsafe',
    async (vehicle) => {
      // The first with its scene.
      const { page, complaints } = await watch(
        run.browser,
        run.server.url,
        vehicle === VEHICLES[0] ? undefined : 'flat',
      );
      await setOut(page, vehicle);
      await keep(page);
      // Every page of a pickup, a motorcycle and an aircraft; the others show what those do: there the stations do.
      const isLike = !['pickup', 'motorcycle', 'aircraft'].includes(vehicle);
      for (const { path } of isLike && !process.env['LONG_TESTS'] ? STATIONS : SCREENS) {
        await goTo(page, path);
        expect([path, await wrong(page)]).toEqual([path, []]);
      }
      await page.click('[data-test=snags]');
      await page.waitForSelector('dialog[open]');
      expect(
        await page.$$eval('dialog[open] [aria-label=Stop]', (rows) =>
          rows.map((row) => row.textContent),
        ),
      ).toEqual([]);
      expect(complaints).toEqual([]);
    },
  );

  test('from nothing to the first bend card in no more than 25 answers and 60 taps', async () => {
    const { page, complaints } = await watch(run.browser, run.server.url, 'flat');
    let [answers, taps] = [0, 0];
    const tap = async (selector: string): Promise<void> => {
      taps++;
      await page.click(selector);
    };
    const say = async (ask: string, text: string): Promise<void> => {
      answers++;
      taps += 1;
      await page.click(`[data-ask=${ask}]`, { count: 3 });
      await page.keyboard.type(text);
      await page.keyboard.press('Tab');
    };
    const choose = async (ask: string, value: string): Promise<void> => {
      answers++;
      // One tap opens the list, one chooses.
      taps += 2;
      await page.select(`[data-ask=${ask}]`, value);
    };
    await page.goto(run.server.url, { waitUntil: 'load' });
    await page.waitForSelector('header .btn-main');
    await tap('header .btn-main');
    await page.waitForSelector('[data-ask=vehicle]');
    await choose('vehicle', 'van');
    await say('wheelbaseMm', `8'8"`);
    await say('frontTrackMm', '1470');
    await say('rearTrackMm', '1490');
    await say('tyre', '205/65 R16');
    await choose('use', 'hills');
    await say('emptyKg', '1450');
    await say('ladenKg', '1900');
    await say('topKmh', '75 mph');
    await say('railsOverMm', '870');
    await say('railHeightMm', '4 in');
    await say('railUnderMm', '430');
    await choose('section', 'box');
    await choose('kickUp', 'rear');
    await choose('front', 'sliding');
    await choose('rear', 'drum');
    await choose('masterAt', 'bulkhead-left');
    await choose('exhaust', 'right');
    // What was typed stands as it was typed.
    expect(
      await page.$eval('[data-ask=wheelbaseMm]', (field) => (field as HTMLInputElement).value),
    ).toBe(`8'8"`);
    await page.waitForFunction(
      () => document.querySelector('[data-test=sums]')?.textContent?.includes('clips'),
      { timeout: 60_000 },
    );
    await tap('footer .btn-main');
    await page.waitForFunction(() => location.href.includes('/measure'), { timeout: 30_000 });
    await editable(page);
    await tap('fl-station-nav a[href$="/make"]');
    await page.waitForSelector('[data-test=cut]');
    expect(Number((await textOf(page, '[data-test=cut]')).replace(/\D/g, ''))).toBeGreaterThan(100);
    expect(answers).toBeLessThanOrEqual(25);
    expect(taps).toBeLessThanOrEqual(60);
    expect(complaints).toEqual([]);
  });

  test('wrong answers are said and change nothing, a reload keeps what was said, another vehicle keeps it too', async () => {
    const { page } = await watch(run.browser, run.server.url, 'flat');
    await page.goto(`${run.server.url}/new`, { waitUntil: 'load' });
    await page.waitForSelector('[data-ask=tyre]');
    const type = async (ask: string, text: string): Promise<void> => {
      await page.click(`[data-ask=${ask}]`, { count: 3 });
      await page.keyboard.type(text);
      await page.keyboard.press('Tab');
    };
    await type('tyre', 'round');
    await waitText(page, 'footer', '“round” is not a known tire size');
    await type('railsOverMm', '5 m');
    await waitText(page, 'footer', 'Width over rails of 5000 mm is outside');
    await type('emptyKg', '1234');
    await page.waitForFunction(() => !document.querySelector('footer .fault'));
    await page.reload({ waitUntil: 'load' });
    await page.waitForSelector('[data-ask=emptyKg]');
    const value = (ask: string) =>
      page.$eval(`[data-ask=${ask}]`, (field) => (field as HTMLInputElement).value);
    expect([await value('emptyKg'), await value('tyre'), await value('railsOverMm')]).toEqual([
      '1234',
      '205/65 R16',
      '860',
    ]);
    await page.select('[data-ask=vehicle]', 'pickup');
    await page.waitForFunction(
      () =>
        (document.querySelector('[data-ask=wheelbaseMm]') as HTMLInputElement | null)?.value ===
        '3100',
    );
    expect(await value('emptyKg')).toBe('1234');
  });

  test('by keyboard alone: set out, and a place of the list taped; the list and its line follow', async () => {
    const { page, complaints } = await watch(run.browser, run.server.url, 'flat');
    await setOut(page, 'van');
    await tabTo(page, 'footer .btn-main');
    await page.keyboard.press('Enter');
    await page.waitForFunction(() => location.href.includes('/measure'), { timeout: 30_000 });
    await editable(page);
    await page.waitForSelector('ol[aria-label="Places worth measuring"] button', {
      timeout: 30_000,
    });
    const places = () =>
      page.$$eval('ol[aria-label="Places worth measuring"] li', (rows) =>
        rows.map((row) => row.textContent!.trim()),
      );
    const before = await places();
    expect(before.length).toBeGreaterThan(5);
    await tabTo(page, 'ol[aria-label="Places worth measuring"] button');
    await page.keyboard.press('Enter');
    await page.waitForSelector('fl-tape-helper .btn');
    await tabTo(page, 'fl-tape-helper .btn');
    await page.keyboard.press('Enter');
    const name = await textOf(page, 'fl-place-detail h2');
    for (let i = 0; i < 3; i++) {
      await tabTo(page, 'fl-tape-table fl-text-input input[placeholder="not measured"]', 500);
      // As long as it is thought to be: the tapes then meet where the guess was.
      await page.keyboard.type(['700', '900', '800'][i]!);
      await page.keyboard.press('Tab');
      await settled(page);
    }
    expect(
      await page.$$eval(
        'fl-tape-table fl-text-input input[placeholder="not measured"]',
        (list) => list.length,
      ),
    ).toBe(0);
    expect(await textOf(page, 'fl-place-detail h2')).toBe(name);
    expect(complaints).toEqual([]);
  });
});

describe('light and dark', () => {
  test('the system’s wish is followed until one is chosen, which is kept', async () => {
    const { page } = await watch(run.browser, run.server.url, 'flat');
    const paper = () => page.evaluate(() => getComputedStyle(document.body).backgroundColor);
    await page.emulateMediaFeatures([{ name: 'prefers-color-scheme', value: 'dark' }]);
    await page.goto(`${run.server.url}/plan/gannet/plumb`, { waitUntil: 'load' });
    await editable(page);
    const dark = await paper();
    await page.keyboard.press('?');
    await page.waitForSelector('dialog[open] fl-toggle');
    await pressNamed(page, 'light');
    const light = await paper();
    expect(light).not.toBe(dark);
    await reload(page);
    await editable(page);
    expect(await paper()).toBe(light);
  });
});
