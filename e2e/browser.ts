import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import puppeteer, { type Browser, type Page } from 'puppeteer-core';

export const ROOT = process.cwd();

export interface Served {
  readonly url: string;
  readonly stop: () => Promise<void>;
}

/** The built app on a port of its own. */
export function serve(): Promise<Served> {
  const child: ChildProcess = spawn(process.execPath, ['server/dist/main.js'], {
    cwd: ROOT,
    env: { ...process.env, PORT: '0' },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const stop = (): Promise<void> =>
    new Promise((done) => {
      if (child.exitCode !== null || child.signalCode !== null) return done();
      child.once('exit', () => done());
      child.kill();
    });
  return new Promise((ready, failed) => {
    child.once('exit', (code) => failed(new Error(`The server ended with ${code}.`)));
    child.stdout!.on('data', (data: Buffer) => {
      const url = /http:\/\/[^/\s]+/.exec(data.toString())?.[0];
      if (url) ready({ url, stop });
    });
  });
}

export const launch = (): Promise<Browser> =>
  puppeteer.launch({
    executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
    headless: true,
    userDataDir: mkdtempSync(join(tmpdir(), 'firm-line-chrome-')),
    defaultViewport: { width: 1280, height: 800 },
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      '--hide-scrollbars',
      '--force-color-profile=srgb',
      '--lang=en-GB',
    ],
  });

export interface Watched {
  readonly page: Page;
  /** Errors of the console and the page, and requests that left the page's own origin. */
  readonly complaints: string[];
}

/**
 * A page that keeps book of whatever should not happen. What must open with no network is `kept`: else no service worker
 * fetches all of the app behind what is looked at. One that is `flat` has no WebGL.
 */
export async function watch(
  browser: Browser,
  url: string,
  kind?: 'kept' | 'flat',
): Promise<Watched> {
  const page = await browser.newPage();
  if (kind !== 'kept') await page.evaluateOnNewDocument('delete Navigator.prototype.serviceWorker');
  if (kind === 'flat') await page.evaluateOnNewDocument('delete window.WebGL2RenderingContext');
  // A machine with other work is slow; what never comes fails all the same.
  page.setDefaultTimeout(90_000);
  const complaints: string[] = [];
  page.on('console', (message) => {
    if (message.type() === 'error')
      complaints.push(`console: ${message.text()} ${message.location().url ?? ''}`);
  });
  page.on('pageerror', (error) => complaints.push(`page: ${(error as Error).message}`));
  // A plan that is not saved asks before it is left: nobody would answer.
  page.on('dialog', (dialog) => {
    complaints.push(`dialog: ${dialog.type()} ${dialog.message()}`);
    void dialog.accept();
  });
  page.on('request', (request) => {
    const address = request.url();
    if (!address.startsWith(url) && !/^(data|blob|about):/.test(address))
      complaints.push(`request to ${address}`);
  });
  return { page, complaints };
}

/** Opens a plan at a station and waits until it can be edited, is saved and its snags are known. */
export async function openPlan(
  page: Page,
  url: string,
  plan = 'gannet',
  station = 'route',
): Promise<void> {
  await page.goto(`${url}/plan/${plan}/${station}`, { waitUntil: 'load' });
  await settled(page);
}

/**
 * Goes to another station (`fit`) or a page of one (`fit/wheels`) by its links, as a hand does, and waits until it is
 * there. A station that has nothing to show yet has no links to pages: then the station itself is gone to.
 */
export async function goTo(page: Page, screen: string): Promise<void> {
  const [station, own] = screen.split('/') as [string, string?];
  await arrive(page, `fl-station-nav a[href*="/${station}"]`, `/${station}`);
  const link = `fl-page-nav a[href*="/${screen}"]`;
  if (own && (await page.$(link))) await arrive(page, link, `/${screen}`);
  await settled(page);
}
async function arrive(page: Page, link: string, address: string): Promise<void> {
  await page.click(link);
  await page.waitForFunction(
    (at) => `${location.pathname}/`.includes(`${at}/`) && document.querySelector('main h1'),
    { polling: 100 },
    address,
  );
}

export async function settled(page: Page): Promise<void> {
  await editable(page);
  await page.waitForFunction(
    () => document.querySelector('[data-test=snags]')?.textContent?.trim() !== 'Snags…',
    {
      polling: 100,
    },
  );
}

/** Waits until the plan can be edited, is saved and stands in its own letters: till then what is to be clicked may move. */
export async function editable(page: Page): Promise<void> {
  await page.waitForFunction(
    () =>
      document.querySelector('main h1') &&
      !document.querySelector('main[inert]') &&
      document.fonts.status === 'loaded' &&
      document.querySelector('[data-test=saved]')?.textContent === 'saved',
    { polling: 100 },
  );
}

/** Loads the page anew once its plan is saved. */
export async function reload(page: Page): Promise<void> {
  await editable(page);
  await page.reload({ waitUntil: 'load' });
}

/** Serves the built app to the specs of a file, and starts a browser for all of them or for each; both are to be had while a spec runs. */
export function withBrowser(each: 'file' | 'spec' = 'file'): {
  readonly server: Served;
  readonly browser: Browser;
} {
  const held = {} as { server: Served; browser: Browser };
  const [before, after] = each === 'file' ? [beforeAll, afterAll] : [beforeEach, afterEach];
  beforeAll(async () => {
    held.server = await serve();
  });
  before(async () => {
    held.browser = await launch();
  });
  // A page that a failed spec left open would hold its plan against the next.
  if (each === 'file')
    afterEach(async () => {
      for (const page of (await held.browser.pages()).slice(1)) await page.close();
    });
  after(async () => {
    await held.browser?.close();
  });
  afterAll(async () => {
    await held.server?.stop();
  });
  return held;
}

/** Where a handle of the scene lies on the page, px: a corner of the chosen line by its order, or a hose's bracket. */
export async function handleAt(page: Page, index: number): Promise<{ x: number; y: number }> {
  await page.waitForFunction(
    (i) =>
      document
        .querySelector<HTMLElement>('[data-test=space]')
        ?.dataset['handles']?.split(' ')
        [i]?.includes(','),
    { timeout: 60_000 },
    index,
  );
  return page.$eval(
    '[data-test=space]',
    (canvas, i) => {
      const { x, y } = canvas.getBoundingClientRect();
      const [left, top] = (canvas as HTMLElement).dataset['handles']!.split(' ')
        [i]!.split(',')
        .map(Number);
      return { x: x + left!, y: y + top! };
    },
    index,
  );
}
