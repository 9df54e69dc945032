import { openPlan, settled, watch, withBrowser } from './browser';
import { clickOn, textOf, waitText } from './keyboard';

jest.setTimeout(120_000);
const run = withBrowser();

describe('Join in the browser', () => {
  test('a joint that binds is measured, seen through, mended and kept; wrong input is asked about', async () => {
    const { page, complaints } = await watch(run.browser, run.server.url, 'flat');
    await openPlan(page, run.server.url, 'gannet', 'join');
    await page.click('[data-joint="line-r1-a"]');
    await waitText(page, '[data-test=verdict]', 'Binds');
    expect(await textOf(page, '[data-test=drawing-words]')).toMatch(/stops 3\.2 mm short/);

    // The simulated vernier types its readings until they hold still.
    await page.select('[aria-label="Piece in the simulated vernier"]', 'g');
    await page.evaluate(() =>
      [...document.querySelectorAll('button')]
        .find((b) => b.textContent!.trim() === 'Read the vernier')!
        .click(),
    );
    await page.waitForFunction(() =>
      /^9\.0[234]$/.test(document.querySelector<HTMLInputElement>('fl-gauge input')!.value),
    );
    await page.type('fl-gauge input[placeholder]', '1.0');
    await page.keyboard.press('Tab');
    await waitText(page, 'fl-gauge ul', 'M10x1');

    await page.type('#joint-torque', '168 N');
    await page.keyboard.press('Tab');
    await waitText(page, 'fl-joint-work-form .fault', 'Newtons are a force');

    await page.evaluate(() =>
      [...document.querySelectorAll<HTMLElement>('[aria-label="Ends that seal here"] button')]
        .find((b) => b.textContent!.trim() === 'Use')!
        .click(),
    );
    await waitText(page, '[data-test=verdict]', 'Seals');
    await settled(page);
    await page.reload({ waitUntil: 'load' });
    // What is clicked may be drawn again until the plan is open.
    await settled(page);
    await clickOn(page, '[data-joint="line-r1-a"]');
    await waitText(page, '[data-test=verdict]', 'Seals');
    expect(complaints).toEqual([]);
  });

  test('practice is reached from Join, answers and goes on', async () => {
    const { page, complaints } = await watch(run.browser, run.server.url, 'flat');
    await openPlan(page, run.server.url, 'gannet', 'join');
    await page.click('a[href="/practice"]');
    await page.waitForSelector('fl-practice-page fieldset button');
    for (const n of [1, 2]) await page.click(`fl-practice-page fieldset:nth-of-type(${n}) button`);
    await page.click('fl-practice-page .btn-main');
    await page.waitForSelector('[data-test=result]');
    expect(await textOf(page, '[data-test=score]')).toMatch(/^[012] of 2 right$/);
    expect(complaints).toEqual([]);
  });
});
