import { handleAt, openPlan, settled, watch, withBrowser } from './browser';
import { openHoses } from './hoses';
import { pressNamed, textOf, waitText } from './keyboard';

jest.setTimeout(180_000);
const run = withBrowser('spec');

describe('Hoses in the browser', () => {
  test('a hose that kinks is found, mended by the shortest that serves, and still mended after a reload', async () => {
    const { page, complaints } = await watch(run.browser, run.server.url);
    await openPlan(page, run.server.url, 'wheatear', 'route');
    await openHoses(page);
    await page.click('[data-hose=hose-fr]');
    await waitText(page, 'fl-hoses-page', '38 is the minimum');
    await waitText(page, '[data-test=hose-live]', 'kinks');
    await pressNamed(page, 'Lengths that work');
    await page.waitForSelector('[data-test=hose-lengths] button', { timeout: 60_000 });
    await pressNamed(page, 'Use the shortest, 330');
    await settled(page);
    await waitText(page, 'label[for=hose-length] span', '330 mm');
    expect(await textOf(page, '[data-test=hose-cells]')).not.toContain('kinks');
    await page.reload({ waitUntil: 'load' });
    await settled(page);
    await openHoses(page);
    await page.click('[data-hose=hose-fr]');
    await waitText(page, 'label[for=hose-length] span', '330 mm');
    expect(complaints).toEqual([]);
  });

  test('its bracket is dragged along the rail: the verdicts follow, and undo puts it back', async () => {
    const { page, complaints } = await watch(run.browser, run.server.url);
    await openPlan(page, run.server.url, 'wheatear', 'route');
    await openHoses(page);
    const cells = (): Promise<string> => textOf(page, '[data-test=hose-cells]');
    const before = await cells();
    expect(before).not.toMatch(/kinks|reach/);
    // The picture is brought to the hose first.
    await new Promise((done) => setTimeout(done, 1000));
    const { x, y } = await handleAt(page, 0);
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x + 100, y - 25, { steps: 4 });
    await waitText(page, '[data-test=hose-cells]', 'does not reach');
    await page.mouse.up();
    await settled(page);
    await waitText(page, '[data-test=hose-cells]', 'does not reach');
    await pressNamed(page, 'Undo');
    await page.waitForFunction(
      (was) => document.querySelector('[data-test=hose-cells]')!.textContent!.trim() === was,
      {},
      before,
    );
    expect(complaints).toEqual([]);
  });

  test('the sweep plays in the scene, a state is one tap away, and what cannot be is said', async () => {
    const { page, complaints } = await watch(run.browser, run.server.url);
    await openPlan(page, run.server.url, 'wheatear', 'route');
    await openHoses(page);
    await page.waitForFunction(
      'Number(document.querySelector("[data-test=space]")?.dataset.calls) > 5',
      { timeout: 30_000 },
    );
    const shown = (): Promise<string> =>
      page.$eval('[data-test=space]', (canvas) => (canvas as HTMLCanvasElement).toDataURL());
    const before = await shown();
    await page.click('[data-test=hose-play]');
    await page.waitForFunction(
      () =>
        !/bump$|ride$/.test(document.querySelector('label[for=hose-heave]')!.textContent!.trim()),
      {
        timeout: 10_000,
      },
    );
    await page.click('[data-test=hose-play]');
    expect(await shown()).not.toBe(before);
    await page.click('[data-test=hose-worst]');
    await waitText(page, 'label[for=hose-heave]', '50 bump');
    await pressNamed(page, 'Hose details');
    await page.waitForSelector('dialog[open] #hose-made');
    await page.$eval('#hose-made', (field) => ((field as HTMLInputElement).value = 'last year'));
    await page.$eval('#hose-made', (field) =>
      field.dispatchEvent(new Event('change', { bubbles: true })),
    );
    await waitText(page, 'fl-hose-form', '"last year" is not a year and month');
    expect(complaints).toEqual([]);
  });
});
