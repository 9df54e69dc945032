import { openPlan, reload, settled, watch, withBrowser } from './browser';
import { pressNamed } from './keyboard';
import type { Page } from 'puppeteer-core';

jest.setTimeout(180_000);
const run = withBrowser('spec');
/** The scene's width and height, px. */
const scene = (page: Page): Promise<[number, number]> =>
  page.$eval('[data-test=space]', (canvas) => {
    const { width, height } = canvas.getBoundingClientRect();
    return [Math.round(width), Math.round(height)] as [number, number];
  });
const drawn = (page: Page): Promise<unknown> =>
  page.waitForFunction('Number(document.querySelector("[data-test=space]")?.dataset.calls) > 5', {
    timeout: 60_000,
  });

describe('room to look', () => {
  test.each([
    [1280, 800],
    [768, 1024],
  ])(
    'the scene takes what room there is, by key and by button, at %i x %i',
    async (width, height) => {
      const { page, complaints } = await watch(run.browser, run.server.url);
      await page.setViewport({ width, height });
      await openPlan(page, run.server.url, 'gannet', 'route');
      await drawn(page);
      const before = await scene(page);
      await page.keyboard.press('b');
      await page.waitForFunction(
        () => getComputedStyle(document.querySelector('aside')!).display === 'none',
      );
      const folded = await scene(page);
      if (width > 1024) expect(folded[0]).toBeGreaterThan(before[0] + 200);
      await page.keyboard.press('f');
      await page.waitForFunction(
        () => getComputedStyle(document.querySelector('header')!).display === 'none',
      );
      await new Promise((done) => setTimeout(done, 300));
      const full = await scene(page);
      expect(full[1]).toBeGreaterThan(folded[1] + 100);
      expect(full[0]).toBeGreaterThan(width - 120);
      await page.keyboard.press('v');
      await page.keyboard.press('Escape');
      await page.waitForFunction(
        () => getComputedStyle(document.querySelector('header')!).display !== 'none',
      );
      // It stays folded over a reload, and is opened again by its button.
      await reload(page);
      await settled(page);
      await drawn(page);
      await pressNamed(page, 'Panel');
      await page.waitForFunction(
        () => getComputedStyle(document.querySelector('aside')!).display !== 'none',
      );
      expect(
        await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth),
      ).toBe(0);
      expect(complaints).toEqual([]);
    },
  );

  test('no words of Plumb are drawn smaller than 12 px, and it is moved by keys and sized by buttons', async () => {
    const { page, complaints } = await watch(run.browser, run.server.url);
    for (const plan of ['gannet', 'wheatear', 'dunlin']) {
      await openPlan(page, run.server.url, plan, 'plumb');
      await page.waitForSelector('fl-circuit-drawing svg text');
      const least = await page.$$eval('fl-circuit-drawing svg text', (texts) =>
        Math.min(
          ...texts.map(
            (text) =>
              parseFloat(getComputedStyle(text).fontSize) *
              (text as SVGTextElement).getScreenCTM()!.a,
          ),
        ),
      );
      expect(least).toBeGreaterThan(11.99);
    }
    const at = () => page.$eval('[data-test=panned]', (group) => group.getAttribute('transform'));
    const first = await at();
    await page.$eval('fl-circuit-drawing svg', (svg) => (svg as SVGSVGElement).focus());
    await page.keyboard.press('ArrowLeft');
    await page.waitForFunction(
      (was) => document.querySelector('[data-test=panned]')!.getAttribute('transform') !== was,
      {},
      first,
    );
    await page.click('[aria-label="Zoom out"]');
    await page.waitForFunction(
      (was) =>
        !document.querySelector('[data-test=panned]')!.getAttribute('transform')!.endsWith(was),
      {},
      /scale.*/.exec(first!)![0],
    );
    await pressNamed(page, 'Fit to view');
    await page.waitForFunction(
      (was) => document.querySelector('[data-test=panned]')!.getAttribute('transform') === was,
      {},
      first,
    );
    expect(complaints).toEqual([]);
  });
});
