import type { Page } from 'puppeteer-core';
import { watch, withBrowser } from './browser';

jest.setTimeout(120_000);
const run = withBrowser();

/** Scripts and styles that were here, as they came over the wire, when a selector was first on screen; kB of 1000 bytes. */
async function kilobytesBefore(page: Page, path: string, selector: string): Promise<number> {
  await page.evaluateOnNewDocument((wanted) => {
    const look = new MutationObserver(() => {
      if (!document.querySelector(wanted)) return;
      look.disconnect();
      requestAnimationFrame(() => performance.mark('painted'));
    });
    look.observe(document, { childList: true, subtree: true });
  }, selector);
  await page.goto(`${run.server.url}${path}`, { waitUntil: 'load' });
  await page.waitForFunction(() => performance.getEntriesByName('painted').length > 0);
  return page.evaluate(() => {
    const { startTime: painted } = performance.getEntriesByName('painted')[0]!;
    const entries = performance.getEntriesByType('resource') as PerformanceResourceTiming[];
    return entries
      .filter(({ name, responseEnd }) => /\.(js|css)$/.test(name) && responseEnd <= painted)
      .reduce((sum, { encodedBodySize }) => sum + encodedBodySize / 1000, 0);
  });
}

describe('what is loaded before something is seen', () => {
  test('the list of plans: neither the validator, nor the rules, nor the simulation', async () => {
    const { page } = await watch(run.browser, run.server.url);
    const sum = await kilobytesBefore(page, '/', 'fl-plans-page h1');
    expect(sum).toBeGreaterThan(50);
    expect(sum).toBeLessThan(130);
  });
  test('an open plan, until its strip is there', async () => {
    const { page } = await watch(run.browser, run.server.url);
    const sum = await kilobytesBefore(page, '/plan/gannet/route', 'fl-strip svg');
    expect(sum).toBeGreaterThan(100);
    expect(sum).toBeLessThan(230);
  });
});
