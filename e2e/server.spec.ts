import { spawnSync } from 'node:child_process';
import { createServer, type AddressInfo } from 'node:net';
import { goTo, openPlan, ROOT, watch, withBrowser } from './browser';
import { SCREENS, STATIONS } from '../app/src/stations/registry';
import { textOf, waitText } from './keyboard';

jest.setTimeout(120_000);
const run = withBrowser();

/** The server started with a wrong environment: how it ended and what it said. */
const started = (env: Record<string, string>): { code: number | null; said: string } => {
  const { status, stderr } = spawnSync(process.execPath, ['server/dist/main.js'], {
    cwd: ROOT,
    env: { ...process.env, ...env },
    encoding: 'utf8',
    timeout: 20_000,
  });
  return { code: status, said: stderr.trim() };
};

describe('the server as it is started', () => {
  test('a taken port is said in a sentence', async () => {
    const taken = createServer();
    await new Promise<void>((done) => taken.listen(0, 'localhost', done));
    const { port } = taken.address() as AddressInfo;
    expect(started({ PORT: String(port) })).toEqual({
      code: 1,
      said: `Port ${port} is in use. Choose another with PORT=4311 npm run demo.`,
    });
    await new Promise((done) => taken.close(done));
  });
  test.each(['eighty', '-1', '70000'])('a PORT of %s is refused', (port) => {
    expect(started({ PORT: port })).toEqual({
      code: 1,
      said: `PORT is "${port}". It should be a number from 0 to 65535.`,
    });
  });
  test('it is well, and the page may load nothing from elsewhere', async () => {
    const { page } = await watch(run.browser, run.server.url);
    const response = await page.goto(`${run.server.url}/healthz`);
    expect(await response!.json()).toEqual({ ok: true });
    expect(response!.headers()['content-security-policy']).toMatch(/default-src 'self'/);
  });
});

describe('the demo plans in the browser', () => {
  test.each([
    ['gannet', 7],
    ['wheatear', 8],
    ['dunlin', 6],
  ])(
    '%s opens at every station with its %i lines and nothing in the console',
    async (id, lines) => {
      const { page, complaints } = await watch(run.browser, run.server.url);
      await openPlan(page, run.server.url, id, 'measure');
      // Each screen by its link in one plan, the last page of each station by its address; in the others the stations.
      const byAddress = new Set(
        STATIONS.map(
          ({ path: of }) => SCREENS.findLast((one) => one.path.split('/')[0] === of)!.path,
        ),
      );
      for (const { path, name } of id === 'gannet' ? SCREENS : STATIONS) {
        await (id === 'gannet' && byAddress.has(path)
          ? openPlan(page, run.server.url, id, path)
          : goTo(page, path));
        expect(await textOf(page, 'main h1')).toBe(name.split(',')[0]);
        expect(new URL(page.url()).pathname).toContain(`/plan/${id}/${path}`);
      }
      await goTo(page, 'route');
      expect(await page.$$eval('fl-line-tabs [data-line]', (all) => all.length)).toBe(lines);
      await goTo(page, 'fill');
      await waitText(page, 'fl-fill-station', 'Fluid to buy');
      expect(complaints).toEqual([]);
    },
  );

  test('a plan that is nowhere says so and leads back', async () => {
    const { page, complaints } = await watch(run.browser, run.server.url);
    await page.goto(`${run.server.url}/plan/nowhere/route`, { waitUntil: 'load' });
    await waitText(page, 'main', 'No plan at this address');
    await page.click('main a');
    await waitText(page, 'main', 'Plans in this browser');
    expect(complaints).toEqual([]);
  });
});
