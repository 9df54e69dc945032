import { mkdirSync } from 'node:fs';
import { launch, openPlan, ROOT, serve, watch } from '../e2e/browser.ts';

/** Rewrites docs/screenshots from the demo plan: one picture of each main view. */
const SHOTS: readonly {
  name: string;
  station: string;
  plan?: string;
  line?: string;
  press?: string;
  taps?: readonly string[];
  /** Pressed until none of it is left, and what is tapped after that. */
  all?: string;
  then?: readonly string[];
  settleMs?: number;
  wait?: string;
  /** Brought into the picture inside its own scroller. */
  show?: string;
}[] = [
  { name: 'measure', station: 'measure/places' },
  { name: 'vehicle', station: 'measure/vehicle' },
  {
    name: 'ways',
    station: 'route',
    line: 'line-r1',
    taps: ['Find a route', 'Find routes'],
    wait: '[data-way="1"]',
  },
  {
    name: 'hoses',
    station: 'route',
    plan: 'wheatear',
    taps: ['Hoses (5)'],
    wait: '[data-test=hose-cells]',
  },
  { name: 'size', station: 'size' },
  { name: 'plumb', station: 'plumb' },
  { name: 'route', station: 'route', line: 'line-r1' },
  { name: 'join', station: 'join', line: 'line-f2-b' },
  { name: 'make', station: 'make', line: 'line-r3' },
  { name: 'cuts', station: 'make/cuts', wait: '[data-test=cuts-sum]' },
  { name: 'fit', station: 'fit', wait: '[data-task]' },
  {
    name: 'fill',
    station: 'fill/run',
    all: '[data-before][aria-pressed=false]',
    then: [
      'Start bleeding',
      'Open',
      'Down',
      'Closed',
      'Open',
      'Down',
      'Closed',
      'Open',
      'Down',
      'Closed',
      'Bubbles',
    ],
  },
  { name: 'prove', station: 'prove/curve', taps: ['Gauge and sensor'], settleMs: 5000 },
  { name: 'snags', station: 'route', line: 'line-r2', press: 's' },
];

const folder = `${ROOT}/docs/screenshots`;
mkdirSync(folder, { recursive: true });
const server = await serve();
const browser = await launch();
try {
  const { page } = await watch(browser, server.url);
  for (const shot of SHOTS) {
    await openPlan(page, server.url, shot.plan ?? 'gannet', shot.station);
    if (shot.line) await page.click(`[data-line="${shot.line}"], [data-joint="${shot.line}"]`);
    if (shot.station === 'route')
      await page.waitForFunction(
        'Number(document.querySelector("[data-test=space]")?.dataset.calls) > 5',
      );
    const tapAll = async (taps: readonly string[] = []): Promise<void> => {
      for (const tap of taps) {
        const button = `[...document.querySelectorAll('button')].find((b) => b.textContent.trim().startsWith(${JSON.stringify(tap)}))`;
        await page.waitForFunction(`${button} !== undefined`);
        await page.evaluate(`${button}.click()`);
        await new Promise((done) => setTimeout(done, 150));
      }
    };
    await tapAll(shot.taps);
    if (shot.all)
      for (let one = await page.waitForSelector(shot.all); one; one = await page.$(shot.all)) {
        await one.evaluate((element) => (element as HTMLElement).click());
        await new Promise((done) => setTimeout(done, 150));
      }
    await tapAll(shot.then);
    if (shot.settleMs) await new Promise((done) => setTimeout(done, shot.settleMs));
    if (shot.wait) await page.waitForSelector(shot.wait, { timeout: 60_000 });
    if (shot.show)
      await page.$eval(shot.show, (place) => place.scrollIntoView({ block: 'nearest' }));
    if (shot.press) await page.keyboard.press(shot.press as 's');
    await page.evaluate(async () => {
      await document.fonts.ready;
      (document.activeElement as HTMLElement | null)?.blur();
    });
    await new Promise((done) => setTimeout(done, 800));
    await page.screenshot({ path: `${folder}/${shot.name}.png` });
  }
  await page.emulateMediaFeatures([{ name: 'prefers-color-scheme', value: 'dark' }]);
  await openPlan(page, server.url, 'gannet', 'route');
  await page.click('[data-line=line-r1]');
  await page.waitForFunction(
    'Number(document.querySelector("[data-test=space]")?.dataset.calls) > 5',
  );
  await new Promise((done) => setTimeout(done, 800));
  await page.screenshot({ path: `${folder}/dark.png` });
  await page.emulateMediaFeatures([{ name: 'prefers-color-scheme', value: 'light' }]);
  // A plan is set out, and what is worth taping first is looked at.
  await page.goto(`${server.url}/new`, { waitUntil: 'load' });
  await page.waitForFunction(
    'document.querySelector("[data-test=sums]")?.textContent.includes("clips")',
    { timeout: 60_000 },
  );
  await page.screenshot({ path: `${folder}/set-out.png` });
  await page.click('footer .btn-main');
  await page.waitForSelector('ol[aria-label="Places worth measuring"] button', { timeout: 60_000 });
  await page.click('ol[aria-label="Places worth measuring"] button');
  await new Promise((done) => setTimeout(done, 800));
  await page.screenshot({ path: `${folder}/first.png` });
  for (const [name, path] of [
    ['practice', 'practice'],
    ['plans', ''],
  ]) {
    await page.goto(`${server.url}/${path}`, { waitUntil: 'networkidle0' });
    await page.screenshot({ path: `${folder}/${name}.png` });
  }
} finally {
  await browser.close();
  await server.stop();
}
