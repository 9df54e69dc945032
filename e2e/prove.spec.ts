import { spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { ElementHandle, Page } from 'puppeteer-core';
import { writePlan, type Plan } from '@firm-line/core/plan';
import { readPlan } from '@firm-line/core/plan/file';
import { proved } from '../core/src/testing/proved';
import { acceptAll } from '../core/src/testing/signed';
import { ROOT, openPlan, settled, watch, withBrowser } from './browser';
import { clickOn, pressNamed, textOf, waitText } from './keyboard';

jest.setTimeout(240_000);
const run = withBrowser('spec');
const folder = mkdtempSync(join(tmpdir(), 'firm-line-prove-'));
const dunlin = (): Plan =>
  readPlan(readFileSync(join(__dirname, '../demo/dunlin.firmline.json'), 'utf8'));

const upload = async (page: Page, selector: string, name: string, text: string): Promise<void> => {
  writeFileSync(join(folder, name), text);
  await ((await page.waitForSelector(selector)) as ElementHandle<HTMLInputElement>).uploadFile(
    join(folder, name),
  );
};
/** A PDF read back by another program: pdfjs-dist, in a process of its own. */
function readPdf(file: string): { readonly pages: number; readonly text: string } {
  const script = `import { readFileSync } from 'node:fs';
    import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
    const pdf = await getDocument({ data: new Uint8Array(readFileSync(process.argv[1])), verbosity: 0 }).promise;
    let text = '';
    for (let i = 1; i <= pdf.numPages; i++) text += (await (await pdf.getPage(i)).getTextContent()).items.map((item) => item.str).join(' ') + ' ';
    console.log(JSON.stringify({ pages: pdf.numPages, text }));`;
  const { stdout, stderr } = spawnSync(
    process.execPath,
    ['--input-type=module', '-e', script, file],
    {
      encoding: 'utf8',
      cwd: ROOT,
    },
  );
  if (!stdout) throw new Error(stderr);
  return JSON.parse(stdout.trim().split('\n').at(-1)!) as { pages: number; text: string };
}
/** Brings a plan in as a file and goes to Prove. */
async function bringIn(page: Page, plan: Plan): Promise<void> {
  await page.goto(`${run.server.url}/`, { waitUntil: 'load' });
  await upload(page, 'input[type=file]', 'brought.firmline.json', writePlan(plan));
  // The newest row of that name.
  await page.waitForFunction(
    (name) =>
      [...document.querySelectorAll('[data-test=plan-row] a')].some((a) =>
        a.textContent!.trim().startsWith(name),
      ),
    { polling: 100 },
    plan.name,
  );
  await page.$$eval(
    '[data-test=plan-row] a',
    (all, name) => (all.find((a) => a.textContent!.trim().startsWith(name)) as HTMLElement).click(),
    plan.name,
  );
  await page.waitForSelector('fl-station-nav');
  await settled(page);
  await page.click('fl-station-nav a[href*="/prove"]');
  await page.waitForSelector('fl-prove-station');
}
const type = (page: Page, within: string, label: string, text: string): Promise<void> =>
  page.evaluate(
    (part, name, value) => {
      const field = [...document.querySelectorAll<HTMLInputElement>(`${part} input`)].find(
        ({ labels }) => [...labels!].some((one) => one.textContent!.trim() === name),
      );
      if (!field) throw new Error(`No field says ${name}`);
      field.value = value;
      field.dispatchEvent(new Event('input', { bubbles: true }));
      field.dispatchEvent(new Event('change', { bubbles: true }));
    },
    within,
    label,
    text,
  );

test('a curve from the stream, its link lost and taken up again; then a logger’s file with bad rows', async () => {
  const { page } = await watch(run.browser, run.server.url, 'kept');
  await openPlan(page, run.server.url, 'gannet', 'prove');
  await pressNamed(page, 'Pedal curve');
  await type(page, 'fl-curve-page', 'Vehicle no.', '13');
  await clickOn(page, '[data-test=stream]');
  // The cable of every thirteenth vehicle is loose: it breaks off after six readings.
  await waitText(page, '[data-test=link]', 'The link is lost');
  await waitText(page, '[data-test=link]', 'The link is back');
  await waitText(page, '[data-test=link]', 'All readings received.');
  await waitText(page, 'fl-curve-page', 'Save curve (30 readings)');
  expect(await textOf(page, '[data-test=detail]')).toMatch(
    /Against the pedal that Size calculates/,
  );
  await page.$$eval('fl-curve-page button', (all) =>
    all.find((b) => b.textContent!.includes('Save curve'))!.click(),
  );
  await waitText(page, '[data-test=kept]', '30 readings, off');

  await upload(
    page,
    'fl-csv-form input[type=file]',
    'log.csv',
    'pressure bar;pedal mm\n1;12,0\nfault;13\n4;16\n10;18,5\n40;24\n70;29\n',
  );
  await waitText(page, '[data-test=csv]', '5 readings, 1 row is not a reading:');
  expect(await textOf(page, '[data-test=csv]')).toMatch(/Line 3: "fault" is not a pressure/);
  await pressNamed(page, 'Cancel');
  await page.waitForFunction(() => !document.querySelector('[data-test=csv]'));
  await upload(
    page,
    'fl-csv-form input[type=file]',
    'log.csv',
    'pressure bar;pedal mm\n1;12,0\nfault;13\n4;16\n10;18,5\n40;24\n70;29\n',
  );
  await page.waitForSelector('[data-test=csv]');
  await pressNamed(page, 'Import the good rows');
  await waitText(page, 'fl-curve-page', 'Save curve (5 readings)');
  await upload(page, 'fl-csv-form input[type=file]', 'none.csv', 'nothing');
  await waitText(page, 'fl-csv-form', 'none.csv: Not a table of readings');
});

test('a hold is judged, a change makes it void and is said before it is made', async () => {
  const { page, complaints } = await watch(run.browser, run.server.url, 'flat');
  await bringIn(page, proved(dunlin()));
  expect(
    await page.$$eval(
      '[data-round]',
      (rows) => rows.filter((row) => row.textContent!.includes('good')).length,
    ),
  ).toBeGreaterThan(5);
  await page.click('fl-station-nav a[href*="/fill"]');
  await page.waitForSelector('#fluid-brake');
  await page.select('#fluid-brake', 'dot-5.1');
  await waitText(page, 'dialog[open]', 'hold at');
  await page.$$eval('dialog[open] button', (all) => all.at(-1)!.click());
  await settled(page);
  expect(complaints).toEqual([]);
});

test('signing is refused with a reason, given for a move that lists what is left, and for the road once the last caution is accepted; the pack comes as a PDF', async () => {
  const { page, complaints } = await watch(run.browser, run.server.url, 'flat');
  await (
    await page.createCDPSession()
  ).send('Browser.setDownloadBehavior', { behavior: 'allow', downloadPath: folder });
  await bringIn(page, proved(dunlin()));
  await pressNamed(page, 'Sign off');
  await waitText(page, '[data-test=open-count]', 'Not ready for the road');
  expect(await textOf(page, '[data-test=refused]')).toMatch(
    /^Not ready for the road: \d+ cautions to fix or accept\.$/,
  );
  await type(page, 'fl-sign-page', 'Initials or name', 'AB');
  expect(await page.$eval('[data-test=sign]', (b) => (b as HTMLButtonElement).disabled)).toBe(true);
  await pressNamed(page, 'For moving only');
  await waitText(page, '[data-test=exceptions]', 'cautions to fix or accept');
  await clickOn(page, '[data-test=sign]');
  await waitText(page, '[data-test=signed]', 'not for the road');

  // All but one of the cautions are taken on; the last one here, by hand.
  const built = acceptAll(proved({ ...dunlin(), id: 'dunlin-2', name: 'Dunlin proved' }));
  const [, ...accepted] = built.proving.accepted!;
  await bringIn(page, { ...built, proving: { ...built.proving, accepted } });
  await pressNamed(page, 'Sign off');
  await waitText(page, '[data-test=refused]', '1 caution to fix or accept');
  await pressNamed(page, 'Accept with reason…');
  await type(page, 'fl-sign-item', 'Initials or name', 'AB');
  await type(page, 'fl-sign-item', 'Reason', 'Looked at, and fine');
  await pressNamed(page, 'Accept');
  await waitText(page, '[data-test=open-count]', 'Ready to sign');
  await pressNamed(page, 'For the road');
  await type(page, 'fl-sign-page', 'Initials or name', 'AB');
  await page.waitForFunction(
    () => !(document.querySelector('[data-test=sign]') as HTMLButtonElement).disabled,
    { polling: 100 },
  );
  await clickOn(page, '[data-test=sign]');
  await waitText(page, '[data-test=signed]', 'for the road');
  await page.waitForSelector('[data-test=revision]');
  // The rules look at the plan as it was signed first.
  await page.waitForFunction(
    () => !(document.querySelector('[data-test=pack]') as HTMLButtonElement).disabled,
    { polling: 100 },
  );
  await clickOn(page, '[data-test=pack]');
  const file = join(folder, 'dunlin-proved.pdf');
  // A fault of the making is said; until then it is waited for.
  for (
    let i = 0;
    i < 900 && !existsSync(file) && !(await page.$('fl-sign-page aside [role=alert]'));
    i++
  )
    await new Promise((done) => setTimeout(done, 100));
  expect(
    await page.$$eval('fl-sign-page aside [role=alert]', (all) => all.map((e) => e.textContent)),
  ).toEqual([]);
  const { pages, text } = readPdf(file);
  expect(pages).toBeGreaterThan(4);
  for (const words of [
    'Dunlin proved',
    'Local rules',
    'Line map',
    'Accepted by AB',
    'None.',
    'Qualified person:',
    'for the road',
  ])
    expect(text).toContain(words);
  expect(complaints).toEqual([]);
});

test('two plans are compared in words, by station', async () => {
  const { page, complaints } = await watch(run.browser, run.server.url, 'flat');
  await openPlan(page, run.server.url, 'gannet', 'prove');
  await pressNamed(page, 'Compare');
  const gannet = readPlan(readFileSync(join(__dirname, '../demo/gannet.firmline.json'), 'utf8'));
  const earlier = {
    ...gannet,
    filling: {
      ...gannet.filling,
      fluids: gannet.filling.fluids.map((one) => ({ ...one, fluidId: 'dot-3' })),
    },
    lines: gannet.lines.map((line) =>
      line.id === 'line-f1'
        ? {
            ...line,
            cornersMm: line.cornersMm.map((at, i) =>
              i ? at : ([at[0], at[1], at[2] + 40] as const),
            ),
          }
        : line,
    ),
  };
  await upload(
    page,
    'fl-compare-page input[type=file]',
    'earlier.firmline.json',
    writePlan(earlier),
  );
  await waitText(page, '[data-test=compared]', 'differences compared with “Gannet”');
  const found = await page.$$eval('[data-test=differences]', (all) =>
    all.map((e) => e.textContent!.replace(/\s+/g, ' ').trim()),
  );
  expect(found.join(' | ')).toMatch(
    /Route ?F1: .*mm (longer|shorter); must be cut again.*Fill ?Fluid, Tandem master: DOT 4 instead of DOT 3/,
  );
  await upload(page, 'fl-compare-page input[type=file]', 'bad.json', '{}');
  await waitText(page, 'fl-compare-page', 'bad.json:');
  expect(complaints).toEqual([]);
});
