import type { Page } from 'puppeteer-core';
import { pressNamed } from './keyboard';

/** From the single-seater's lines to its five hoses. */
export async function openHoses(page: Page): Promise<void> {
  await pressNamed(page, 'Hoses (5)');
  await page.waitForSelector('[data-test=hose-cells] button');
}
