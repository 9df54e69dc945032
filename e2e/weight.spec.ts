import { watch, withBrowser } from './browser';
import { kilobytesBefore, kilobytesInAll } from './weight';

jest.setTimeout(120_000);
const run = withBrowser();

describe('what is loaded before something is seen', () => {
  test('the list of plans: neither the validator, nor the rules, nor the simulation', async () => {
    const { page } = await watch(run.browser, run.server.url);
    const sum = await kilobytesBefore(page, `${run.server.url}/`, 'fl-plans-page h1');
    expect(sum).toBeGreaterThan(50);
    expect(sum).toBeLessThan(130);
  });
  test('an open plan, until its strip is there', async () => {
    const { page } = await watch(run.browser, run.server.url);
    const sum = await kilobytesBefore(page, `${run.server.url}/plan/gannet/route`, 'fl-strip svg');
    expect(sum).toBeGreaterThan(100);
    expect(sum).toBeLessThan(230);
  });
  test('all of it, for those who go on with no network', () => {
    expect(kilobytesInAll()).toBeGreaterThan(1000);
    expect(kilobytesInAll()).toBeLessThan(1900);
  });
});
