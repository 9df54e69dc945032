import type { Page } from 'puppeteer-core';
import { pressNamed } from './keyboard';

/** From the single-seater's lines to its five hoses; the address may have led to one of them already. */
export async function openHoses(page: Page): Promise<void> {
  if (!(await page.$('fl-hoses-page'))) await pressNamed(page, 'Hoses (5)');
  await page.waitForSelector('[data-test=hose-cells] button');
}
