import { STATIONS } from '../app/src/stations/registry';
import { goTo, openPlan, settled, watch, withBrowser } from './browser';
import { driveFields, keptPlan } from './fields';
import { pressAll } from './press';

jest.setTimeout(300_000);
const run = withBrowser();

// What was driven and pressed in one plan is not again in the next, but in a long run.
const isLong = process.env['LONG_TESTS'] !== undefined;
const known = { driven: new Set<string>(), pressed: {} as Record<string, Set<string>> };

test.each(['gannet', 'wheatear', 'dunlin'])(
  'every field of every form of %s takes what is beyond its limits with a sentence, and the plan opens again',
  async (id) => {
    // With no WebGL: its scene has no field, and drawing it takes a processor's time.
    const { page, complaints } = await watch(run.browser, run.server.url, 'flat');
    await openPlan(page, run.server.url, id, 'measure');
    const { driven, pressed } = isLong
      ? { driven: new Set<string>(), pressed: {} as Record<string, Set<string>> }
      : known;
    for (const { path } of STATIONS) {
      await goTo(page, path);
      const before = driven.size;
      await driveFields(page, driven);
      const found = await pressAll(page, (pressed[path] ??= new Set()), () =>
        driveFields(page, driven),
      );
      expect(found).toEqual([]);
      await settled(page);
      await keptPlan(page, id);
      if (id === 'gannet' && path === 'measure') expect(driven.size).toBeGreaterThan(before + 5);
    }
    expect(driven.size).toBeGreaterThan(20);
    expect(complaints).toEqual([]);
    await openPlan(page, run.server.url, id, 'route');
  },
);
