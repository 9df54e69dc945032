import { typicalTrailer } from '@firm-line/core/plan/typical';
import { viewPlan } from '@firm-line/core/plan/results';
import { signedDigest, signedSections } from '@firm-line/core/stations/prove';
import { station } from '../../testing/station';
import { today } from '../../kit/today';

jest.mock('chart.js', () => jest.requireActual('../../testing/chart-stub'));

type At = Awaited<ReturnType<typeof station>>;
const open = (id: string, page: string): Promise<At> => station(`prove/${page}`, id);
/** The button whose words begin so. */
const button = (at: At, words: string): HTMLButtonElement => {
  const found = [...at.root.querySelectorAll('button')].find((b) =>
    b.textContent!.trim().startsWith(words),
  );
  if (!found) throw new Error(`No button says ${words}`);
  return found;
};
const field = (at: At, within: string, label: string): HTMLInputElement => {
  const found = [...at.root.querySelectorAll<HTMLInputElement>(`${within} input`)].find(
    ({ labels }) => [...(labels ?? [])].some((one) => one.textContent!.trim() === label),
  );
  if (!found) throw new Error(`No field says ${label}`);
  return found;
};
const fill = async (
  at: At,
  within: string,
  figures: Readonly<Record<string, string>>,
): Promise<void> => {
  for (const [label, text] of Object.entries(figures))
    await at.type(field(at, within, label), text);
};

describe('rounds', () => {
  test('a hold is taken once all of its figures are there, is judged, and goes again', async () => {
    const at = await open('p1', 'rounds');
    await at.click(at.one('[data-round="hold:circuit-1"]'));
    expect(button(at, 'Still needed').disabled).toBe(true);
    await fill(at, 'fl-hold-form', {
      'Start pressure, MPa': '8',
      'End pressure, MPa': '7',
      'Held for, min': '5',
      'Start temperature, °C': '18',
      'End temperature, °C': '18',
    });
    await at.click(button(at, 'Take this hold'));
    expect(at.texts('[data-test=holds] li')[0]).toMatch(/✗ Pressure fell by 1 MPa/);
    expect(at.one('[data-round="hold:circuit-1"]')!.textContent).toMatch(/not good/);
    await at.click(button(at, 'Remove'));
    expect(at.store.plan().proving.holds).toEqual([]);
  });
  test('a look is good or not, with what was seen, and is taken back', async () => {
    const at = await open('p2', 'rounds');
    await at.click(at.one('[data-round=lamps]'));
    await at.click(button(at, 'Not good'));
    expect(at.one('[data-round=lamps]')!.textContent).toMatch(/not good/);
    await at.click(button(at, 'Good'));
    expect(at.one('[data-round=lamps]')!.textContent).not.toMatch(/not good/);
    expect(at.store.plan().proving.rounds).toMatchObject([{ key: 'lamps', good: true }]);
    await at.click(at.one('[data-round=lamps]'));
    await at.click(button(at, 'Undo'));
    expect(at.store.plan().proving.rounds).toEqual([]);
  });
  test('leaks are told place by place: what was seen goes with its place, and all of it is taken back', async () => {
    const at = await open('p2b', 'rounds');
    await at.click(at.one('[data-round="leak:circuit-1"]'));
    const places = at.texts('[data-look]').length;
    expect(places).toBeGreaterThan(6);
    const first = at.one('[data-look]')!;
    const name = first.querySelector('span span')!.textContent!.trim();
    await at.type(at.one('#round-note')!, 'a drop a minute', 'input');
    await at.click(first.querySelectorAll('button')[1]!);
    expect(at.one('[data-look]')!.textContent).toMatch(/wet: a drop a minute/);
    expect(at.one<HTMLInputElement>('#round-note')!.value).toBe('');
    expect(at.one('[data-test=round]')!.textContent).toContain(`${name}: a drop a minute`);
    for (let i = 0; i < places; i++)
      await at.click(at.root.querySelectorAll('[data-look]')[i]!.querySelectorAll('button')[0]!);
    expect(at.one('[data-round="leak:circuit-1"]')!.textContent).not.toMatch(/not good/);
    expect(at.store.plan().proving.rounds).toHaveLength(places);
    await at.click(at.one('[data-round="leak:circuit-1"]'));
    await at.click(button(at, 'Undo'));
    expect(at.store.plan().proving.rounds).toEqual([]);
  });
  test('the pedal log keeps whose pedal it was, and a sinking one is a stop', async () => {
    const at = await open('p3', 'rounds');
    await at.click(field(at, 'fl-pedal-form', 'Sinks'));
    await fill(at, 'fl-pedal-form', {
      'Pedal travel': '71',
      'Force, N': '320',
    });
    await at.click(button(at, 'Put it down'));
    expect(at.texts('[data-test=pedal] tbody tr')[0]).toContain(
      `${today()} this vehicle off, cold71 mm 320 N ✗ sinks Remove`,
    );
    expect(at.store.plan().proving.pedal).toMatchObject([
      { vehicle: 'this', sinks: true, travelMm: 71 },
    ]);
  });
  test('the air test names its ceiling and does not take more', async () => {
    const at = await open('p4', 'rounds');
    expect(at.one('fl-air-test-form')!.textContent).toMatch(/✗ Maximum 0\.7 MPa/);
    await at.click(
      [...at.root.querySelectorAll<HTMLButtonElement>('fl-air-test-form button')].find(
        (b) => b.textContent!.trim() === 'F1',
      )!,
    );
    await fill(at, 'fl-air-test-form', { 'Start pressure, MPa': '0.8' });
    expect(at.texts('fl-air-test-form .fault, fl-air-test-form [role=alert]').join(' ')).toMatch(
      /0.7/,
    );
    await fill(at, 'fl-air-test-form', {
      'Start pressure, MPa': '0.6',
      'End pressure, MPa': '0.6',
      'Start temperature, °C': '18',
      'End temperature, °C': '18',
      'Held for, min': '60',
    });
    await at.click(button(at, 'Take this test'));
    expect(at.texts('[data-test=air-test]')[0]).toMatch(/F1.*(Tight|Cannot tell)/);
    // A tenth of 5.5 MPa: one place less would allow 0.6.
    const to = { ...typicalTrailer(), actuatorMPa: 5.5 };
    at.store.apply({ edit: 'setSheet', with: { sheet: 'trailer', to } });
    await at.settle();
    expect(at.one('fl-air-test-form')!.textContent).toMatch(/✗ Maximum 0\.55 MPa/);
  });
});

describe('curve', () => {
  test('readings typed by hand are fitted, kept, and held beside what Size reckons with', async () => {
    const at = await open('p5', 'curve');
    expect(at.one('[data-test=verdict]')!.textContent).toBe('0 of 4 readings');
    // The pedal that Size calculates for these brakes, with 4 mL of air by Boyle in it, by hand.
    for (const [p, mm] of [
      ['0.05', '41.4'],
      ['0.1', '56.3'],
      ['0.2', '74.1'],
      ['0.4', '93'],
      ['0.6', '103.2'],
      ['1', '114.2'],
      ['2', '125.8'],
      ['4', '139.3'],
      ['7', '157.7'],
    ]) {
      await fill(at, 'fl-curve-page', { 'Pressure, MPa': p!, 'Pedal travel': mm! });
      await at.click(button(at, 'Type a reading'));
    }
    expect(at.one('[data-test=verdict]')!.textContent).toMatch(
      /^Air: [34](\.\d)? mL ± \d\.\d mL left in front brakes/,
    );
    expect(at.one('[data-test=detail]')!.textContent).toMatch(
      /Bleed this circuit again.*Against the pedal that Size calculates, at 6\.9 MPa: free play .* ± .*, flex .*, air .*/,
    );
    expect(at.texts('[data-test=causes] li')[1]).toMatch(/^ ?Air in the fluid/);
    expect(at.one('[data-test=fault]')!.textContent).toBe('Air in the fluid');
    await at.click(button(at, 'Save curve'));
    expect(at.store.plan().proving.curves[0]).toMatchObject({
      circuitId: 'circuit-1',
      by: 'typed',
    });
    expect(at.store.plan().proving.curves[0]!.points).toHaveLength(9);
    // What was seen besides is kept with the plan, and counts at once.
    at.store.apply({
      edit: 'putRecordedTest',
      with: {
        recordedTest: {
          key: 'check:circuit-1/bubbles',
          at: '2026-03-02T09:00:00Z',
          good: false,
          note: '',
          rests: at.store.plan().proving.curves[0]!.rests,
        },
      },
    });
    await at.settle();
    expect(at.one('fl-fault-finder')!.textContent).toMatch(/Fluid: 1 of \d+ checked/);
  });
  test('a gauge behind a valve is refused until it reads the master', async () => {
    const at = await open('p6', 'curve');
    at.store.apply({
      edit: 'setFigure',
      with: { of: 'sizing', path: 'rearValve', to: { kneeMPa: 3, slope: 0.34 } },
    });
    await at.settle();
    await at.click(button(at, 'Rear brakes'));
    expect(at.root.textContent).toMatch(
      /Turn the valve back to master pressure, or move the gauge ahead of it/,
    );
    expect(at.one<HTMLButtonElement>('[data-test=stream]')!.disabled).toBe(true);
    await at.click(field(at, 'fl-curve-page', 'The gauge reads master pressure'));
    expect(at.one<HTMLButtonElement>('[data-test=stream]')!.disabled).toBe(false);
  });
});

test('stops: before and after at one speed with their scatter, and what the rear that locks first asks for', async () => {
  const at = await open('p7', 'stops');
  for (const meters of ['20', '22']) {
    await at.click(button(at, 'Before'));
    await fill(at, 'fl-stops-page', { 'From, km/h': '50', 'Stopping distance, m': meters });
    await at.click(button(at, 'Record this stop'));
  }
  await at.click(button(at, 'After'));
  await at.click(button(at, 'Rear first'));
  await fill(at, 'fl-stops-page', { 'From, km/h': '60', 'Stopping distance, m': '24' });
  await at.click(button(at, 'Record this stop'));
  // 50 to 60 km/h: 20·1.44 = 28.8, 22·1.44 = 31.68; mean 30.2, scatter 2.04, two of it 4.1.
  expect(at.texts('[data-test=mean]')).toEqual([
    expect.stringMatching(/30\.2 m ± 4\.1 m of 2 runs, 0\.47 g/),
    expect.stringMatching(/After: 24 m, one run alone/),
  ]);
  expect(at.root.textContent).toMatch(/After: 24 m, one run alone/);
  expect(at.one('[data-test=advice]')!.textContent).toMatch(/The rear locked first/);
});

test('signing an empty plan is refused: there is nothing to sign for', async () => {
  const at = await open('p8', 'sign');
  for (const { id } of at.store.plan().lines) at.store.apply({ edit: 'removeLine', with: { id } });
  await at.settle();
  expect(at.one<HTMLButtonElement>('[data-test=sign]').disabled).toBe(true);
  expect(at.root.textContent).toMatch(
    /Not ready for the road.*There is nothing to sign for: the plan has no lines and no hoses\./,
  );
});

describe('signing off', () => {
  const item = (at: Awaited<ReturnType<typeof open>>, part: string): HTMLElement =>
    [...at.root.querySelectorAll<HTMLElement>('fl-sign-item')].find((one) =>
      one.textContent!.includes(part),
    )!;
  const inside = (of: HTMLElement, name: string): HTMLButtonElement =>
    [...of.querySelectorAll('button')].find((one) => one.textContent!.trim() === name)!;
  test('a caution is accepted by name with a reason and withdrawn again; a blocker only leads to where it is closed', async () => {
    const at = await open('p9', 'sign');
    const count = (): string => at.one('[data-count=caution] dd').textContent!;
    const before = Number(count());
    await at.click(inside(item(at, 'surface reaches 350'), 'Accept with reason…'));
    const form = item(at, 'surface reaches 350');
    expect(inside(form, 'Accept').disabled).toBe(true);
    await fill(at, 'fl-sign-item', { 'Initials or name': 'AB', Reason: 'Sleeve fitted' });
    await at.click(inside(form, 'Accept'));
    // It goes behind those that are still open, which are more than are shown at first.
    const more = at.one<HTMLDetailsElement>('section[aria-label^=Cautions] details');
    more.open = true;
    more.dispatchEvent(new Event('toggle'));
    await at.settle();
    expect(item(at, 'surface reaches 350').textContent).toMatch(/Accepted by AB, .*Sleeve fitted/);
    expect(Number(count())).toBe(before - 1);
    await at.click(inside(item(at, 'surface reaches 350'), 'Withdraw'));
    expect(Number(count())).toBe(before);
    const blocker = item(at, 'trapped between two bends');
    expect(inside(blocker, 'Accept with reason…')).toBeUndefined();
    await at.click(inside(blocker, 'Open Route'));
    expect(at.address()).toMatch(/\/route/);
  });
  test('checks after signing fall due with the distance driven, and one that is not good voids the signature', async () => {
    const at = await open('p10', 'sign');
    const view = viewPlan(at.store.plan());
    const signature = {
      at: '2026-03-02T09:00:00Z',
      by: 'AB',
      as: 'builder',
      scope: 'road',
      rests: signedDigest(view),
      sections: signedSections(view),
      exceptions: [],
    } as const;
    at.store.apply({ edit: 'sign', with: { signature } });
    await at.settle();
    expect(at.one('[data-test=signed]').textContent).toMatch(/✓ Signed 2026-03-02 by AB/);
    await fill(at, 'fl-follow-up-list', { 'Driven since signing, km': '55' });
    const joints = (): HTMLElement => at.one('[data-follow-up=joints]');
    expect(joints().textContent).toMatch(/Due now/);
    await at.click(inside(joints(), 'Not good…'));
    await fill(at, 'fl-follow-up-list', { 'What is wrong': 'Front left weeps' });
    await at.click(inside(joints(), 'Record'));
    expect(joints().textContent).toMatch(/Not good\. Front left weeps/);
    expect(at.one('[data-test=signed]').textContent).toMatch(/no longer valid\. A follow-up check/);
    await at.click(inside(joints(), 'Good'));
    expect(at.one('[data-test=signed]').textContent).toMatch(/✓ Signed/);
  });
});
