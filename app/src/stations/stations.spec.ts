import { station } from '../testing/station';

jest.mock('chart.js', () => jest.requireActual('../testing/chart-stub'));

describe('Route', () => {
  test('moves are read, taken up, and refused with their reason', async () => {
    const at = await station('route', 'r1');
    const rows = (): HTMLInputElement[] => [
      ...at.root.querySelectorAll<HTMLInputElement>('[data-test=move]'),
    ];
    expect(rows()[2]!.value).toBe('aft 1520');
    await at.type(rows()[2]!, 'aft 1600');
    expect(rows()[2]!.value).toBe('aft 1600');
    expect(rows()[4]!.value).toBe('aft 180');
    await at.type(rows()[2]!, 'afterwards 3');
    expect(at.texts('.fault')[0]).toMatch(/not a direction/);
    expect(at.store.plan().lines[3]!.cornersMm[2]![0]).toBe(2320);
  });

  test('a move without room names the corner and the shortfall, and the rest still shows', async () => {
    const at = await station('route', 'r2');
    await at.type(at.root.querySelectorAll<HTMLInputElement>('[data-test=move]')[4]!, 'aft 5');
    expect(at.texts('fl-snag-row').join(' ')).toMatch(
      /Between nodes 4 and 5 there are 5 mm, and the bends need 8\.9/,
    );
    expect(at.one('[data-test=no-strip]')).not.toBeNull();
  });

  test('the move line reads as it is typed and places a corner', async () => {
    const at = await station('route', 'r3');
    const field = at.one<HTMLInputElement>('#move-line');
    await at.type(field, 'aft 40, up', 'input');
    expect(at.texts('#move-reading')[0]).toMatch(/How far up/);
    await at.type(field, 'aft 40, up 20', 'input');
    expect(at.texts('#move-reading')[0]).toMatch(/Bends .*° at corner 6/);
    at.one<HTMLFormElement>('fl-move-line form').dispatchEvent(
      new Event('submit', { cancelable: true }),
    );
    expect(at.store.plan().lines[3]!.cornersMm).toHaveLength(7);
  });
});

describe('Make', () => {
  test('the flare stays locked until its nut is ticked, and ticks are kept', async () => {
    const at = await station('make', 'm1');
    const box = (id: string): HTMLInputElement => at.one<HTMLInputElement>(`[data-step="${id}"]`);
    expect([box('nut-a').disabled, box('flare-a').disabled]).toEqual([false, true]);
    await at.click(box('nut-a'));
    expect(box('flare-a').disabled).toBe(false);
    expect(at.store.plan().lines[3]!.ticks).toMatchObject([{ step: 'nut-a' }]);
  });

  test('ticks made to an older card count no more', async () => {
    const at = await station('make', 'm2', 'line-f2');
    expect(at.root.querySelectorAll('[data-step]:checked')).toHaveLength(4);
    at.store.apply({ edit: 'removeCorner', with: { id: 'line-f2', index: 1 } });
    await at.settle();
    expect(at.root.querySelectorAll('[data-step]:checked')).toHaveLength(0);
    expect(at.texts('fl-snag-row').join(' ')).toMatch(/4 steps were ticked on an older card/);
  });

  test('a card that rests on a guess says so, and shows how sure its length is', async () => {
    const at = await station('make', 'm3', 'line-r3');
    expect(at.root.textContent).toMatch(
      /Do not cut yet: Rear right, hose end at bracket is not measured/,
    );
    expect(at.root.textContent).toMatch(/±30\.5 \(2σ\)/);
  });
});

describe('Measure and Fill', () => {
  test('the tape to read again is named, and reading it again settles the place', async () => {
    const at = await station('measure', 'f1');
    expect(at.texts('h2').join(' ')).toContain('Clutch slave, inlet');
    expect(at.texts('[data-suspect] + tr')[0]).toMatch(/Read this tape again/);
    await at.type(at.one<HTMLInputElement>('[data-suspect] fl-length-field input'), '467.5');
    expect(at.root.querySelector('[data-suspect]')).toBeNull();
  });

  test('a length that cannot be read is said and not taken', async () => {
    const at = await station('measure', 'f2');
    const before = at.store.plan();
    await at.type(at.one<HTMLInputElement>('fl-tape-table fl-length-field input'), '4 furlongs');
    expect(at.texts('.fault')[0]).toMatch(/not a unit of length/);
    expect(at.store.plan()).toBe(before);
  });

  test('the order follows the school, and the fluid to buy stands in bottles', async () => {
    const at = await station('fill', 'f3');
    expect(at.texts('[data-work=brake] tbody tr td:first-child')).toEqual([
      '1 Rear right',
      '2 Rear left',
      '3 Front right',
      '4 Front left',
    ]);
    expect(at.texts('[data-buy]')).toEqual(['1 L', '250 mL', '1 L']);
    at.store.apply({ edit: 'changeBleeding', with: { patch: { school: 'nearest-first' } } });
    await new Promise((done) => setTimeout(done));
    expect(at.texts('[data-work=brake] tbody tr td:first-child')[0]).toBe('1 Front left');
  });
});

describe('Size', () => {
  const step = (at: { texts: (selector: string) => string[] }, name: string): string =>
    at.texts(`[data-step="${name}"]`)[0]!;

  test('the chain from foot to road follows a figure, and undo brings it back', async () => {
    const at = await station('size', 'z1');
    // 480 N x 6.2 x 0.9 = 2678 N on 387.95 mm².
    expect([step(at, 'Lever'), step(at, 'Master')]).toEqual(['2.7 kN', '6.9 MPa']);
    const foot = [...at.root.querySelectorAll<HTMLElement>('fl-number-field')].find((f) =>
      f.textContent!.includes('Foot, N'),
    )!;
    await at.type(foot.querySelector('input')!, '240');
    expect(step(at, 'Master')).toBe('3.5 MPa');
    at.store.undo();
    await new Promise((done) => setTimeout(done));
    expect(step(at, 'Master')).toBe('6.9 MPa');
  });

  test('a figure that cannot be is said and not taken', async () => {
    const at = await station('size', 'z2');
    const share = [...at.root.querySelectorAll<HTMLElement>('fl-number-field')].find((f) =>
      f.textContent!.includes('Efficiency'),
    )!;
    const before = at.store.plan();
    await at.type(share.querySelector('input')!, '0');
    expect(at.texts('.fault')[0]).toMatch(/0 cannot be used: must be 0\.1 or more/);
    expect(at.store.plan()).toBe(before);
  });

  test('a valve that tames the rear and leaves stops too long is not offered; a guess stays marked until it is confirmed', async () => {
    const at = await station('size', 'z3');
    expect(at.root.textContent).toMatch(/The rear locks first from z 0\.68/);
    expect(at.texts('fl-snag-row button').join()).not.toContain('Try this valve');
    at.store.apply({
      edit: 'setFigure',
      with: { of: 'sizing', path: 'rearValve', to: { slope: 0.59, kneeMPa: 2.59 } },
    });
    await at.settle();
    expect(at.root.textContent).toMatch(/The rear stays behind the front/);
    expect(at.texts('button').filter((text) => text === 'Confirm')).toHaveLength(3);
    await at.click(
      [...at.root.querySelectorAll<HTMLElement>('button')].find((b) =>
        b.textContent!.includes('Confirm'),
      )!,
    );
    expect(at.store.plan().sizing!.open).toHaveLength(2);
  });

  test('other kinds of brake and master come with guesses, and two versions stand side by side', async () => {
    const at = await station('size', 'z4');
    const button = (name: string): HTMLElement =>
      [...at.root.querySelectorAll<HTMLElement>('button')].find(
        (b) => b.textContent!.trim() === name,
      )!;
    await at.click(button('Save as option A'));
    await at.click(button('Change to discs'));
    expect(at.store.plan().sizing!.rear.kind).toBe('disc');
    expect(at.store.plan().sizing!.open).toContain('rear.padMu');
    await at.click(button('Two masters and a bar'));
    expect(at.store.plan().sizing!.master.kind).toBe('twin');
    expect(at.texts('section[aria-label=Compare] tbody tr')).toHaveLength(7);
  });

  test('a plan without figures begins with guesses only', async () => {
    const at = await station('size', 'z5');
    at.store.apply(
      { edit: 'setSheet', with: { sheet: 'sizing', to: null } },
      { edit: 'setSheet', with: { sheet: 'clutch', to: null } },
      { edit: 'setSheet', with: { sheet: 'parking', to: null } },
    );
    await new Promise((done) => setTimeout(done));
    await at.click(
      [...at.root.querySelectorAll<HTMLElement>('button')].find((b) =>
        b.textContent!.includes('Start with estimates'),
      )!,
    );
    expect(at.store.plan().sizing!.open.length).toBeGreaterThan(25);
    expect(at.root.textContent).toMatch(/figures are still estimated/);
  });

  test('what stands beside the pedal: clutch, parking brake, residual valves, each with its figures', async () => {
    const at = await station('size', 'z6');
    expect(at.texts('fl-residual-table tbody tr')[0]).toMatch(
      /Front left.*505 mm.*470 mm.*2 psi.*none/,
    );
    const button = (name: string): HTMLElement =>
      [...at.root.querySelectorAll<HTMLElement>('button')].find(
        (b) => b.textContent!.trim() === name,
      )!;
    await at.click(button('Clutch'));
    const bearing = (): number => parseFloat(at.texts('[data-step=Bearing]')[0]!);
    const before = bearing();
    const bore = [...at.root.querySelectorAll('fl-length-field')].find((f) =>
      f.textContent!.includes('Slave bore'),
    )!;
    await at.type(bore.querySelector('input')!, '25.4');
    // The same stroke of the master in a larger slave: shorter as the areas are, but for what lines and hose take.
    expect(bearing() / before).toBeCloseTo((22.225 / 25.4) ** 2, 1);
    await at.click(button('Parking brake'));
    expect(at.texts('[data-step="Holds on"]')[0]).toMatch(/2\d %/);
    await at.click(button('Remove'));
    expect(at.store.plan().parking).toBeNull();
    const add = at.one<HTMLSelectElement>('select[aria-label="Add a system"]');
    add.value = 'Parking by hydraulics';
    add.dispatchEvent(new Event('change'));
    await at.settle();
    expect(at.root.textContent).toMatch(/The parking brake is hydraulic: pressure leaks down/);
  });

  test('a trailer begins with guesses, takes a second axle, and says what locks', async () => {
    const at = await station('size', 'z7');
    at.store.apply(
      { edit: 'setSheet', with: { sheet: 'sizing', to: null } },
      { edit: 'setSheet', with: { sheet: 'clutch', to: null } },
      { edit: 'setSheet', with: { sheet: 'parking', to: null } },
    );
    await new Promise((done) => setTimeout(done));
    const kind = at.one<HTMLSelectElement>('#begin-category');
    kind.value = 'trailer';
    const button = (name: string): HTMLElement =>
      [...at.root.querySelectorAll<HTMLElement>('button')].find(
        (b) => b.textContent!.trim() === name,
      )!;
    await at.click(button('Start with estimates'));
    await at.click(button('Add axle'));
    expect(at.texts('[data-step^=Axle]')).toHaveLength(2);
    expect(at.root.textContent).toMatch(/Trailer, empty\..*axle 2 uses/);
    expect(
      at.store
        .snags()
        .filter((s) => s.rule === 'figures-guessed')
        .map((s) => s.where),
    ).toEqual(['Trailer']);
  });
});
