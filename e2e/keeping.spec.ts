import { mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { readPlan } from '@firm-line/core/plan/file';
import type { ElementHandle, Page } from 'puppeteer-core';
import { ROOT, openPlan, serve, settled, watch, withBrowser } from './browser';
import { STATIONS } from '../app/src/stations/registry';
import { clickOn, textOf, waitText } from './keyboard';

jest.setTimeout(180_000);
const DEMO = `${ROOT}/demo/gannet.firmline.json`;
const run = withBrowser('spec');

const rows = (page: Page): Promise<string[]> =>
  page.$$eval('[data-test=plan-row] a span:first-child', (names) =>
    names.map((name) => name.textContent!.trim()),
  );
async function give(page: Page, file: string): Promise<void> {
  await ((await page.$('input[type=file]')) as ElementHandle<HTMLInputElement>).uploadFile(file);
}

describe('plans in and out', () => {
  test('export, import, a bad file, duplicate, delete and bring back', async () => {
    const { page, complaints } = await watch(run.browser, run.server.url, 'flat');
    const folder = mkdtempSync(join(tmpdir(), 'firm-line-'));
    const session = await run.browser.target().createCDPSession();
    await session.send('Browser.setDownloadBehavior', { behavior: 'allow', downloadPath: folder });
    await openPlan(page, run.server.url);
    await page.goto(run.server.url, { waitUntil: 'load' });
    await page.waitForSelector('[data-test=plan-row]');
    await clickOn(page, '[aria-label="Export Gannet"]');
    for (let i = 0; i < 100 && !readdirSync(folder).includes('gannet.firmline.json'); i++)
      await new Promise((done) => setTimeout(done, 50));
    const exported = readPlan(readFileSync(join(folder, 'gannet.firmline.json'), 'utf8'));
    expect({ ...exported, changedAt: '' }).toEqual({
      ...readPlan(readFileSync(DEMO, 'utf8')),
      changedAt: '',
    });

    await give(page, join(folder, 'gannet.firmline.json'));
    await page.waitForFunction(
      () => document.querySelectorAll('[data-test=plan-row]').length === 2,
    );
    expect(await rows(page)).toEqual(expect.arrayContaining(['Gannet', 'Gannet 2']));

    const bad = JSON.parse(readFileSync(DEMO, 'utf8'));
    bad.lines[2].cornersMm[1][0] = 'far';
    writeFileSync(join(folder, 'bad.firmline.json'), JSON.stringify(bad));
    await give(page, join(folder, 'bad.firmline.json'));
    await waitText(
      page,
      'fl-notice-bar',
      'lines[2].cornersMm[1][0]: This should be a number, not "far".',
    );
    expect(await rows(page)).toHaveLength(2);

    await clickOn(page, '[aria-label="Delete Gannet 2"]');
    await page.waitForFunction(
      () => document.querySelectorAll('[data-test=plan-row]').length === 1,
    );
    await page.evaluate(() =>
      [...document.querySelectorAll<HTMLButtonElement>('fl-notice-bar button')]
        .find((b) => b.textContent!.trim() === 'Undo')!
        .click(),
    );
    await page.waitForFunction(
      () => document.querySelectorAll('[data-test=plan-row]').length === 2,
    );
    expect(complaints).toEqual([]);
  });

  test('a plan file dropped on the page is imported', async () => {
    const { page } = await watch(run.browser, run.server.url, 'flat');
    await page.goto(run.server.url, { waitUntil: 'load' });
    await page.waitForSelector('fl-plans-page');
    await page.evaluate(
      (text) => {
        const data = new DataTransfer();
        data.items.add(new File([text], 'gannet.firmline.json', { type: 'application/json' }));
        document
          .querySelector('fl-plans-page')!
          .dispatchEvent(
            new DragEvent('drop', { dataTransfer: data, bubbles: true, cancelable: true }),
          );
      },
      readFileSync(DEMO, 'utf8'),
    );
    await page.waitForSelector('[data-test=plan-row]');
    expect(await rows(page)).toEqual(['Gannet']);
  });

  test('a tab killed after the screen said saved has lost nothing', async () => {
    const { page } = await watch(run.browser, run.server.url, 'flat');
    await openPlan(page, run.server.url);
    await page.click('[data-line=line-r2]');
    await page.waitForSelector('fl-move-list fl-snag-row button');
    await page.$eval('fl-move-list fl-snag-row button', (button) =>
      (button as HTMLElement).click(),
    );
    await page.waitForFunction(
      () => !document.querySelector('fl-move-list')!.textContent!.includes('bender shoe'),
    );
    await settled(page);
    await page.close();
    const again = await watch(run.browser, run.server.url, 'flat');
    await openPlan(again.page, run.server.url);
    await again.page.click('[data-line=line-r2]');
    expect(await textOf(again.page, 'fl-move-list')).not.toContain('bender shoe');
  });

  test('of two tabs on one plan one writes and the other follows it live, takes over, and writes on when the first has gone', async () => {
    const [one, two] = [
      await watch(run.browser, run.server.url, 'flat'),
      await watch(run.browser, run.server.url, 'flat'),
    ];
    const unit = (page: Page): Promise<string> => textOf(page, 'header [title="Switch units (u)"]');
    const shows = (page: Page, word: string): Promise<unknown> =>
      page.waitForFunction(
        (w) =>
          document.querySelector('header [title="Switch units (u)"]')?.textContent?.trim() === w,
        { polling: 100 },
        word,
      );
    await openPlan(one.page, run.server.url);
    await two.page.goto(`${run.server.url}/plan/gannet/route`, { waitUntil: 'load' });
    await one.page.waitForSelector('[data-test=other-tab]');
    await two.page.waitForSelector('[data-test=follows]');
    await one.page.bringToFront();
    await one.page.keyboard.press('u');
    await shows(two.page, 'in');
    // The one that follows takes nothing, and says so.
    await two.page.bringToFront();
    await two.page.keyboard.press('u');
    await waitText(two.page, 'fl-notice-bar', 'Another tab is editing this plan');
    expect(await unit(one.page)).toBe('in');
    // It takes over, and can go back on what the other did.
    await two.page.click('[data-test=follows] button');
    await one.page.waitForSelector('[data-test=follows]');
    await two.page.waitForFunction(() => !document.querySelector('main[inert]'), { polling: 100 });
    await two.page.keyboard.down('Control');
    await two.page.keyboard.press('z');
    await two.page.keyboard.up('Control');
    await shows(one.page, 'mm');
    await settled(two.page);
    await two.page.close();
    await one.page.bringToFront();
    await one.page.waitForFunction(
      () => !document.querySelector('[data-test=other-tab], [data-test=follows]'),
      { polling: 100 },
    );
    await one.page.keyboard.press('u');
    await shows(one.page, 'in');
    await settled(one.page);
    expect([one.complaints, two.complaints]).toEqual([[], []]);
  });

  test('what is renamed or deleted in the list reaches the tab that has it open', async () => {
    const [open, list] = [
      await watch(run.browser, run.server.url, 'flat'),
      await watch(run.browser, run.server.url, 'flat'),
    ];
    await openPlan(open.page, run.server.url);
    await list.page.goto(run.server.url, { waitUntil: 'load' });
    await list.page.waitForSelector('[aria-label="Rename Gannet"]');
    await clickOn(list.page, '[aria-label="Rename Gannet"]');
    await list.page.$eval(
      '#plan-name',
      (field) => ((field as HTMLInputElement).value = 'Goosander'),
    );
    await clickOn(list.page, 'dialog[open] .btn-main');
    await waitText(open.page, 'header', 'Goosander');
    await settled(open.page);
    await list.page.reload({ waitUntil: 'load' });
    await list.page.waitForSelector('[aria-label="Delete Goosander"]');
    await clickOn(list.page, '[aria-label="Delete Goosander"]');
    await waitText(open.page, 'main', 'This plan was deleted in another tab');
    await open.page.bringToFront();
    await clickOn(open.page, 'main .btn-main');
    await settled(open.page);
    await list.page.reload({ waitUntil: 'load' });
    await list.page.waitForSelector('[aria-label="Delete Goosander"]');
    expect([open.complaints, list.complaints]).toEqual([[], []]);
  });

  test('a plan that is kept damaged is shown with what is wrong, exported as it is, mended and opened', async () => {
    const { page } = await watch(run.browser, run.server.url, 'flat');
    await openPlan(page, run.server.url);
    await page.goto(run.server.url, { waitUntil: 'load' });
    await page.evaluate(
      () =>
        new Promise<void>((done, failed) => {
          const asked = indexedDB.open('firm-line');
          asked.onerror = () => failed(asked.error!);
          asked.onsuccess = () => {
            const store = asked.result.transaction('bodies', 'readwrite').objectStore('bodies');
            const got = store.get('gannet');
            got.onsuccess = () => {
              const plan = got.result as { things: { shape: { wallMm: number } }[] };
              plan.things[0]!.shape.wallMm = 5000;
              store.put(plan).onsuccess = () => (asked.result.close(), done());
            };
          };
        }),
    );
    await page.goto(`${run.server.url}/plan/gannet/route`, { waitUntil: 'load' });
    await waitText(page, 'main', 'Gannet cannot be opened as saved');
    expect(await textOf(page, 'main')).toMatch(
      /things\[0\]\.shape\.wallMm: 5000 is too large: 1000 is the limit/,
    );
    expect(await textOf(page, 'main')).toMatch(/The plan last opened without faults on/);
    await clickOn(page, 'main .btn-main');
    await page.waitForSelector('fl-line-tabs');
    await settled(page);
    await page.reload({ waitUntil: 'load' });
    await page.waitForSelector('fl-line-tabs');
    await settled(page);
    expect(await page.$$eval('fl-line-tabs [data-line]', (all) => all.length)).toBe(7);
  });

  test('offline: with the server gone every station still opens, and edits are kept', async () => {
    const server = await serve();
    const { page, complaints } = await watch(run.browser, server.url, 'kept');
    await openPlan(page, server.url);
    await page.evaluate(async () => {
      await navigator.serviceWorker.ready;
      const cached = async (): Promise<number> => {
        let count = 0;
        for (const name of await caches.keys())
          count += (await (await caches.open(name)).keys()).length;
        return count;
      };
      // The worker fills its cache in the background: wait until it has stopped growing.
      for (let before = -1, still = 0; still < 4;) {
        await new Promise((done) => setTimeout(done, 500));
        const now = await cached();
        still = now === before && now > 10 ? still + 1 : 0;
        before = now;
      }
    });
    await server.stop();
    for (const { path } of STATIONS) await openPlan(page, server.url, 'gannet', path);
    await page.keyboard.press('u');
    await settled(page);
    await page.reload({ waitUntil: 'load' });
    await settled(page);
    expect(await page.evaluate(() => document.querySelector('header')!.textContent)).toMatch(
      /\bin\b/,
    );
    // A demo plan that nobody has looked at yet.
    await openPlan(page, server.url, 'dunlin');
    expect(await page.evaluate(() => document.querySelector('header')!.textContent)).toMatch(
      /Dunlin/,
    );
    expect(complaints.filter((text) => !/ngsw|net::ERR_CONNECTION_REFUSED/.test(text))).toEqual([]);
  });
});
