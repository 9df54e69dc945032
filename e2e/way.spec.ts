import { openPlan, settled, watch, withBrowser } from './browser';
import { choose, fill, press, tabTo, textOf, waitText } from './keyboard';

jest.setTimeout(180_000);
const run = withBrowser();
const SIGMAS = 'fl-place-detail fl-vector-field:nth-of-type(2)';

describe('the whole way, by keyboard alone', () => {
  test('from an empty plan to a bend card and a bleed order', async () => {
    const { page, complaints } = await watch(run.browser, run.server.url);
    await page.goto(run.server.url, { waitUntil: 'load' });
    await page.waitForSelector('header .btn-main');
    await press(page, 'header .btn-main');
    await page.waitForSelector('fl-set-out-page');
    await press(page, 'fl-set-out-page header .btn:last-of-type');
    await page.waitForSelector('fl-place-list');
    await settled(page);

    // Four datums, three typed in millimeters and one as a tape in inches reads it.
    const datums = [
      ['0', '-400', '500'],
      ['0', '400', '500'],
      ['1200', '-400', '500'],
      ['24 in', '0', '900'],
    ];
    for (const [i, at] of datums.entries()) {
      await press(page, 'fl-place-list .btn');
      await waitText(page, 'fl-place-detail h2', `Point ${i + 1}`);
      await tabTo(page, 'input[name=how]');
      await page.keyboard.press('ArrowDown');
      for (const [axis, value] of at.entries())
        await fill(
          page,
          `fl-place-detail fl-vector-field:first-of-type fl-length-field:nth-of-type(${axis + 1}) input`,
          value,
        );
      for (const axis of [1, 2, 3])
        await fill(page, `${SIGMAS} fl-length-field:nth-of-type(${axis}) input`, '1');
    }
    expect(await textOf(page, 'fl-place-detail dl')).toMatch(/609\.6 ±2/);

    // A master's outlet, taped from the four datums: 503, 969, 877 and 481 by a tape.
    await choose(page, 'fl-place-list select', 'Master');
    await press(page, 'fl-place-list form .btn');
    await waitText(page, 'fl-place-detail h2', 'Master cylinder, outlet');
    await tabTo(page, 'input[name=how]');
    for (let i = 0; i < 3; i++) await page.keyboard.press('ArrowDown');
    await page.waitForSelector('fl-tape-table');
    for (const [i, read] of ['503', '960.5', '703', '613'].entries()) {
      await press(page, 'fl-tape-table > div .btn');
      await page.waitForSelector(`fl-tape-table tr:nth-child(${i + 1})`);
      await settled(page);
      await fill(page, `fl-tape-table tr:nth-child(${i + 1}) td:nth-child(2) input`, read);
    }
    await waitText(page, 'fl-place-detail dl', '499.8');

    // A wheel cylinder at a typed place.
    await choose(page, 'fl-place-list select', 'Wheel');
    await press(page, 'fl-place-list form .btn');
    await waitText(page, 'fl-place-detail h2', 'Wheel cylinder');
    await tabTo(page, 'input[name=how]');
    await page.keyboard.press('ArrowDown');
    for (const [axis, value] of ['2000', '-300', '450'].entries())
      await fill(
        page,
        `fl-place-detail fl-vector-field:first-of-type fl-length-field:nth-of-type(${axis + 1}) input`,
        value,
      );
    for (const axis of [1, 2, 3])
      await fill(page, `${SIGMAS} fl-length-field:nth-of-type(${axis}) input`, '2');
    await fill(page, '#port-way', 'left');

    // The line between them, cornered by moves in words, with a wrong one on the way.
    await tabTo(page, 'fl-station-nav a[href$="/route"]');
    await page.keyboard.press('Enter');
    await page.waitForSelector('fl-route-station .btn-main');
    await press(page, 'fl-route-station .btn-main');
    await page.waitForSelector('dialog[open] #line-name');
    await fill(page, '#line-title', 'Master to rear wheel');
    await choose(page, '#port-a', 'Master');
    await choose(page, '#port-b', 'Wheel');
    await press(page, 'dialog[open] .btn-main');
    await page.waitForSelector('#move-line');
    for (const move of ['right 60', 'afft 300', 'aft 300']) {
      await fill(page, '#move-line', move);
      await tabTo(page, '#move-line');
      await page.keyboard.press('Enter');
    }
    await page.waitForFunction(() => document.querySelectorAll('[data-test=move]').length === 2);
    const moves = await page.$$eval('[data-test=move]', (rows) =>
      rows.map((row) => (row as HTMLInputElement).value),
    );
    expect(moves).toEqual(['right 60', 'aft 300']);
    await page.waitForSelector('fl-strip svg');
    const cut = await textOf(page, '[data-test=cut]');

    // Undo and redo by keys, out of any field.
    await tabTo(page, 'fl-route-station aside .btn');
    await page.keyboard.down('Control');
    await page.keyboard.press('z');
    await page.keyboard.up('Control');
    await page.waitForFunction(() => document.querySelectorAll('[data-test=move]').length === 1);
    await page.keyboard.down('Control');
    await page.keyboard.down('Shift');
    await page.keyboard.press('Z');
    await page.keyboard.up('Shift');
    await page.keyboard.up('Control');
    await page.waitForFunction(() => document.querySelectorAll('[data-test=move]').length === 2);

    // The card, its locked flare, its kept ticks.
    await page.keyboard.press('6');
    await page.waitForSelector('fl-make-station [data-test=cut]');
    expect(await textOf(page, 'fl-make-station [data-test=cut]')).toBe(cut);
    expect(
      await page.$eval('[data-step=flare-a]', (box) => (box as HTMLInputElement).disabled),
    ).toBe(true);
    await tabTo(page, '[data-step^=test-]');
    await page.keyboard.press('Space');
    await page.waitForFunction(() => !document.querySelector('[data-step^=test-]'));
    await tabTo(page, '[data-step=nut-a]');
    await page.keyboard.press('Space');
    await page.waitForFunction(
      () => !(document.querySelector('[data-step=flare-a]') as HTMLInputElement).disabled,
    );
    await settled(page);
    await page.reload({ waitUntil: 'load' });
    await settled(page);
    expect(await page.$eval('[data-step=nut-a]', (box) => (box as HTMLInputElement).checked)).toBe(
      true,
    );

    // The order and the fluid.
    await page.keyboard.press('8');
    await page.waitForSelector('fl-fill-station [data-work=brake]');
    expect(await textOf(page, '[data-work=brake] tbody')).toMatch(/1 Wheel cylinder ?1\.\d\d m/);
    expect(await textOf(page, '[data-buy=Brakes]')).toBe('500 mL');
    expect(complaints).toEqual([]);
  });

  test('keys: find, next snag, units, the list of keys', async () => {
    const { page, complaints } = await watch(run.browser, run.server.url);
    await openPlan(page, run.server.url);
    await page.keyboard.press('/');
    await page.waitForSelector('fl-find-anything dialog[open]');
    await page.keyboard.type('clutch slave inlet');
    await page.keyboard.press('Enter');
    await waitText(page, 'fl-place-detail h2', 'Clutch slave, inlet');
    await page.keyboard.press('.');
    await waitText(page, 'fl-size-station', 'The rear wheels lock first');
    await page.keyboard.press('.');
    await waitText(page, 'fl-route-station h2', 'F3');
    await page.keyboard.press('.');
    await waitText(page, 'fl-route-station h2', 'R2');
    await page.keyboard.press('.');
    await waitText(page, 'fl-joint-panel h2', 'R1, end A');
    await page.keyboard.press('4');
    await page.waitForSelector('fl-route-station [data-test=cut]');
    await page.keyboard.press('u');
    await page.waitForFunction(() =>
      /\d\/\d/.test(document.querySelector('[data-test=cut]')!.textContent!),
    );
    await page.keyboard.press('u');
    await page.keyboard.press('?');
    await page.waitForSelector('fl-key-list dialog[open]');
    await page.keyboard.press('Escape');
    // A mend out of the snag drawer takes the snag away.
    await page.keyboard.press('s');
    await page.waitForSelector('fl-snag-drawer dialog[open]');
    expect(await textOf(page, 'fl-snag-drawer')).toContain('would be trapped between two bends');
    await press(page, '[aria-label="Go to F3, end B in Route"]');
    await waitText(page, 'fl-route-station h2', 'F3');
    await press(page, 'fl-move-list li fl-snag-row button');
    await page.waitForFunction(
      () =>
        !document
          .querySelector('fl-snag-drawer')!
          .textContent!.includes('would be trapped between two bends'),
    );
    expect(complaints).toEqual([]);
  });

  test('a whole circuit from a layout, a part added and joined, what is wrong shown on the drawing', async () => {
    const { page, complaints } = await watch(run.browser, run.server.url);
    await page.goto(run.server.url, { waitUntil: 'load' });
    await page.waitForSelector('header .btn-main');
    await press(page, 'header .btn-main');
    await page.waitForSelector('fl-set-out-page');
    await press(page, 'fl-set-out-page header .btn:last-of-type');
    await page.waitForSelector('fl-place-list');
    await settled(page);
    await page.keyboard.press('3');
    await page.waitForSelector('fl-plumb-station select[aria-label=Layout]');
    await choose(page, 'fl-plumb-station select[aria-label=Layout]', 'Two masters');
    await page.keyboard.press('Enter');
    await press(page, 'fl-plumb-station form:last-of-type .btn');
    await page.waitForSelector('fl-circuit-drawing [data-part]', { timeout: 20_000 });
    expect(await page.$$eval('fl-circuit-drawing [data-wire]', (wires) => wires.length)).toBe(6);
    // Each wire ends where its port is drawn.
    const apart = await page.evaluate(() => {
      const dots = [...document.querySelectorAll('fl-circuit-drawing circle')].map(
        (dot) => [Number(dot.getAttribute('cx')), Number(dot.getAttribute('cy'))] as const,
      );
      return [
        ...document.querySelectorAll<SVGPathElement>('fl-circuit-drawing [data-wire]'),
      ].flatMap((wire) =>
        [0, wire.getTotalLength()]
          .map((at) => wire.getPointAtLength(at))
          .map((p) => Math.min(...dots.map(([x, y]) => Math.hypot(x - p.x, y - p.y)))),
      );
    });
    expect(Math.max(...apart)).toBeLessThan(1);
    // A pressure switch is added and left open: the plan says nothing of it until a tee has a port for it.
    await choose(page, 'fl-plumb-station fl-add-part select', 'Tee');
    await press(page, 'fl-plumb-station fl-add-part .btn');
    await waitText(page, 'fl-part-panel h2', 'Tee');
    await choose(page, 'fl-part-panel select[aria-label^="Join inlet"]', 'Front tee');
    // Nothing is free to join to: every port of the layout is joined already.
    expect(
      await page.$$eval(
        'fl-part-panel select[aria-label^="Join inlet"] option',
        (options) => options.length,
      ),
    ).toBe(1);
    await page.evaluate(() =>
      (
        document.querySelector('[data-part] title')!.parentElement as unknown as SVGGElement
      ).dispatchEvent(new MouseEvent('click', { bubbles: true })),
    );
    await press(page, 'fl-part-panel button[aria-label^="Remove"]');
    await page.waitForFunction(
      () => document.querySelectorAll('fl-circuit-drawing [data-wire]').length === 5,
      { polling: 100 },
    );
    await waitText(page, '[data-test=snags]', 'snags');
    await press(page, '[data-test=snags]');
    await waitText(page, 'fl-snag-drawer', 'No line ends here and the port is not capped');
    await page.keyboard.press('Escape');
    await choose(page, 'fl-part-panel select[aria-label^="Join"]', 'Tee');
    await press(page, 'fl-part-panel form .btn');
    await page.waitForFunction(
      () => document.querySelectorAll('fl-circuit-drawing [data-wire]').length === 6,
      { polling: 100 },
    );
    expect(complaints).toEqual([]);
  });
});
