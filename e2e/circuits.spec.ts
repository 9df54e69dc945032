import type { Page } from 'puppeteer-core';
import { openPlan, reload, settled, watch, withBrowser } from './browser';
import { pressNamed, textOf, waitText } from './keyboard';

jest.setTimeout(180_000);
const run = withBrowser();

/** A new empty plan, opened at Plumb. */
async function fresh(page: Page): Promise<void> {
  await page.goto(run.server.url, { waitUntil: 'load' });
  await page.waitForSelector('header .btn-main');
  await page.click('header .btn-main');
  await page.waitForSelector('fl-set-out-page');
  await pressNamed(page, 'Start empty');
  await page.waitForSelector('fl-place-list');
  await settled(page);
  await page.click('fl-station-nav a[href$="/plumb"]');
  await page.waitForSelector('[aria-label=Layout]');
}

describe('Plumb and Size in the browser', () => {
  test('a layout becomes a drawing that is still there after a reload, with every guess a listed open point', async () => {
    const { page, complaints } = await watch(run.browser, run.server.url, 'flat');
    await fresh(page);
    await waitText(page, 'fl-plumb-station', 'No parts yet');
    const layout = await page.$eval(
      '[aria-label=Layout]',
      (select) =>
        [...(select as HTMLSelectElement).options].find((option) =>
          option.text.includes('Diagonal'),
        )!.value,
    );
    await page.select('[aria-label=Layout]', layout);
    await pressNamed(page, 'Add layout');
    await page.waitForSelector('fl-circuit-drawing svg text');
    // A part says how many notes it has: only once they are counted.
    await settled(page);
    const names = await textOf(page, 'fl-circuit-drawing');
    for (const name of ['Front left', 'Rear right', 'Tandem master']) expect(names).toContain(name);
    for (const line of ['F1', 'F2', 'F3', 'S1', 'S2', 'S3']) expect(names).toContain(line);
    await page.keyboard.press('s');
    await page.waitForSelector('fl-snag-drawer dialog[open]');
    expect(await textOf(page, 'fl-snag-drawer')).toMatch(/12 positions are estimates/);
    await page.keyboard.press('Escape');
    await reload(page);
    await settled(page);
    await page.waitForSelector('fl-circuit-drawing svg text');
    expect(await textOf(page, 'fl-circuit-drawing')).toBe(names);
    expect(complaints).toEqual([]);
  });

  test('Size begins with guesses; a wrong figure is refused in place, a right one moves the chain, and undo takes it back', async () => {
    const { page, complaints } = await watch(run.browser, run.server.url, 'flat');
    await fresh(page);
    await page.click('fl-station-nav a[href$="/size"]');
    await page.waitForSelector('#begin-category');
    await page.select('#begin-category', 'light');
    await pressNamed(page, 'Start with estimates');
    await page.waitForSelector('[data-step=Master]');
    await waitText(page, 'fl-size-station', 'still estimated');
    const master = await textOf(page, '[data-step=Master]');
    const foot = await page.evaluateHandle(() =>
      [...document.querySelectorAll('fl-text-input')]
        .find((f) => f.textContent!.includes('Foot, N'))!
        .querySelector('input')!,
    );
    const type = async (text: string): Promise<void> => {
      await foot.evaluate((input) => input.select());
      await foot.type(text);
      await page.keyboard.press('Tab');
    };
    await type('-20');
    await waitText(page, 'fl-size-station .fault', '-20 cannot be used: must be 1 or more');
    expect(await textOf(page, '[data-step=Master]')).toBe(master);
    await type('250');
    await page.waitForFunction(
      (before) => document.querySelector('[data-step=Master]')!.textContent!.trim() !== before,
      {},
      master,
    );
    await settled(page);
    await reload(page);
    await settled(page);
    await page.waitForSelector('[data-step=Foot]');
    expect(await textOf(page, '[data-step=Foot]')).toContain('250 N');
    expect(complaints).toEqual([]);
  });

  test('the slider from empty to laden moves what is drawn, and the clutch and parking brake have their own page', async () => {
    const { page, complaints } = await watch(run.browser, run.server.url, 'flat');
    await openPlan(page, run.server.url, 'gannet', 'size');
    await page.waitForSelector('fl-load-slider input');
    const road = await textOf(page, '[data-step=Road]');
    await page.$eval('fl-load-slider input', (input) => {
      (input as HTMLInputElement).value = (input as HTMLInputElement).max;
      input.dispatchEvent(new Event('input', { bubbles: true }));
    });
    await page.waitForFunction(
      (before) => document.querySelector('[data-step=Road]')!.textContent!.trim() !== before,
      {},
      road,
    );
    for (const [name, step] of [
      ['Clutch', 'Bearing'],
      ['Parking brake', 'Hand'],
    ] as const) {
      await pressNamed(page, name);
      await page.waitForSelector(`[data-step="${step}"]`);
    }
    await reload(page);
    await page.waitForSelector('fl-load-slider input');
    await page.waitForSelector('fl-line-chart canvas');
    // Balance, grip, repeated brakings, a hill and the fluid behind the pads, all drawn at one moment: one that is resized is blank for a frame.
    await page.waitForFunction(() => {
      const all = [...document.querySelectorAll<HTMLCanvasElement>('fl-line-chart canvas')];
      const drawn = (c: HTMLCanvasElement): number =>
        c.width && c.height
          ? c
              .getContext('2d')!
              .getImageData(0, 0, c.width, c.height)
              .data.filter((v, i) => i % 4 === 3 && v > 0).length
          : 0;
      return all.length === 5 && all.every((c) => drawn(c) > 2000);
    });
    expect(complaints).toEqual([]);
  });
});
