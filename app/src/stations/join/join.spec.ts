import { TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { tightenKey } from '@firm-line/core/plan';
import { endFor } from '@firm-line/core/trade/ends';
import { PracticePage } from '../../practice/practice-page';
import { APP_PROVIDERS, demo } from '../../testing/open-gannet';
import { station } from '../../testing/station';

describe('Join', () => {
  const row = (at: Awaited<ReturnType<typeof station>>, key: string): HTMLElement =>
    at.one(`[data-joint="${key}"]`);

  test('every end of every line stands in the list with its verdict, and the drawing says the same', async () => {
    const at = await station('join', 'j1');
    expect(at.texts('[data-joint]')).toHaveLength(14);
    expect(at.texts('[data-joint="line-r1-a"]')[0]).toMatch(
      /R1 A ?Tandem master, rear outlet ?Binds/,
    );
    await at.click(row(at, 'line-f2-b'));
    expect(at.texts('[data-test=verdict]')).toEqual(['Screws in, does not seal']);
    expect(at.texts('[data-test=drawing-words]')[0]).toMatch(
      /Line contact only: leaks\. Seat 42° to the axis, end 59°/,
    );
    await at.click(row(at, 'line-f1-a'));
    expect(at.texts('[data-test=drawing-words]')[0]).toMatch(
      /mm all round: seals\. Seat 42° to the axis, end 45°/,
    );
    await at.click(at.button('Take apart'));
    expect(at.texts('[data-test=drawing-words]')[0]).toMatch(/apart/);
  });

  test('an end that seals is one tap: flare, nut, wrench and the card go with it', async () => {
    const at = await station('join', 'j2');
    await at.click(row(at, 'line-r1-a'));
    const port = at.store.plan().parts[0]!.ports[1]!;
    const [best] = endFor(port.fitting!.half, 4.7625);
    const before = at.store.view().lines.find((v) => v.line.id === 'line-r1')!;
    await at.click(
      [...at.root.querySelectorAll<HTMLElement>('[aria-label="Ends that seal here"] button')].find(
        (b) => b.textContent!.trim() === 'Use',
      )!,
    );
    const after = at.store.view().lines.find((v) => v.line.id === 'line-r1')!;
    expect(after.line.ends.a).toMatchObject({ nutId: best!.nutId, flare: 'bubble', adapters: [] });
    expect(at.texts('[data-test=verdict]')).toEqual(['Seals']);
    expect(at.root.textContent).toContain('M10x1 nut, 11 mm wrench');
    expect(after.card!.stockCutMm).not.toBe(before.card!.stockCutMm);
    expect(at.store.snags().filter((s) => s.rule === 'threads-differ')).toEqual([]);
  });

  test('a joint that Fit tightened is opened there; one that was not is counted', async () => {
    const at = await station('join', 'j-opened');
    await at.click(row(at, 'line-c1-a'));
    const openedNow = () =>
      at.store.view().lines.find((v) => v.line.id === 'line-c1')!.line.ends.a.joint.opened;
    await at.click(at.button('Opened'));
    expect(openedNow()).toBe(1);
    const task = tightenKey('line-c1', 'a');
    at.store.apply({
      edit: 'recordTorque',
      with: { task, stamp: 's', nm: 17, at: '2026-03-09T09:00:00Z' },
    });
    await at.settle();
    await at.click(at.button('Opened (1×)'));
    expect(openedNow()).toBe(1);
    expect(at.store.plan().floor.tight).toMatchObject([{ key: task, opened: true }]);
    expect(at.button('Opened, not tight since')).toBeTruthy();
  });

  test('readings name the thread, one tap sets the port; readings that fit nothing say the nearest', async () => {
    const at = await station('join', 'j3');
    await at.click(row(at, 'line-r1-a'));
    const [diameter, pitch] = [...at.root.querySelectorAll<HTMLInputElement>('fl-gauge input')];
    await at.type(diameter!, '8,5');
    await at.type(pitch!, '24 tpi');
    expect(at.texts('fl-gauge li').join(' ')).toMatch(
      /3\/8-24 UNF ?100 %.*Closest match: M9x1, M10x1/,
    );
    await at.click(at.one('fl-gauge li button'));
    expect(at.store.plan().parts[0]!.ports[1]!.fitting).toMatchObject({
      half: { thread: '3/8-24 UNF' },
      how: 'measured',
      readings: { diameterMm: 8.5 },
    });
    await at.type(diameter!, '11.5');
    expect(at.texts('fl-gauge li')[0]).toMatch(
      /No thread in the catalog fits these readings. The nearest is M12x1/,
    );
    await at.type(diameter!, 'thick');
    expect(at.texts('fl-gauge .fault')).toEqual([
      '"thick" is not a diameter. Enter one in mm, such as 9.4.',
    ]);
  });

  test('answers about the seat leave one, and it is set', async () => {
    const at = await station('join', 'j4');
    await at.click(row(at, 'line-r1-a'));
    await at.choose(at.one<HTMLSelectElement>('#seat-bottom'), 'rises');
    await at.choose(at.one<HTMLSelectElement>('#seat-taper'), 'parallel');
    expect(at.texts('fl-seat-finder li button')).toEqual(['inverted flare seat']);
    await at.click(at.one('fl-seat-finder li button'));
    expect(at.store.plan().parts[0]!.ports[1]!.fitting!.half).toMatchObject({
      seat: 'inverted-flare-45',
    });
    const cone = at.one<HTMLInputElement>('fl-seat-finder fl-optional-number-field input');
    await at.type(cone, '123');
    expect(at.texts('fl-seat-finder .fault')[0]).toBe('123 cannot be used: must be 89 or less.');
    await at.type(cone, '37°');
    expect(at.texts('fl-seat-finder .fault')).toEqual([]);
  });

  test('newtons are asked about, a far torque is questioned, both units are shown', async () => {
    const at = await station('join', 'j5');
    const field = at.one<HTMLInputElement>('#joint-torque');
    await at.type(field, '168 N');
    expect(at.texts('fl-joint-work-form .fault')[0]).toMatch(/Newtons are a force. Is it 168 N·m/);
    expect(at.store.plan().lines[3]!.ends.a.joint.torqueNm).toBeNull();
    await at.type(field, '168 Nm');
    expect(field.value).toBe('168 N·m (123.9 lbf·ft)');
    expect(at.store.snags().filter((s) => s.rule === 'torque-unlikely')).toHaveLength(1);
    expect(at.root.textContent).toContain('Enter the sheet. A torque without a source');
  });

  test('an adapter of one’s own is found with the rest, and stays while a line uses it', async () => {
    const at = await station('join', 'j6');
    await at.click(row(at, 'line-c1-a'));
    await at.click(at.button('Add adapter'));
    expect(at.texts('fl-own-adapters .fault')[0]).toMatch(/Enter a name/);
    at.one<HTMLInputElement>('#own-name').value = 'Turned from bar';
    await at.click(at.button('Add adapter'));
    const own = at.store.plan().bench.adapters[0]!;
    expect(own).toMatchObject({ name: 'Turned from bar', family: 'own' });
    at.store.apply({
      edit: 'changeEnd',
      with: { id: 'line-r1', end: 'a', patch: { adapters: [own.id] } },
    });
    await at.settle();
    await at.click(at.button('Remove Turned from bar'));
    expect(at.texts('fl-own-adapters .fault')[0]).toMatch(/R1 uses this adapter/);
  });

  test('a hose’s end is a joint like a line’s: its thread, what it meets, washers, torque', async () => {
    const at = await station('join', 'j9', 'line-1', demo('wheatear'));
    expect(at.texts('[data-joint^=hose-]').map((text) => text.replace(/\s+/g, ' '))).toEqual(
      ['H1 B', 'H2 B', 'H3 B', 'H4 B'].map(
        (name) => expect.stringMatching(new RegExp(`^${name} ?\\w+ \\w+ caliper ?Seals`)) as string,
      ),
    );
    await at.click(row(at, 'hose-fr-b'));
    expect(at.texts('[data-test=verdict]')).toEqual(['Seals']);
    expect(at.texts('fl-joint-panel fl-snag-row')[0]).toMatch(
      /A banjo needs two new sealing washers/,
    );
    expect(at.root.querySelector('[aria-label="Ends that seal here"]')).toBeNull();
    await at.choose(at.one<HTMLSelectElement>('#joint-washers'), 'new');
    expect(at.texts('fl-joint-panel fl-snag-row')).toEqual([]);
    const eyes = at.one<HTMLInputElement>('fl-hose-end-panel fl-text-input input');
    await at.type(eyes, '2');
    expect(at.texts('fl-joint-work-form dd')[0]).toMatch(/3 × sealing washer/);
    await at.type(eyes, '9');
    expect(at.texts('fl-hose-end-panel .fault')[0]).toMatch(/must be 4 or less/);
    const [thread] = [...at.root.querySelectorAll<HTMLSelectElement>('fl-hose-end-panel select')];
    await at.choose(thread!, '3/8-24 UNF');
    expect(at.texts('[data-test=verdict]')).toEqual(['Binds']);
    expect(at.store.plan().hoses[1]!.ends.b).toMatchObject({
      half: { thread: '3/8-24 UNF' },
      eyes: 2,
      joint: { washers: 'new' },
    });
  });
});

describe('Practice', () => {
  test('an answer is scored with its reason, and the next question begins clean', async () => {
    TestBed.configureTestingModule({ providers: [...APP_PROVIDERS, provideRouter([])] });
    const fixture = TestBed.createComponent(PracticePage);
    await fixture.whenStable();
    const root = fixture.nativeElement as HTMLElement;
    const press = async (button: Element): Promise<void> => {
      (button as HTMLElement).click();
      await fixture.whenStable();
    };
    const sets = [...root.querySelectorAll('fieldset')];
    const button = (name: string): Element =>
      [...root.querySelectorAll('button')].find((b) => b.textContent!.trim() === name)!;
    expect((button('Answer') as HTMLButtonElement).disabled).toBe(true);
    for (const set of sets) await press(set.querySelector('button')!);
    await press(button('Answer'));
    const right = root.querySelectorAll('fieldset button.border-ok').length;
    expect(right).toBe(2);
    const hits = [...root.querySelectorAll('fieldset button[aria-pressed=true]')].filter((b) =>
      b.textContent!.includes('✓'),
    ).length;
    expect(root.querySelector('[data-test=score]')!.textContent!.trim()).toBe(`${hits} of 2 right`);
    expect(root.querySelector('[role=status]')!.textContent).toMatch(
      /is in the range .* mm, and .* mm is the pitch/,
    );
    await press(button('Next'));
    expect(root.querySelector('[role=status]')).toBeNull();
  });
});
