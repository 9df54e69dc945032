import { existsSync, mkdtempSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { parse } from 'exifr';
import * as piexif from 'piexifjs';
import type { ElementHandle, Page } from 'puppeteer-core';
import { launch, openPlan, settled, watch, withBrowser } from './browser';
import { clickOn, pressNamed, textOf, waitText } from './keyboard';

jest.setTimeout(240_000);
const run = withBrowser('spec');

/** Types into the field of that label, within a part of the page. */
async function type(page: Page, within: string, label: string, text: string): Promise<void> {
  await page.evaluate(
    (part, name, value) => {
      const fields = [
        ...document.querySelectorAll<HTMLInputElement>(`${part} input, ${part} textarea`),
      ];
      const field = fields.find(({ labels }) =>
        [...labels!].some((one) => one.textContent!.trim() === name),
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
  await settled(page);
}
async function openPage(
  page: Page,
  name: string,
  url = run.server.url,
  plan = 'gannet',
): Promise<void> {
  await openPlan(page, url, plan, 'fit');
  await pressNamed(page, name);
}

test('a caliper is fitted over its disc on both sides, each with its own shims and bolt', async () => {
  const { page, complaints } = await watch(run.browser, run.server.url);
  await openPage(page, 'Calipers');
  const left = 'fl-caliper-form[aria-label="Front left"]';
  const right = 'fl-caliper-form[aria-label="Front right"]';
  for (const [side, inner, outer] of [
    [left, '4.2', '2.6'],
    [right, '3', '3.4'],
  ] as const) {
    await type(page, side, 'Gap on the inner side', inner);
    await type(page, side, 'Gap on the outer side', outer);
    await type(page, side, 'Shims in while measuring', '1.5');
  }
  const verdict = (side: string): Promise<string> => textOf(page, `${side} [data-test=shims]`);
  expect(await verdict(left)).toMatch(/2.3 mm of shims needed: enter all the shims you have/);
  for (const side of [left, right]) {
    await page.$eval(side, (form) =>
      [...form.querySelectorAll('button')]
        .find((b) => b.textContent!.includes('Add a thickness'))!
        .click(),
    );
    await settled(page);
    await type(page, side, 'How many', '5');
  }
  // By hand: 1.5 + (4.2 − 2.6)/2 = 2.3, five of 0.5 are 2.5; 1.5 + (3 − 3.4)/2 = 1.3, three of 0.5 are 1.5.
  expect(await verdict(left)).toMatch(/5 of 0.5 mm, together 2.5 mm, 0.2 mm off center: good/);
  expect(await verdict(right)).toMatch(/3 of 0.5 mm, together 1.5 mm, 0.2 mm off center: good/);
  await type(page, left, 'Bolt, under its head', '38');
  await type(page, left, 'Bracket and ear, thickness', '22');
  await type(page, left, 'Washers', '2.5');
  expect(await page.$(`${left} [data-test=bolt]`)).toBeNull();
  await type(page, left, 'Thread that must hold', '12');
  await waitText(
    page,
    `${left} [data-test=bolt]`,
    'Wrong: too short. One of 39 mm or more is right.',
  );
  await page.$eval(left, (form) =>
    [...form.querySelectorAll('button')]
      .find((b) => b.textContent!.includes('Fit this stack'))!
      .click(),
  );
  await settled(page);
  await page.reload({ waitUntil: 'load' });
  await settled(page);
  await pressNamed(page, 'Calipers');
  await waitText(page, `${left} [data-test=shims]`, '2.5 mm fitted now');
  await clickOn(page, '[data-test=snags]');
  await waitText(page, 'fl-snag-drawer', 'Only 11 mm of the bolt’s thread engages, and 12 mm must');
  expect(complaints).toEqual([]);
});

test('a table of wires is filled from readings, and what is out of range is said', async () => {
  const { page, complaints } = await watch(run.browser, run.server.url);
  await openPage(page, 'Wiring', run.server.url, 'dunlin');
  await pressNamed(page, 'Start the table');
  await page.waitForSelector('[data-wire=signal]');
  for (const [test, volts] of [
    ['rest', '0.1'],
    ['half', '5.5'],
    ['full', '8.1'],
  ] as const)
    await type(
      page,
      '[data-wire=signal]',
      `V ${{ rest: 'at rest', half: 'half braking', full: 'full braking' }[test]}`,
      volts,
    );
  expect(await textOf(page, '[data-wire=signal] [data-test=volts-half]')).toMatch(/^good/);
  expect(await textOf(page, '[data-wire=signal] [data-test=volts-full]')).toBe(
    'too low: 10.5 to 14.8 V',
  );
  await clickOn(page, '[data-test=snags]');
  await waitText(page, 'fl-snag-drawer', 'The wire reads 8.1 V full braking');
  await waitText(page, 'fl-snag-drawer', 'the breakaway switch is not');
  expect(complaints).toEqual([]);
});

test('a photograph is kept without the place it was taken at, and comes back with its plan in another profile', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'firm-line-'));
  const { page, complaints } = await watch(run.browser, run.server.url);
  await openPage(page, 'Log');
  // A picture as a telephone takes it: with where it was and what took it.
  const plain = await page.evaluate(() => {
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [2400, 1800];
    const pen = canvas.getContext('2d')!;
    for (let i = 0; i < 40; i++) {
      pen.fillStyle = `hsl(${i * 9} 60% 50%)`;
      pen.fillRect(i * 60, i * 20, 300, 500);
    }
    return canvas.toDataURL('image/jpeg', 0.9);
  });
  const tags = piexif.dump({
    '0th': { [piexif.ImageIFD.Make!]: 'Camera maker' },
    GPS: {
      [piexif.GPSIFD.GPSLatitudeRef!]: 'N',
      [piexif.GPSIFD.GPSLatitude!]: [
        [51, 1],
        [30, 1],
        [0, 1],
      ],
      [piexif.GPSIFD.GPSLongitudeRef!]: 'E',
      [piexif.GPSIFD.GPSLongitude!]: [
        [7, 1],
        [15, 1],
        [0, 1],
      ],
    },
  });
  const photo = join(folder, 'hose.jpg');
  writeFileSync(photo, Buffer.from(piexif.insert(tags, plain).split(',')[1]!, 'base64'));
  expect(await parse(readFileSync(photo), { gps: true })).toMatchObject({
    Make: 'Camera maker',
    latitude: 51.5,
  });
  writeFileSync(join(folder, 'no-picture.jpg'), 'nonsense');

  const give = async (name: string): Promise<void> => {
    await (
      (await page.$('[data-test=photo-files] input')) as ElementHandle<HTMLInputElement>
    ).uploadFile(join(folder, name));
  };
  await give('no-picture.jpg');
  await waitText(
    page,
    'fl-add-photos',
    'no-picture.jpg: The file cannot be read as a picture. Save it as JPEG or PNG.',
  );
  await give('hose.jpg');
  await page.waitForSelector('[data-test=new-photo] img');
  await type(page, 'fl-log-page form', 'Observation', 'Hose chafed at the bracket');
  await pressNamed(page, 'Add entry');
  await page.waitForSelector('[data-test=entry] img');
  await page.waitForFunction(() =>
    document.querySelector('header')!.textContent!.includes('· saved'),
  );
  const kept = await page.evaluate(
    () =>
      new Promise<string>((done, failed) => {
        const asked = indexedDB.open('firm-line');
        asked.onsuccess = () => {
          const all = asked.result.transaction('photos').objectStore('photos').getAll();
          all.onsuccess = () => {
            const reader = new FileReader();
            reader.onload = () => done(reader.result as string);
            reader.readAsDataURL((all.result as { picture: Blob }[])[0]!.picture);
          };
          all.onerror = () => failed(all.error!);
        };
      }),
  );
  const bytes = Buffer.from(kept.split(',')[1]!, 'base64');
  expect(await parse(bytes, { gps: true }).catch(() => undefined)).toBeUndefined();
  // No marker of tags at all: APP1 is FF E1.
  expect(bytes.includes(Buffer.from([0xff, 0xe1]))).toBe(false);
  expect(bytes.length).toBeLessThan(statSync(photo).size);

  const session = await run.browser.target().createCDPSession();
  await session.send('Browser.setDownloadBehavior', { behavior: 'allow', downloadPath: folder });
  await pressNamed(page, 'Export with photographs');
  const zip = join(folder, 'gannet.firmline.zip');
  for (let i = 0; i < 200 && !existsSync(zip); i++)
    await new Promise((done) => setTimeout(done, 50));
  expect(complaints).toEqual([]);
  await page.close();

  const other = await launch();
  try {
    const there = await watch(other, run.server.url);
    await there.page.goto(run.server.url, { waitUntil: 'load' });
    await there.page.waitForSelector('input[type=file]');
    await ((await there.page.$('input[type=file]')) as ElementHandle<HTMLInputElement>).uploadFile(
      zip,
    );
    await there.page.waitForSelector('[data-test=plan-row] a');
    await clickOn(there.page, '[data-test=plan-row] a');
    await settled(there.page);
    await there.page.evaluate(() =>
      (document.querySelector('fl-station-nav a[href*="/fit"]') as HTMLElement).click(),
    );
    await there.page.waitForSelector('fl-fit-station fl-page-nav a');
    await pressNamed(there.page, 'Log');
    await waitText(there.page, '[data-test=entry]', 'Hose chafed at the bracket');
    await there.page.waitForFunction(
      () =>
        (document.querySelector('[data-test=entry] img') as HTMLImageElement | null)
          ?.naturalWidth === 320,
    );
    expect(there.complaints).toEqual([]);
  } finally {
    await other.close();
  }
});
