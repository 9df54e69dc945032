import type { Page } from 'puppeteer-core';
import { launch, serve, watch } from '../e2e/browser.ts';

/** Serves the built app, opens a page of a browser of its own, and ends both whatever comes. */
export async function inBrowser(
  measure: (page: Page, url: string) => Promise<void>,
): Promise<void> {
  const server = await serve();
  const browser = await launch();
  try {
    await measure((await watch(browser, server.url)).page, server.url);
  } finally {
    await browser.close();
    await server.stop();
  }
}

/** In a page: the time at which what was just done has been painted. */
export const PAINTED = `new Promise((done) =>
  requestAnimationFrame(() => {
    const channel = new MessageChannel();
    channel.port1.onmessage = () => done(performance.now());
    channel.port2.postMessage(0);
  }),
)`;
