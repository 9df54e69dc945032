import { mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import type { ElementHandle } from 'puppeteer-core';
import { writePlan } from '../core/src/plan/index.ts';
import { launch, openPlan, ROOT, serve, settled, watch } from '../e2e/browser.ts';
import { bigPlan, middleMs, percentile } from './lines.ts';

/** What the first screen costs over the wire: script and style that load before the demo plan can be edited. */
export async function benchFirstScreen(): Promise<void> {
  const server = await serve();
  const browser = await launch();
  try {
    const { page } = await watch(browser, server.url);
    const files = new Set<string>();
    page.on('response', (response) => {
      const file = new URL(response.url()).pathname.slice(1);
      if (/\.(js|css)$/.test(file) && !/^(ngsw|safety)/.test(file)) files.add(file);
    });
    await openPlan(page, server.url);
    const folder = `${ROOT}/app/dist/app/browser`;
    const size = (list: Iterable<string>): number =>
      [...list].reduce((sum, file) => sum + gzipSync(readFileSync(`${folder}/${file}`)).length, 0) / 1024;
    const worker = [...files].filter((file) => file.startsWith('worker'));
    const first = [...files].filter((file) => !file.startsWith('worker'));
    const whole = readdirSync(folder).filter((file) => /^(?!ngsw|safety).*\.(js|css)$/.test(file));
    console.log(
      `first screen: ${size(first).toFixed(1)} kB of script and style, gzip (180 asked)${size(first) > 180 ? ' NOT MET' : ''}; the checking worker beside it ${size(worker).toFixed(1)} kB; the whole app ${size(whole).toFixed(1)} kB`,
    );
  } finally {
    await browser.close();
    await server.stop();
  }
}

/** Opening, editing and saving a plan of so many lines in the browser. */
export async function benchEditing(lines: number, edits = 80): Promise<void> {
  const server = await serve();
  const browser = await launch();
  try {
    const { page } = await watch(browser, server.url);
    const plan = bigPlan(lines);
    const file = join(mkdtempSync(join(tmpdir(), 'firm-line-')), 'big.firmline.json');
    writeFileSync(file, writePlan(plan));
    await page.goto(server.url, { waitUntil: 'load' });
    await ((await page.waitForSelector('input[type=file]')) as ElementHandle<HTMLInputElement>).uploadFile(file);
    await page.waitForSelector('[data-test=plan-row]');
    const start = performance.now();
    await openPlan(page, server.url, 'big');
    const openMs = performance.now() - start;
    await page.click('[data-line="line-r1~0"]');
    // The loader that runs this file wraps named functions in a helper of its own, which the page lacks.
    await page.evaluate('globalThis.__name = (named) => named');
    await page.evaluate(() => {
      const bench = { painted: [] as number[], saved: [] as number[] };
      Object.assign(window, { bench });
      document.addEventListener(
        'keydown',
        (event) => {
          if (event.key !== 'Enter') return;
          const began = performance.now();
          const cut = () => document.querySelector('[data-test=cut]')!.textContent;
          const marks = () => document.querySelector('fl-strip')!.textContent;
          const before = `${cut()}${marks()}`;
          const look = (): void => {
            if (`${cut()}${marks()}` === before) return void requestAnimationFrame(look);
            const channel = new MessageChannel();
            channel.port1.onmessage = () => bench.painted.push(performance.now() - began);
            requestAnimationFrame(() => channel.port2.postMessage(0));
          };
          requestAnimationFrame(look);
          const wait = (): void => {
            const done =
              document.querySelector('[data-test=saved]')!.textContent === 'saved' && bench.painted.length > bench.saved.length;
            if (done) bench.saved.push(performance.now() - began);
            else setTimeout(wait, 2);
          };
          setTimeout(wait);
        },
        true,
      );
    });
    const field = '[data-test=move]:nth-of-type(1)';
    const move = (await page.$$(field))[2]!;
    for (let i = 0; i < edits; i++) {
      await move.click({ count: 3 });
      await page.keyboard.type(`aft ${1450 + (i % 40)}`);
      await page.keyboard.press('Enter');
      await settled(page);
      await page.waitForFunction((n) => (window as unknown as { bench: { saved: number[] } }).bench.saved.length >= n, {}, i + 1);
    }
    const { painted, saved } = await page.evaluate(
      () => (window as unknown as { bench: { painted: number[]; saved: number[] } }).bench,
    );
    const writeMs = middleMs(15, () => void writePlan(plan));
    const p95 = percentile(painted, 0.95);
    console.log(
      `plan of ${lines} lines in the browser: opened and checked in ${openMs.toFixed(0)} ms; ${edits} edits, key to painted strip ${percentile(painted, 0.5).toFixed(0)} ms middle, ${p95.toFixed(0)} ms at the 95th percentile; saved ${percentile(saved, 0.95).toFixed(0)} ms after the key (95th)`,
    );
    console.log(
      `  writing its file takes ${writeMs.toFixed(1)} ms, ${((100 * writeMs) / p95).toFixed(0)} % of such an edit, and is done on export only`,
    );
  } finally {
    await browser.close();
    await server.stop();
  }
}

/** How often a second the Size station's charts follow its slider, drawn frame by frame. */
export async function benchCharts(frames = 90): Promise<void> {
  const server = await serve();
  const browser = await launch();
  try {
    const { page } = await watch(browser, server.url);
    await openPlan(page, server.url, 'gannet', 'size');
    await page.waitForSelector('fl-line-chart canvas');
    await page.evaluate('globalThis.__name = (named) => named');
    const spent = await page.evaluate(async (count) => {
      const slider = document.querySelector<HTMLInputElement>('fl-load-slider input')!;
      const painted = (): Promise<number> =>
        new Promise((done) =>
          requestAnimationFrame(() => {
            const channel = new MessageChannel();
            channel.port1.onmessage = () => done(performance.now());
            channel.port2.postMessage(0);
          }),
        );
      const times: number[] = [];
      for (let i = 0; i < count; i++) {
        const began = performance.now();
        slider.value = String((i * 7) % 100);
        slider.dispatchEvent(new Event('input'));
        times.push((await painted()) - began);
      }
      return times;
    }, frames);
    const middle = percentile(spent, 0.5);
    const p95 = percentile(spent, 0.95);
    console.log(
      `charts under the slider: ${middle.toFixed(0)} ms a frame in the middle, ${p95.toFixed(0)} ms at the 95th percentile: ${(1000 / middle).toFixed(0)} frames a second (30 asked)${middle > 1000 / 30 ? ' NOT MET' : ''}`,
    );
  } finally {
    await browser.close();
    await server.stop();
  }
}
