import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser, ElementHandle, Page } from 'puppeteer-core';
import { goTo, openPlan, settled } from '../e2e/browser.ts';
import { pressNamed } from '../e2e/keyboard.ts';
import { seeded } from '../core/src/lib/random/index.ts';

const MB = 1e6;

/** Pictures as a camera gives them, 4000 by 3000, no two alike, as files in a folder. */
async function takePictures(
  browser: Browser,
  url: string,
  folder: string,
  count: number,
): Promise<string[]> {
  const page = await browser.newPage();
  await page.evaluateOnNewDocument('globalThis.__name = (named) => named');
  await page.goto(url, { waitUntil: 'load' });
  await page.evaluate(() => {
    const canvas = Object.assign(document.createElement('canvas'), { width: 4000, height: 3000 });
    const pen = canvas.getContext('2d')!;
    const tile = pen.createImageData(500, 500);
    for (let i = 0; i < tile.data.length; i++)
      tile.data[i] = i % 4 === 3 ? 255 : Math.floor(Math.random() * 90) + 80;
    for (let x = 0; x < 4000; x += 500)
      for (let y = 0; y < 3000; y += 500) pen.putImageData(tile, x, y);
    Object.assign(window, {
      picture: (i: number) =>
        new Promise<string>((done) => {
          pen.fillStyle = `hsl(${(i * 37) % 360} 60% 50%)`;
          pen.fillRect((i * 311) % 3500, (i * 173) % 2500, 500, 500);
          const url = canvas.toDataURL('image/jpeg', 0.85);
          done(url.slice(url.indexOf(',') + 1));
        }),
    });
  });
  const names: string[] = [];
  for (let i = 0; i < count; i++) {
    const data = (await page.evaluate(`picture(${i})`)) as string;
    names.push(join(folder, `picture-${i}.jpg`));
    writeFileSync(names[i]!, Buffer.from(data, 'base64'));
  }
  await page.close();
  return names;
}

const give = async (page: Page, files: readonly string[]): Promise<void> => {
  await (
    (await page.waitForSelector('[data-test=photo-files] input')) as ElementHandle<HTMLInputElement>
  ).uploadFile(...files);
};
async function openLog(page: Page, url: string): Promise<void> {
  // The loader that runs this file wraps named functions in a helper of its own, which the page lacks.
  await page.evaluateOnNewDocument('globalThis.__name = (named) => named');
  await openPlan(page, url, 'gannet');
  await goTo(page, 'fit');
  await pressNamed(page, 'Log');
}
/** The largest process that draws pages, MB. */
async function pageMb(browser: Browser): Promise<number> {
  const session = await browser.target().createCDPSession();
  const { processInfo } = await session.send('SystemInfo.getProcessInfo');
  await session.detach();
  return Math.max(
    ...processInfo
      .filter(({ type }) => type === 'renderer')
      .map(({ id }) => {
        try {
          return (
            (Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${id}/status`, 'utf8'))?.[1] ?? 0) *
              1024) /
            MB
          );
        } catch {
          return 0;
        }
      }),
  );
}

/** Photographs of 12 megapixels in one plan, and the most that a page held while they were added and shown, MB. */
export async function manyPhotos(
  browser: Browser,
  url: string,
  count: number,
): Promise<{ readonly kept: number; readonly mostMb: number }> {
  const folder = mkdtempSync(join(tmpdir(), 'firm-line-photos-'));
  try {
    const files = await takePictures(browser, url, folder, count);
    const page = await browser.newPage();
    page.setDefaultTimeout(600_000);
    await openLog(page, url);
    let mostMb = 0;
    const watching = setInterval(
      () =>
        void pageMb(browser).then(
          (mb) => (mostMb = Math.max(mostMb, mb)),
          () => undefined,
        ),
      300,
    );
    // An entry holds fifty.
    for (let from = 0; from < count; from += 50) {
      const some = files.slice(from, from + 50);
      await give(page, some);
      await page.waitForFunction(
        (n) => document.querySelectorAll('[data-test=new-photo] img').length === n,
        { polling: 200 },
        some.length,
      );
      await pressNamed(page, 'Add entry');
      await settled(page);
    }
    for (let i = 0; i < 12; i++) await page.mouse.wheel({ deltaY: 900 });
    await page.waitForFunction(
      (n) => document.querySelectorAll('[data-test=entry] img').length === n,
      { polling: 200 },
      count,
    );
    const kept = await page.$$eval('[data-test=entry] img', (all) => all.length);
    clearInterval(watching);
    await page.close();
    return { kept, mostMb };
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/** Tabs killed while photographs are being added: how many that were shown as kept are not there. */
export async function photoKills(
  browser: Browser,
  url: string,
  count: number,
): Promise<{ readonly shown: number; readonly lost: number }> {
  const folder = mkdtempSync(join(tmpdir(), 'firm-line-photos-'));
  const next = seeded(17);
  let [shown, lost] = [0, 0];
  try {
    const files = await takePictures(browser, url, folder, 8);
    const reader = await browser.newPage();
    await reader.goto(url, { waitUntil: 'load' });
    for (let i = 0; i < count; i++) {
      const page = await browser.newPage();
      await openLog(page, url);
      const seen = new Set<string>();
      await page.exposeFunction('shown', (digest: string) => void seen.add(digest));
      // The moment a photograph stands in the list, its digest is handed out of the tab.
      await page.evaluate(
        `new MutationObserver(() => document.querySelectorAll('[data-test=new-photo][data-digest]').forEach((one) => window.shown(one.dataset.digest))).observe(document.body, { subtree: true, childList: true })`,
      );
      await give(page, files.slice(0, 3 + Math.floor(next() * 5)));
      await new Promise((done) => setTimeout(done, 300 + next() * 2500));
      await page.close({ runBeforeUnload: false });
      shown += seen.size;
      for (const digest of seen) if (!(await isKept(reader, digest))) lost++;
    }
    await reader.close();
    return { shown, lost };
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

const isKept = (page: Page, digest: string): Promise<boolean> =>
  page.evaluate(
    (wanted) =>
      new Promise<boolean>((done) => {
        const asked = indexedDB.open('firm-line');
        asked.onsuccess = () => {
          const got = asked.result.transaction('photos').objectStore('photos').get(wanted);
          got.onsuccess = () => (
            asked.result.close(),
            done((got.result as { picture?: Blob } | undefined)?.picture !== undefined)
          );
        };
      }),
    digest,
  );
