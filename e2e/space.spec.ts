import { mkdtempSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { ElementHandle, Page } from 'puppeteer-core';
import { handleAt, openPlan, settled, watch, withBrowser } from './browser';
import { pressNamed, textOf, waitText } from './keyboard';

jest.setTimeout(180_000);
const run = withBrowser('spec');

const drawn = (page: Page): Promise<unknown> =>
  page.waitForFunction(
    () =>
      document.querySelector('[data-test=space]') &&
      !document.body.textContent!.includes('Drawing the vehicle…'),
    { timeout: 20_000 },
  );
const moves = (page: Page): Promise<string[]> =>
  page.$$eval('[data-test=move]', (rows) => rows.map((row) => (row as HTMLInputElement).value));
/** How many different colors the canvas shows: one for a picture that was never drawn. */
const colors = (page: Page): Promise<number> =>
  page.$eval('[data-test=space]', (canvas) => {
    const copy = document.createElement('canvas');
    [copy.width, copy.height] = [200, 120];
    const pen = copy.getContext('2d')!;
    pen.drawImage(canvas as HTMLCanvasElement, 0, 0, 200, 120);
    return new Set(new Uint32Array(pen.getImageData(0, 0, 200, 120).data.buffer)).size;
  });

/**
 * What is seen of the chosen line half way between two of its corners, by the pixels: how many px of its ink lie across it,
 * and the contrast of that ink, and of each other ink of lines, with the page behind. Source: WCAG 2.2, relative luminance.
 */
const lineSeen = (page: Page): Promise<{ acrossPx: number; contrast: Record<string, number> }> =>
  page.$eval('[data-test=space]', (element) => {
    const canvas = element as HTMLCanvasElement;
    const copy = document.createElement('canvas');
    [copy.width, copy.height] = [canvas.clientWidth, canvas.clientHeight];
    const pen = copy.getContext('2d', { willReadFrequently: true })!;
    pen.drawImage(canvas, 0, 0, copy.width, copy.height);
    const { data } = pen.getImageData(0, 0, copy.width, copy.height);
    type Ink = [number, number, number];
    const token = (name: string): Ink => {
      const hex = getComputedStyle(document.documentElement)
        .getPropertyValue(`--color-${name}`)
        .trim();
      return [1, 3, 5].map((i) => parseInt(hex.slice(i, i + 2), 16)) as Ink;
    };
    const luminance = (ink: Ink): number => {
      const [r, g, b] = ink
        .map((v) => v / 255)
        .map((v) => (v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4)) as Ink;
      return 0.2126 * r + 0.7152 * g + 0.0722 * b;
    };
    const against = (ink: Ink): number => {
      const [a, b] = [luminance(ink), luminance(token('paper'))];
      return (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
    };
    const near = (at: number, ink: Ink): boolean =>
      data[at + 3]! > 200 && ink.every((v, k) => Math.abs(data[at + k]! - v) < 24);
    const contrast: Record<string, number> = {};
    for (const name of ['copper', 'fluid', 'slate']) {
      const found: number[] = [];
      for (let at = 0; at < data.length; at += 4) if (near(at, token(name))) found.push(at);
      // Of what is drawn, not of the token: the mean of its pixels.
      const mean = [0, 1, 2].map(
        (k) => found.reduce((sum, at) => sum + data[at + k]!, 0) / found.length,
      ) as Ink;
      contrast[name] = found.length > 100 ? against(mean) : 0;
    }
    const handles = canvas.dataset['handles']!.split(' ').map((one) => one.split(',').map(Number));
    const acrossPx = handles.slice(1).reduce((most, [x, y], i) => {
      const [fromX, fromY] = handles[i]!;
      const [dx, dy] = [x! - fromX!, y! - fromY!];
      const length = Math.hypot(dx, dy);
      if (!(length > 60)) return most;
      let count = 0;
      for (let off = -10; off <= 10; off++) {
        const px = Math.round((x! + fromX!) / 2 - (off * dy) / length);
        const py = Math.round((y! + fromY!) / 2 + (off * dx) / length);
        if (near(4 * (py * copy.width + px), token('copper'))) count++;
      }
      return Math.max(most, count);
    }, 0);
    return { acrossPx, contrast };
  });

describe('Route in space', () => {
  test.each(['light', 'dark'] as const)(
    'lines are seen in the %s: wide, and 3 to 1 against the page',
    async (value) => {
      const { page, complaints } = await watch(run.browser, run.server.url);
      await page.emulateMediaFeatures([{ name: 'prefers-color-scheme', value }]);
      await openPlan(page, run.server.url, 'gannet', 'route');
      await page.click('[data-line="line-r1"]');
      await drawn(page);
      await pressNamed(page, 'Above');
      await settled(page);
      const { acrossPx, contrast } = await lineSeen(page);
      expect(acrossPx).toBeGreaterThanOrEqual(4);
      for (const [ink, to1] of Object.entries(contrast))
        expect([ink, to1 >= 3]).toEqual([ink, true]);
      expect(complaints).toEqual([]);
    },
  );

  test('a corner is dragged from above: strip and moves follow, the figure can be typed, undo takes it back', async () => {
    const { page, complaints } = await watch(run.browser, run.server.url);
    await openPlan(page, run.server.url, 'gannet', 'route');
    await page.click('[data-line="line-r1"]');
    await drawn(page);
    expect(await colors(page)).toBeGreaterThan(30);
    await pressNamed(page, 'Above');
    await page.waitForFunction(
      () => document.querySelector('button[aria-pressed=true]')?.textContent?.trim() === 'Above',
    );
    const before = await moves(page);
    const grip = await handleAt(page, 2);
    // A tap on the straight before it says what that is, and puts a clip there.
    await page.mouse.click(grip.x - 28, grip.y);
    await waitText(page, '[data-test=picked-box]', 'From corner 2 to corner 3');
    const clips = await page.$$eval('[data-test=strip-clip]', (all) => all.length);
    await pressNamed(page, 'Add clip');
    await page.waitForFunction(
      (n) => document.querySelectorAll('[data-test=strip-clip]').length === n + 1,
      {},
      clips,
    );
    await pressNamed(page, 'Undo');
    await page.mouse.move(grip.x, grip.y);
    await page.mouse.down();
    await page.mouse.move(grip.x - 30, grip.y, { steps: 6 });
    // The picture follows once the worker has measured the line.
    const value = (move: number): string =>
      `document.querySelectorAll('[data-test=move]')[${move}].value`;
    await page.waitForFunction(`${value(2)} !== ${JSON.stringify(before[2])}`);
    await page.mouse.up();
    await settled(page);
    const after = await moves(page);
    expect(after).not.toEqual(before);

    const field = (await page.$(
      '[data-test=corner-box] fl-length-field input',
    )) as ElementHandle<HTMLInputElement>;
    await field.evaluate((input) => input.select());
    await field.type('wide');
    await page.keyboard.press('Tab');
    await waitText(page, '[data-test=corner-box]', '"wide"');
    await field.evaluate((input) => input.select());
    await field.type('2100');
    await page.keyboard.press('Tab');
    await page.waitForFunction(
      () =>
        document.querySelectorAll<HTMLInputElement>('[data-test=move]')[2]!.value === 'aft 1380',
    );
    for (const _ of [1, 2]) await pressNamed(page, 'Undo');
    await page.waitForFunction(
      (was) => document.querySelectorAll<HTMLInputElement>('[data-test=move]')[2]!.value === was,
      {},
      before[2],
    );
    expect(complaints).toEqual([]);
  });

  test('ways are found in the worker, one is taken, and it is still there after a reload', async () => {
    const { page, complaints } = await watch(run.browser, run.server.url);
    await openPlan(page, run.server.url, 'gannet', 'route');
    await page.click('[data-line="line-r1"]');
    await drawn(page);
    await pressNamed(page, 'Find a route');
    await page.waitForSelector('fl-find-way');
    await pressNamed(page, 'Find routes');
    await page.waitForSelector('[data-way="1"]', { timeout: 60_000 });
    await page.click('[data-way="0"] button');
    await page.waitForFunction(() => !document.querySelector('fl-find-way'));
    const taken = await moves(page);
    await settled(page);
    await page.reload({ waitUntil: 'load' });
    await settled(page);
    await page.click('[data-line="line-r1"]');
    expect(await moves(page)).toEqual(taken);
    expect(complaints).toEqual([]);
  });

  test('drawings and files are handed out, and center lines are read back or refused', async () => {
    const { page, complaints } = await watch(run.browser, run.server.url);
    const folder = mkdtempSync(join(tmpdir(), 'firm-line-files-'));
    const client = await page.createCDPSession();
    await client.send('Browser.setDownloadBehavior', { behavior: 'allow', downloadPath: folder });
    await openPlan(page, run.server.url, 'gannet', 'route');
    await pressNamed(page, 'Drawings and files…');
    for (const name of ['Flat views, DXF', 'Brackets 1:1, DXF', 'Tubes, STEP', 'Center lines, CSV'])
      await pressNamed(page, name);
    for (
      let i = 0;
      i < 100 && readdirSync(folder).filter((f) => !f.endsWith('.crdownload')).length < 4;
      i++
    )
      await new Promise((done) => setTimeout(done, 100));
    expect(readdirSync(folder).sort()).toEqual([
      'gannet-brackets.dxf',
      'gannet-flat.dxf',
      'gannet-lines.csv',
      'gannet-tubes.step',
    ]);
    const step = readFileSync(join(folder, 'gannet-tubes.step'), 'utf8');
    expect(step).toMatch(/^ISO-10303-21;[\s\S]*TOROIDAL_SURFACE/);
    const csv = readFileSync(join(folder, 'gannet-lines.csv'), 'utf8');
    const input = (await page.$(
      'fl-line-files input[type=file]',
    )) as ElementHandle<HTMLInputElement>;
    const give = async (text: string, name = 'given.csv'): Promise<void> => {
      const file = join(folder, name);
      writeFileSync(file, text);
      await input.uploadFile(file);
    };
    await give(csv.replace('R1,2,720', 'R1,2,seven'));
    await waitText(page, 'fl-line-files .fault', '"seven" in x_mm is not a coordinate');
    await give(csv.replaceAll('R1,', 'R9,'));
    await waitText(page, 'fl-line-files .fault', 'No line in this plan is called R9');
    await give(csv.replace('R1,2,720', 'R1,2,760'));
    await page.click('[data-line="line-r1"]');
    await page.waitForFunction(() =>
      document
        .querySelectorAll<HTMLInputElement>('[data-test=move]')[1]!
        .value.startsWith('aft 260'),
    );
    await give('solid a', 'given.stp');
    await waitText(page, 'fl-line-files .fault', 'Not a STEP file');
    await give(step, 'given.step');
    await page.waitForFunction(() =>
      document
        .querySelectorAll<HTMLInputElement>('[data-test=move]')[1]!
        .value.startsWith('aft 220'),
    );
    expect(complaints).toEqual([]);
  });

  test('a mesh is brought in and measured to; what is none ends in a sentence and an unchanged plan', async () => {
    const { page, complaints } = await watch(run.browser, run.server.url);
    await openPlan(page, run.server.url, 'gannet', 'measure');
    await pressNamed(page, 'Vehicle');
    await pressNamed(page, 'Add a scan or model…');
    const folder = mkdtempSync(join(tmpdir(), 'firm-line-mesh-'));
    const give = async (name: string, text: string): Promise<void> => {
      writeFileSync(join(folder, name), text);
      await (
        (await page.$('fl-vehicle-list input[type=file]')) as ElementHandle<HTMLInputElement>
      ).uploadFile(join(folder, name));
    };
    const things = (): Promise<number> => page.$$eval('[data-thing]', (all) => all.length);
    const before = await things();
    await give('letter.glb', 'this is a letter to my aunt');
    await waitText(page, 'fl-vehicle-list .fault', 'letter.glb: it cannot be read as GLB');
    await give('empty.obj', '');
    await waitText(page, 'fl-vehicle-list .fault', 'empty.obj: the file is empty');
    expect(await things()).toBe(before);
    // A plate beside R1, 5 mm from its middle, drawn in inches by mistake of its maker.
    await give(
      'plate.obj',
      'v 1000 -330 400\nv 1400 -330 400\nv 1400 -330 470\nv 1000 -330 470\nf 1 2 3 4\n',
    );
    await page.waitForFunction(
      (n) => document.querySelectorAll('[data-thing]').length === n + 1,
      {},
      before,
    );
    await page.click('fl-station-nav a[href$="/route"]');
    await page.waitForSelector('[data-line="line-r1"]');
    await page.click('[data-line="line-r1"]');
    await waitText(page, 'fl-move-list', 'from plate.obj, 5 required');
    await settled(page);
    await page.reload({ waitUntil: 'load' });
    await settled(page);
    await page.click('[data-line="line-r1"]');
    await waitText(page, 'fl-move-list', 'from plate.obj, 5 required');
    expect(await textOf(page, 'fl-move-list')).not.toContain('not in this browser');
    expect(complaints).toEqual([]);
  });
});
