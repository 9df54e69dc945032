import { readFileSync } from 'node:fs';
import type { AxeResults } from 'axe-core';
import type { Page } from 'puppeteer-core';
import { ROOT, goTo, openPlan, watch, withBrowser } from './browser';
import { SCREENS, STATIONS } from '../app/src/stations/registry';
import { openHoses } from './hoses';
import { pressNamed, waitText } from './keyboard';

jest.setTimeout(180_000);
const AXE = readFileSync(`${ROOT}/node_modules/axe-core/axe.min.js`, 'utf8');
const run = withBrowser();

/** Screens of a bench, of a tablet lying and of one held upright, px. */
const SIZES = [
  [1280, 800],
  [1024, 768],
  [768, 1024],
] as const;

/** What axe finds that is more than minor, as `rule: place`: by all of its rules, or by those of `only`. */
async function serious(page: Page, only?: readonly string[]): Promise<string[]> {
  await page.evaluate(AXE);
  const how = { resultTypes: ['violations'], ...(only ? { runOnly: only } : {}) };
  const found = (await page.evaluate(`axe.run(document, ${JSON.stringify(how)})`)) as AxeResults;
  return found.violations
    .filter((v) => v.impact !== 'minor')
    .flatMap((v) => v.nodes.map((node) => `${v.id}: ${node.target.join(' ')}`));
}

/** Text written smaller than 12 px, in a drawing as it is scaled, and choices that their field cuts off. */
const smallPrint = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const found: string[] = [];
    const hidden = '.sr-only, script, style, option, dialog:not([open])';
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const [words, element] = [node.textContent!.trim(), node.parentElement!];
      if (!words || !element.checkVisibility() || element.closest(hidden)) continue;
      const scale = element instanceof SVGGraphicsElement ? element.getScreenCTM() : null;
      const px =
        parseFloat(getComputedStyle(element).fontSize) * (scale ? Math.hypot(scale.a, scale.b) : 1);
      if (px < 11.95) found.push(`${words.slice(0, 24)} ${px.toFixed(1)} px`);
    }
    const pen = document.createElement('canvas').getContext('2d')!;
    for (const select of document.querySelectorAll('select')) {
      if (!select.checkVisibility()) continue;
      const style = getComputedStyle(select);
      pen.font = style.font;
      const chosen = select.selectedOptions[0]?.textContent!.trim() ?? '';
      // The arrow takes 16 px.
      const room =
        select.clientWidth - parseFloat(style.paddingLeft) - parseFloat(style.paddingRight) - 16;
      if (pen.measureText(chosen).width > room + 1) found.push(`cut off: ${chosen}`);
    }
    return found;
  });

describe('every screen', () => {
  test('going to a station by its key puts the focus on its heading, and says it in the title', async () => {
    const { page } = await watch(run.browser, run.server.url, 'flat');
    await openPlan(page, run.server.url, 'gannet', 'measure');
    for (const [i, { path, name }] of STATIONS.entries()) {
      if (i === 0) continue;
      await page.keyboard.press(String(i + 1) as '2');
      await page.waitForFunction(
        (at) => location.pathname.includes(`/${at}`) && document.querySelector('main h1'),
        {},
        path,
      );
      await page.waitForFunction(() => document.activeElement?.tagName === 'H1');
      expect(await page.title()).toMatch(new RegExp(`^${name} · Gannet`));
    }
  });

  test('axe finds nothing that is more than minor, in the light or in the dark', async () => {
    const { page, complaints } = await watch(run.browser, run.server.url);
    const found: Record<string, string[]> = {};
    const wish = (value: 'light' | 'dark'): Promise<void> =>
      page.emulateMediaFeatures([{ name: 'prefers-color-scheme', value }]);
    const look = async (): Promise<string[]> => {
      await wish('light');
      const light = await serious(page);
      await wish('dark');
      // In the dark only colors are otherwise.
      return [...light, ...(await serious(page, ['color-contrast']))];
    };
    await openPlan(page, run.server.url, 'gannet', 'measure');
    for (const { path } of SCREENS) {
      await goTo(page, path);
      found[path] = await look();
    }
    for (const [name, key, open] of [
      ['snags', 's', 'fl-snag-drawer'],
      ['find', '/', 'fl-find-anything'],
      ['keys', '?', 'fl-key-list'],
    ] as const) {
      await page.keyboard.press(key as 's');
      await page.waitForSelector(`${open} dialog[open]`);
      found[name] = await look();
      await page.keyboard.press('Escape');
      await page.waitForFunction(() => !document.querySelector('dialog[open]'));
    }
    await goTo(page, 'make/card');
    await page.click('fl-bench-panel summary');
    found['bench'] = await look();
    await goTo(page, 'route');
    await page.click('fl-route-station aside .btn');
    await page.waitForSelector('dialog[open] #line-name');
    found['line form'] = await look();
    await openPlan(page, run.server.url, 'wheatear', 'route');
    await openHoses(page);
    found['hoses'] = await look();
    await pressNamed(page, 'Hose details');
    await page.waitForSelector('dialog[open] #hose-name');
    found['hose form'] = await look();
    await page.goto(run.server.url, { waitUntil: 'load' });
    await page.waitForSelector('[data-test=plan-row]');
    found['plans'] = await look();
    await page.goto(`${run.server.url}/new`, { waitUntil: 'load' });
    await page.waitForSelector('[data-ask=vehicle]');
    found['set out'] = await look();
    await page.goto(`${run.server.url}/practice`, { waitUntil: 'load' });
    await page.waitForSelector('fl-practice-page fieldset button');
    found['practice'] = await look();
    expect(Object.fromEntries(Object.entries(found).filter(([, list]) => list.length))).toEqual({});
    expect(complaints).toEqual([]);
  });

  test('nothing runs off sideways, and gloves hit what they must, at three sizes', async () => {
    const { page } = await watch(run.browser, run.server.url);
    await openPlan(page, run.server.url, 'gannet', 'measure');
    const found: string[] = [];
    for (const { path: screen, floor } of SCREENS) {
      await goTo(page, screen);
      for (const [width, height] of SIZES) {
        await page.setViewport({ width, height });
        await page.evaluate('new Promise((done) => requestAnimationFrame(() => setTimeout(done)))');
        const station = `${screen} at ${width} x ${height}`;
        const over = await page.evaluate(
          () => document.documentElement.scrollWidth - window.innerWidth,
        );
        if (over) found.push(`${station} runs off by ${over} px`);
        found.push(...(await smallPrint(page)).map((one) => `${station}: ${one}`));
        if (!floor) continue;
        const small = await page.evaluate(() =>
          [
            ...document.querySelectorAll<HTMLElement>(
              'button, a[href], select, summary, label:has(input), input:not([type=radio]):not([type=checkbox])',
            ),
          ]
            .filter((e) => e.checkVisibility() && !e.closest('dialog:not([open])'))
            // A field for files is pressed by its label.
            .filter((e) => !e.classList.contains('sr-only'))
            .map((e) => ({
              text: e.textContent!.trim().slice(0, 30),
              box: e.getBoundingClientRect(),
            }))
            .filter(({ box }) => box.height < 48 || box.width < 48)
            .map(({ text, box }) => `${text} ${box.width.toFixed()}x${box.height.toFixed()}`),
        );
        found.push(...small.map((one) => `${station}: ${one}`));
      }
    }
    expect(found).toEqual([]);
  });

  test.each(['a4', 'letter'] as const)('every card prints on one %s page', async (format) => {
    const { page } = await watch(run.browser, run.server.url, 'flat');
    await openPlan(page, run.server.url, 'gannet', 'make');
    for (const line of ['line-r1', 'line-f2', 'line-c1']) {
      await page.click(`[data-line=${line}]`);
      const pdf = Buffer.from(
        await page.pdf({
          format,
          preferCSSPageSize: false,
          margin: { top: '12mm', bottom: '12mm', left: '12mm', right: '12mm' },
        }),
      ).toString('latin1');
      expect([line, pdf.match(/\/Type\s*\/Page\b/g)?.length]).toEqual([line, 1]);
    }
  });

  test('the card, the strip and the head say the same length', async () => {
    const { page } = await watch(run.browser, run.server.url, 'flat');
    await openPlan(page, run.server.url, 'gannet', 'make');
    await page.click('[data-line=line-f1]');
    await waitText(page, 'fl-card-page h2', 'F1');
    const marks = await page.$$eval('[data-test=bends] tbody tr td:nth-child(2)', (cells) =>
      cells.map((cell) => Number(cell.textContent)),
    );
    const starts = await page.$$eval('fl-strip [data-start-mm]', (bends) =>
      bends.map((bend) => Number((bend as HTMLElement).dataset['startMm'])),
    );
    expect(marks).toHaveLength(4);
    // The die's reference is 12 mm before the bend and the flare at A uses 3 mm of tube.
    marks.forEach((mark, i) => expect(Math.abs(mark - (starts[i]! + 3 - 12))).toBeLessThan(0.1));
  });
});
