import { figure } from '@firm-line/core/lib/faults';
import { NO_LOG, type Plan } from '@firm-line/core/plan';
import { demo } from '../../testing/open-gannet';
import { station } from '../../testing/station';

type At = Awaited<ReturnType<typeof station>>;
const gannet = demo('gannet');
/** The station with one of its pages open. */
async function page(id: string, name: string, plan?: Plan): Promise<At> {
  const at = await station('fit', id, 'line-r1', plan);
  await at.page(name);
  return at;
}
const field = (at: At, label: string): HTMLInputElement =>
  [...at.root.querySelectorAll<HTMLInputElement>('input, select')].find(({ labels }) =>
    [...(labels ?? [])].some((one) => one.textContent!.trim() === label),
  )!;
const corners = (at: At) => at.store.plan().wheelEnds;

describe('pages of Fit', () => {
  test('a wheel says nothing before all four readings are there, then what spacer it wants', async () => {
    const at = await page('fp1', 'Wheels');
    for (const [label, text] of [
      ['Caliper’s highest place, from the axis', '172'],
      ['Caliper past the hub’s face', '48'],
      ['Wheel’s barrel, inside, from the axis', '178'],
    ] as const)
      await at.type(field(at, label), text);
    expect([at.texts('[data-test=wheel]'), at.store.plan().wheelEnds.wheels]).toEqual([[], []]);
    await at.type(field(at, 'Wheel’s face in to the back of its spokes'), '45');
    expect(at.texts('[data-test=wheel]')[0]).toBe(
      'The wheel does not fit as it is: 6 mm under the barrel, -3 mm behind the spokes. A spacer of 6 mm gives the spokes the required 3 mm.',
    );
    await at.type(field(at, 'Spacer'), '6');
    expect(at.texts('[data-test=wheel]')[0]).toMatch(/^The wheel fits/);
    await at.type(field(at, 'Caliper past the hub’s face'), '');
    expect(corners(at).wheels[0]!.readings).toBeNull();
  });

  test('a hub that is backed off where it must not be is a stop', async () => {
    const at = await page('fp2', 'Wheels');
    await at.click(at.button('Add a hub'));
    await at.choose(at.one('#hub-kind-hub-1'), 'unit hub');
    expect(at.texts('section[aria-label="Hub 1"] [role=status]')[0]).toMatch(
      /^Never back off a unit hub or one with a spacer, and do not set it by play/,
    );
    expect(at.store.snags().some(({ rule, level }) => rule === 'hub-nut' && level === 'stop')).toBe(
      true,
    );
    await at.choose(at.one('#hub-school-hub-1'), 'Maker’s torque');
    expect(at.texts('section[aria-label="Hub 1"] [role=status]')[0]).toBe(
      'Not measured and locked yet.',
    );
    await at.click(at.button('Remove Hub 1'));
    expect(corners(at).hubs).toEqual([]);
  });

  test('a cable is added once all five readings are there, one at a time', async () => {
    const at = await page('fp3', 'Parking brake');
    const fresh = (label: string): HTMLInputElement =>
      [...at.root.querySelectorAll<HTMLElement>('section[aria-label="Add a cable"] fl-text-input')]
        .find((one) => one.textContent!.includes(label))!
        .querySelector('input')!;
    for (const [label, text] of [
      ['Path, stop', '1400'],
      ['Outer cable', '1430'],
      ['Inner past', '120'],
      ['Inner needed', '100'],
    ] as const)
      await at.type(fresh(label), text);
    expect(at.store.plan().wheelEnds.cables).toEqual([]);
    await at.type(fresh('Adjuster'), '30');
    expect(at.texts('[data-test=cable]')).toEqual([
      expect.stringMatching(/^The outer cable is 30 mm longer than the cable path and hangs loose/),
    ]);
    expect(fresh('Path, stop').value).toBe('');
    expect(at.store.snags().some(({ rule }) => rule === 'cable-length')).toBe(true);
    await at.type(field(at, 'Free play at the pad, cold'), '0');
    expect(at.texts('[data-test=play]')[0]).toMatch(/^No free play cold/);
    // By hand: 380 N times the lever's ratio and efficiency into the cable, half of it to each side.
    const lever = gannet.parking!;
    if (lever.by !== 'lever') throw new Error('The demo has a lever.');
    const cableN = lever.handN * lever.leverRatio * lever.efficiency;
    expect(at.texts('[data-test=lever-force]')[0]).toBe(
      `From Size: ${figure(lever.handN)} N at the lever gives ${figure(cableN, 0)} N in the cable and ${figure((cableN / 2) * lever.shoeRatio, 0)} N at each shoe lever.`,
    );
    at.store.apply({ edit: 'setSheet', with: { sheet: 'parking', to: null } });
    await at.settle();
    expect(at.texts('[data-test=lever-force]')[0]).toMatch(/Enter the parking brake in Size/);
  });

  test('wire and breaker: what is lost on the way, which size would do, and what burns', async () => {
    const at = await page('fp9', 'Wiring');
    await at.click(at.button('Check wire and breaker'));
    // 2·20·6·0.0172/6 = 0.69 V; 10 mm² lose 0.41.
    const said = (): string => at.texts('[data-test=supply]')[0]!;
    expect(said()).toMatch(/^Enter current, length and both wires/);
    await at.type(field(at, 'Current at most, A'), '20');
    await at.type(field(at, 'Battery to actuator, one way'), '6000');
    await at.type(field(at, 'Breaker, A'), '30');
    expect(at.store.snags().filter(({ rule }) => rule === 'supply-thin')).toEqual([]);
    await at.choose(at.one('#supply-wire'), '6 mm²');
    await at.choose(at.one('#supply-ground'), '6 mm²');
    expect(said()).toMatch(/lose 0\.69 V there and back, and 0\.6 V is the most.* Take 10 mm²/);
    expect(at.texts('fl-supply-card tr.font-bold')).toEqual(['10 mm², enough 0.41 V73 A']);
    await at.choose(at.one('#supply-wire'), '10 mm²');
    await at.choose(at.one('#supply-ground'), '10 mm²');
    expect(said()).toBe('Good: 0.41 V are lost there and back, and 0.6 V is the most.');
    await at.type(field(at, 'Breaker, A'), '80');
    expect(said()).toMatch(/carries 73 A for long, and the breaker opens at 80 A/);
    await at.click(at.button('Remove wire and breaker'));
    expect(corners(at).supply).toBeNull();
  });

  test('a proof load is held, and stays with what was measured', async () => {
    const at = await page('fp4', 'Loads');
    await at.click(at.button('Add a welded part'));
    for (const [label, text] of [
      ['Loaded with, N', '1350'],
      ['Held for, s', '10'],
      ['Mark before', '40'],
      ['Mark after', '43'],
    ] as const)
      await at.type(field(at, label), text);
    expect(at.texts('[data-test=load]')[0]).toMatch(/^It stayed bent/);
    await at.type(field(at, 'Mark after'), '40.1');
    await at.choose(at.one('#sound-load-1'), 'sound');
    expect(at.texts('[data-test=load]')).toEqual(['Passed.']);
  });

  test('a sheet that was asked for, and one that is here and gives figures their source', async () => {
    const at = await page('fp5', 'Sheets');
    await at.click(at.button('Add a sheet'));
    expect(at.store.plan().log.sheets).toEqual([
      expect.objectContaining({
        name: 'Sheet 1',
        state: 'asked',
        askedOn: expect.stringMatching(/^\d{4}-/),
      }),
    ]);
    await at.choose(at.one('#sheet-state-sheet-1'), 'here');
    await at.click(at.button('Add a change'));
    await at.type(field(at, 'What was changed'), 'Wider axle');
    expect(at.store.plan().log.earlier).toEqual([{ id: 'earlier-1', text: 'Wider axle' }]);
  });

  test('the log: written, found by words and by place, gone when it is taken out', async () => {
    const about = { kind: 'line', id: 'line-r2' } as const;
    const entry = {
      id: 'entry-1',
      at: '2026-11-26T08:00:00Z',
      by: 'MK',
      text: 'Chafed',
      reading: '',
      about,
      when: 'before',
      photos: [],
    } as const;
    const at = await page('fp6', 'Log', { ...gannet, log: { ...NO_LOG, entries: [entry] } });
    const entries = (): string[] => at.texts('[data-test=entry]');
    expect(entries()[0]).toMatch(/R2.*08:00, MK, before.*Chafed/);
    await at.type(at.one<HTMLInputElement>('#log-reading'), '12.4 V', 'input');
    await at.click(at.button('Add entry'));
    expect(entries()).toHaveLength(2);
    await at.type(at.one<HTMLInputElement>('#log-search'), '12.4', 'input');
    expect(entries()).toEqual([expect.stringMatching(/The whole vehicle.*12.4 V/)]);
    await at.type(at.one<HTMLInputElement>('#log-search'), '', 'input');
    await at.choose(at.one('#log-place'), 'R2');
    expect(entries()).toHaveLength(1);
    await at.click(
      [...at.root.querySelectorAll<HTMLElement>('[data-test=entry] button')].find(
        (b) => b.textContent!.trim() === 'Remove',
      )!,
    );
    expect(at.store.plan().log.entries.map(({ id }) => id)).toEqual(['entry-2']);
    // What it was about may be gone from the plan.
    at.store.apply({
      edit: 'changeLogEntry',
      with: { id: 'entry-2', patch: { about: { kind: 'line', id: 'gone' } } },
    });
    await at.choose(at.one('#log-place'), 'anywhere');
    expect(entries()[0]).toMatch(/something that is no longer in the plan/);
  });

  test('what goes in a bag has its number, and a label that says where it goes', async () => {
    const at = await page('fp8', 'Log');
    await at.type(at.one<HTMLInputElement>('#log-text'), 'Two clips, one screw', 'input');
    await at.click(
      [...at.root.querySelectorAll<HTMLElement>('fl-check-field label')].find((one) =>
        one.textContent!.includes('Bag no. 1'),
      )!,
    );
    await at.choose(at.one('#log-about'), 'R1');
    await at.click(at.button('Add entry'));
    expect(at.store.plan().log.entries[0]).toMatchObject({ bag: 1, text: 'Two clips, one screw' });
    expect(at.texts('[data-test=bag]')).toEqual([
      expect.stringMatching(/^Bag 1 ?Two clips, one screw ?Goes to: R1/),
    ]);
    expect(at.texts('fl-check-field label').some((text) => text.includes('Bag no. 2'))).toBe(true);
  });

  test('a task is logged from where it stands', async () => {
    const at = await station('fit', 'fp7');
    await at.click(at.one('[data-task="safety:stands"]'));
    await at.click(at.button('Photograph for the log'));
    expect(at.one<HTMLSelectElement>('#log-about').selectedOptions[0]!.text).toBe(
      'Lift onto stands, under the frame',
    );
  });
});
