import { station } from '../../testing/station';

type At = Awaited<ReturnType<typeof station>>;
async function open(id: string, page: 'plan' | 'fluids'): Promise<At> {
  return station(`fill/${page}`, id);
}
const fluidOf = (at: At) => at.store.plan().filling.fluids.find(({ part }) => part === 'master');
const labelled = <E extends HTMLElement>(at: At, within: string, label: string): E =>
  [...at.root.querySelectorAll<HTMLInputElement>(`${within} input, ${within} select`)].find(
    ({ labels }) => [...(labels ?? [])].some((one) => one.textContent!.trim().startsWith(label)),
  ) as unknown as E;

describe('fluids', () => {
  const master = '[data-reservoir=master]';
  test('each reservoir has its own; to silicone needs seals and flushing, to mineral oil both names', async () => {
    const at = await open('f1', 'fluids');
    expect(at.texts('[data-reservoir] h3')).toEqual(['Tandem master', 'Clutch master']);
    expect(at.root.querySelector('[data-test=change]')).toBeNull();
    await at.choose(labelled(at, master, 'Previous fluid'), 'DOT 4');
    await at.choose(labelled(at, master, 'Fluid'), 'DOT 5 ');
    expect(at.texts(`${master} [data-test=change]`)[0]).toMatch(
      /Replace every seal and rubber hose with ones made for the new fluid Flush all lines,/,
    );
    await at.click(labelled(at, master, 'Replace every seal'));
    const own = fluidOf(at);
    expect(own).toMatchObject({
      part: 'master',
      fluidId: 'dot-5',
      wasId: 'dot-4',
      seals: true,
      flushed: false,
    });
    await at.choose(labelled(at, master, 'Fluid'), 'ineral');
    expect(at.texts(`${master} [data-test=change]`)[0]).toMatch(
      /Never change to or from mineral oil/,
    );
    // The other one is as it was.
    expect(at.store.plan().filling.fluids).toHaveLength(2);
  });
  test('how far the hottest place is from boiling; words for figures and limits change nothing', async () => {
    const at = await open('f2', 'fluids');
    await at.type(labelled(at, master, 'Measured boiling point'), '182');
    await at.type(labelled(at, master, 'Highest temperature'), '140');
    expect(at.texts(master)[0]).toMatch(/Margin to boiling: 42 °C/);
    for (const wrong of ['hot', '401', '-1']) {
      await at.type(labelled(at, master, 'Measured boiling point'), wrong);
      expect([wrong, fluidOf(at)!.boilC]).toEqual([wrong, 182]);
      expect(at.texts('.fault').length).toBeGreaterThan(0);
    }
    await at.type(labelled(at, master, 'Bottle opened'), '2026-02-01');
    expect(fluidOf(at)!.openedOn).toBe('2026-02-01');
  });
});

describe('methods', () => {
  const chosen = (at: At): string => at.texts('[data-method][aria-pressed=true]')[0]!;
  test('people and tools decide, until one is chosen; what it lacks goes onto the list once', async () => {
    const at = await open('m1', 'plan');
    expect(chosen(at)).toMatch(/^Two people, pedal/);
    await at.type(labelled(at, 'fl-method-card', 'People'), '1');
    expect(chosen(at)).toMatch(/needs 2 people/);
    await at.click(
      [...at.root.querySelectorAll<HTMLElement>('fl-method-card fieldset button')].find((b) =>
        b.textContent!.trim().startsWith('one-way bleeder'),
      )!,
    );
    expect(chosen(at)).toMatch(/one-way|One-way/);
    await at.click(at.one('[data-method=pressure]'));
    expect(chosen(at)).toMatch(/[Pp]ressure pot.*▲/);
    const list = [...at.root.querySelectorAll<HTMLButtonElement>('fl-method-card button')].find(
      (b) => b.textContent!.includes('to the list'),
    )!;
    await at.click(list);
    const names = (): string[] => at.store.plan().buying.own.map(({ name }) => name);
    expect(names()).toEqual(
      expect.arrayContaining(['pressure pot', 'cap adapter', 'bleeder caps']),
    );
    expect(new Set(names()).size).toBe(names().length);
    expect(list.disabled).toBe(true);
    await at.click(at.button('Choose by people and tools'));
    expect(at.store.plan().filling.method).toBeNull();
  });
  test('no people and half a person are refused with a sentence', async () => {
    const at = await open('m2', 'plan');
    for (const wrong of ['0', '1.5', 'all']) {
      await at.type(labelled(at, 'fl-method-card', 'People'), wrong);
      expect([wrong, at.store.plan().filling.people ?? 2]).toEqual([wrong, 2]);
      expect(at.texts('fl-method-card .fault').length).toBe(1);
    }
  });
});
