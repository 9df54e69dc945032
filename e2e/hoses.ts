import type { Page } from 'puppeteer-core';

/** From Route's lines to its hoses. */
export async function openHoses(page: Page): Promise<void> {
  await page.evaluate(() =>
    [...document.querySelectorAll<HTMLElement>('button')].find((b) => b.textContent!.trim().startsWith('Hoses'))!.click(),
  );
  await page.waitForSelector('[data-test=hose-cells] button');
}
