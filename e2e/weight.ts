import { readdirSync, readFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';
import type { Page } from 'puppeteer-core';
import { ROOT } from './browser';

const FOLDER = `${ROOT}/app/dist/app/browser`;
/** All scripts and styles of the built app as they come over the wire, but what keeps it for no network; kB of 1000 bytes. */
export const kilobytesInAll = (): number =>
  readdirSync(FOLDER)
    .filter((file) => /^(?!ngsw|safety).*\.(js|css)$/.test(file))
    .reduce((sum, file) => sum + gzipSync(readFileSync(`${FOLDER}/${file}`)).length / 1000, 0);

/** Scripts and styles that were here, as they came over the wire, when a selector was first on screen; kB of 1000 bytes. */
export async function kilobytesBefore(page: Page, url: string, selector: string): Promise<number> {
  await page.evaluateOnNewDocument((wanted) => {
    const look = new MutationObserver(() => {
      if (!document.querySelector(wanted)) return;
      look.disconnect();
      requestAnimationFrame(() => performance.mark('painted'));
    });
    look.observe(document, { childList: true, subtree: true });
  }, selector);
  await page.goto(url, { waitUntil: 'load' });
  await page.waitForFunction(() => performance.getEntriesByName('painted').length > 0);
  return page.evaluate(() => {
    const { startTime: painted } = performance.getEntriesByName('painted')[0]!;
    const entries = performance.getEntriesByType('resource') as PerformanceResourceTiming[];
    return entries
      .filter(({ name, responseEnd }) => /\.(js|css)$/.test(name) && responseEnd <= painted)
      .reduce((sum, { encodedBodySize }) => sum + encodedBodySize / 1000, 0);
  });
}
