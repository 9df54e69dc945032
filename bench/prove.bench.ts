import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { ElementHandle } from 'puppeteer-core';
import { openPlan } from '../e2e/browser.ts';
import { clickOn, pressNamed, waitText } from '../e2e/keyboard.ts';
import { inBrowser, PAINTED } from './in-browser.ts';
import { percentile } from './lines.ts';

const ROWS = 2000;

/** How often a second a curve of 2,000 readings is fitted anew and redrawn, a reading added each time. */
export async function benchCurve(frames = 60): Promise<void> {
  await inBrowser(async (page, url) => {
    const file = join(mkdtempSync(join(tmpdir(), 'firm-line-')), 'log.csv');
    const row = (i: number): string =>
      `${(0.05 + (7 * i) / ROWS).toFixed(4)},${(12 + 2 * Math.log1p(i) + i / 90).toFixed(3)}`;
    writeFileSync(
      file,
      ['pressure MPa,travel mm', ...Array.from({ length: ROWS }, (_, i) => row(i))].join('\n'),
    );
    await openPlan(page, url, 'gannet', 'prove');
    await pressNamed(page, 'Pedal curve');
    const input = (await page.waitForSelector(
      'fl-csv-form input[type=file]',
    )) as ElementHandle<HTMLInputElement>;
    await input.uploadFile(file);
    await page.waitForSelector('[data-test=csv]');
    await pressNamed(page, 'Import readings');
    await waitText(page, 'fl-curve-page', `Save curve (${ROWS} readings)`);
    const spent = (await page.evaluate(`(async () => {
      const labelled = (name) => [...document.querySelectorAll('fl-curve-page input')].find(({ labels }) => [...(labels ?? [])].some((one) => one.textContent.trim() === name));
      const set = (name, value) => {
        const field = labelled(name);
        field.value = value;
        field.dispatchEvent(new Event('change', { bubbles: true }));
      };
      const times = [];
      for (let i = 0; i < ${frames}; i++) {
        set('Pressure, MPa', String(1 + i / 20));
        set('Pedal travel', String(30 + i / 10));
        await ${PAINTED};
        const began = performance.now();
        [...document.querySelectorAll('fl-curve-page button')].find((b) => b.textContent.trim() === 'Type a reading').click();
        times.push((await ${PAINTED}) - began);
      }
      return times;
    })()`)) as number[];
    await waitText(page, 'fl-curve-page', `Save curve (${ROWS + frames} readings)`);
    const middle = percentile(spent, 0.5);
    console.log(
      `a curve of ${ROWS} readings, one added: fitted and redrawn in ${middle.toFixed(0)} ms in the middle, ${percentile(spent, 0.95).toFixed(0)} ms at the 95th percentile: ${(1000 / middle).toFixed(0)} frames a second (30 asked)${middle > 1000 / 30 ? ' NOT MET' : ''}`,
    );
  });
}

/** How soon a tap of the run at the bleeders is on the screen, on a processor six times as slow. */
export async function benchRunTap(taps = 40): Promise<void> {
  await inBrowser(async (page, url) => {
    await page.setViewport({ width: 768, height: 1024, hasTouch: true });
    await openPlan(page, url, 'gannet', 'fill');
    await pressNamed(page, 'Run');
    await waitText(page, 'fl-run-page', 'Locked: ');
    for (let left = (await page.$$('[data-before][aria-pressed=false]')).length; left > 0; left--) {
      await clickOn(page, '[data-before][aria-pressed=false]');
      await page.waitForFunction(
        (n) => document.querySelectorAll('[data-before][aria-pressed=false]').length < n,
        {},
        left,
      );
    }
    await pressNamed(page, 'Start bleeding');
    await page.waitForSelector('[data-test=main]');
    await page.emulateCPUThrottling(6);
    const spent = (await page.evaluate(`(async () => {
      const times = [];
      for (let i = 0; i < ${taps}; i++) {
        await new Promise((done) => setTimeout(done, 700));
        const began = performance.now();
        document.querySelector('[data-test=main]').click();
        times.push((await ${PAINTED}) - began);
      }
      return times;
    })()`)) as number[];
    const [middle, p95] = [percentile(spent, 0.5), percentile(spent, 0.95)];
    console.log(
      `a tap of the run, processor six times slowed: ${middle.toFixed(0)} ms in the middle, ${p95.toFixed(0)} ms at the 95th percentile (50 asked in the middle)${middle > 50 ? ' NOT MET' : ''}`,
    );
  });
}
