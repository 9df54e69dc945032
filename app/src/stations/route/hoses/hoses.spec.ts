import { TestBed } from '@angular/core/testing';
import { Selection } from '../../../session/selection';
import { Jump } from '../../../session/jump';
import { demo, until } from '../../../testing/open-gannet';
import { station } from '../../../testing/station';

// Shapes are searched for in the page here: there is no worker.
jest.setTimeout(60_000);

/** Route on the single-seater, its hoses shown. */
async function hoses(id: string) {
  const at = await station('route', id, 'line-1', demo('wheatear'));
  await at.click(at.button('Hoses (5)'));
  await until(() => at.root.querySelector('[data-test=hoses]') !== null);
  await at.settle();
  return at;
}
const hoseOf = (at: Awaited<ReturnType<typeof hoses>>, id: string) =>
  at.store.plan().hoses.find((hose) => hose.id === id)!;
const slide = (field: HTMLInputElement, value: number, event = 'input'): void => {
  field.value = String(value);
  field.dispatchEvent(new Event(event, { bubbles: true }));
};

describe('hoses in Route', () => {
  test('each stands with its length and the worst of its snags; the chosen one with a cell for every state', async () => {
    const at = await hoses('h1');
    expect(at.texts('[data-hose] strong')).toEqual(['H1', 'H2', 'H3', 'H4', 'H5']);
    await at.click(at.one('[data-hose=hose-fr]'));
    expect(at.texts('[data-test=hose-cells] td button')).toHaveLength(9);
    expect(
      at.texts('[data-test=hose-cells] td button').filter((text) => text.includes('kinks')),
    ).toHaveLength(1);
    expect(at.texts('fl-snag-row').join(' ')).toMatch(
      /bends to a radius of 37 mm, 38 is the minimum/,
    );
    // It is first seen in its worst state.
    expect(at.texts('[data-test=hose-live]')).toEqual(['kinks']);
    expect(at.one('[data-test=hose-strip]').getAttribute('aria-label')).toMatch(
      /tightest 37 at 73, 38 is the smallest allowed/,
    );
    await at.click(at.one('[data-hose=hose-rl]'));
    expect(at.texts('[data-test=hose-cells] td button')).toHaveLength(3);
    await at.click(at.one('[data-hose=feed-front]'));
    expect(at.root.textContent).toContain('This hose does not move');
  });

  test('the length is tried while the slider moves and taken when it is let go, with one undo', async () => {
    const at = await hoses('h2');
    await at.click(at.one('[data-hose=hose-fr]'));
    const slider = at.one<HTMLInputElement>('#hose-length');
    slide(slider, 345);
    await at.settle();
    expect(at.texts('label[for=hose-length] span')).toEqual(['345 mm']);
    expect(
      at.texts('[data-test=hose-cells] td button').some((text) => text.includes('kinks')),
    ).toBe(false);
    expect(hoseOf(at, 'hose-fr').orderMm).toBe(315);
    slide(slider, 345, 'change');
    await at.settle();
    expect(hoseOf(at, 'hose-fr').orderMm).toBe(345);
    at.store.undo();
    await at.settle();
    expect(hoseOf(at, 'hose-fr').orderMm).toBe(315);
  });

  test('the worker finds the shortest, one for all four, and a place for the bracket', async () => {
    const at = await hoses('h3');
    await at.click(at.one('[data-hose=hose-rr]'));
    await at.click(at.button('Lengths that work'));
    await until(() => at.root.querySelector('[data-test=hose-lengths]') !== null);
    await at.settle();
    const take = [...at.root.querySelectorAll<HTMLElement>('[data-test=hose-lengths] button')].find(
      (b) => b.textContent!.includes('Use the shortest'),
    )!;
    const shortest = Number(/\d+$/.exec(take.textContent!.trim())![0]);
    await at.click(take);
    expect(hoseOf(at, 'hose-rr').orderMm).toBe(shortest);
    expect(shortest).toBeLessThan(350);
    await at.click(at.button('Make 4 alike'));
    await until(() => at.root.textContent!.includes('is the shortest that works for all 4'));
    await at.settle();
    await at.click(
      [...at.root.querySelectorAll<HTMLElement>('button')].find((b) =>
        b.textContent!.includes('for all'),
      )!,
    );
    const lengths = new Set(
      at.store
        .plan()
        .hoses.slice(0, 4)
        .map((hose) => hose.orderMm),
    );
    expect([...lengths]).toEqual([330]);
    expect(
      at.store.snags().some((snag) => snag.rule === 'hoses-unlike' || snag.rule === 'hose-kinks'),
    ).toBe(false);
    await at.click(at.button('Find a bracket position'));
    await until(() => at.root.querySelector('[data-test=hose-places] li') !== null);
    await at.settle();
    await at.click(at.one('[data-test=hose-places] button'));
    // The port goes there, and the tube that meets the hose with it.
    const place = (): readonly number[] => at.store.view().ports.get('port-15')!.fixed.atMm;
    const tube = (): readonly number[] =>
      at.store
        .view()
        .lines.find((view) => view.line.id === 'line-6')!
        .nodesMm.at(-1)!;
    const before = place();
    expect(tube()).toEqual(before);
    slide(at.one('#hose-slide'), 40);
    await at.settle();
    expect(place()).toEqual(before);
    slide(at.one('#hose-slide'), 40, 'change');
    await at.settle();
    expect(place()).toEqual([before[0]! + 40, before[1], before[2]]);
    expect(tube()).toEqual(place());
  });

  test('sliders and cells go through the travel, the hose following', async () => {
    const at = await hoses('h4');
    slide(at.one('#hose-heave'), -0.5);
    await at.settle();
    expect(at.root.textContent).toContain('25 droop');
    expect(at.texts('[data-test=hose-live]')).toEqual(['good']);
    slide(at.one('#hose-lock'), 1);
    await at.settle();
    expect(at.root.textContent).toContain('18° right');
    const figures = (): string => at.texts('[data-test=hose-figures]')[0]!;
    expect(figures()).toMatch(
      /^Slack92 mm of 266 mm, 174 mm straight lineEnd anglesA 86° and B 43° off the straight line/,
    );
    // 266 mm of -3 braid at 1,000 psi: 0.07 mL a foot (makers' sheets, from memory).
    expect(figures()).toMatch(/Swell0\.06 mL at 6\.9 MPa$/);
    await at.click(at.one('[data-test=hose-worst]'));
    expect(at.root.textContent).toContain('50 bump');
    expect(figures()).toMatch(
      /Slack139 mm of 266 mm, 127 mm straight lineEnd anglesA 79° and B 40° off the straight/,
    );
    await at.click(at.root.querySelectorAll<HTMLElement>('[data-test=hose-cells] td button')[3]!);
    expect(at.root.textContent).toContain('ride');
    await at.click(at.one('[data-test=hose-play]'));
    expect(at.one('[data-test=hose-play]').textContent).toContain('Stop');
    await at.click(at.one('[data-test=hose-play]'));
    expect(at.one('[data-test=hose-play]').textContent).toContain('Play');
  });

  test('a hose that does not reach says by how much; between the states of the cells only what is known there is told', async () => {
    const at = await hoses('h9');
    const figures = (): string => at.texts('[data-test=hose-figures]')[0]!;
    const slider = at.one<HTMLInputElement>('#hose-length');
    slide(slider, Number(slider.min));
    await at.settle();
    expect(at.texts('[data-test=hose-live]')).toEqual(['does not reach']);
    expect(figures()).toMatch(/^Too short by ?\d+ mm: \d+ mm straight line$/);
    slide(slider, 350);
    await at.settle();
    expect(figures()).toMatch(
      /Slack139 mm of 266 mm, 127 mm straight lineEnd anglesA 79° and B 40° off the straight/,
    );
    slide(at.one('#hose-heave'), -0.5);
    await at.settle();
    expect(figures()).toMatch(/^Slack/);
    expect(figures()).not.toMatch(/Nearest|Twist/);
  });

  test('a new hose is made with the motion of a wheel; wrong dates and figures are said and not taken', async () => {
    HTMLDialogElement.prototype.showModal = jest.fn();
    HTMLDialogElement.prototype.close = jest.fn();
    const at = await hoses('h5');
    await at.click(at.button('New hose'));
    await at.choose(at.one('#hose-with'), 'Front left wheel');
    expect(at.one<HTMLSelectElement>('#hose-kind').value).toBe('corner');
    await at.type(at.one('#hose-made'), '03/2026');
    expect(at.texts('fl-hose-form [role=alert]').join()).toMatch(
      /"03\/2026" is not a year and month/,
    );
    const count = at.store.plan().hoses.length;
    at.one('fl-hose-form form').dispatchEvent(new Event('submit', { cancelable: true }));
    await at.settle();
    expect(at.store.plan().hoses).toHaveLength(count);
    await at.type(at.one('#hose-made'), '2026-03');
    await at.choose(at.one('#hose-port-a'), 'Front left caliper, hose end at bracket');
    at.one('fl-hose-form form').dispatchEvent(new Event('submit', { cancelable: true }));
    await at.settle();
    const made = at.store.plan().hoses.at(-1)!;
    expect(made).toMatchObject({
      name: 'H6',
      madeOn: '2026-03',
      ends: { a: { portId: 'port-5', through: true } },
      motion: { kind: 'corner', heaveMm: [-50, 50], steer: { lockDeg: [-18, 18] } },
    });
    expect(TestBed.inject(Selection).hose()!.id).toBe(made.id);
  });

  test('ends, kingpin and gauze are set in the form, kept together or left as they were', async () => {
    HTMLDialogElement.prototype.showModal = jest.fn();
    HTMLDialogElement.prototype.close = jest.fn();
    const at = await hoses('h8');
    const before = hoseOf(at, 'hose-fl');
    const field = (label: string): HTMLInputElement =>
      [
        ...at.root.querySelectorAll<HTMLElement>(
          'fl-hose-form fl-number-field, fl-hose-form fl-length-field',
        ),
      ]
        .find((one) => one.textContent!.trim().startsWith(label))!
        .querySelector('input')!;
    const tick = async (label: string): Promise<void> => {
      const box = [...at.root.querySelectorAll<HTMLElement>('fl-hose-form label')]
        .find((one) => one.textContent!.trim() === label)!
        .querySelector('input')!;
      box.checked = !box.checked;
      box.dispatchEvent(new Event('change'));
      await at.settle();
    };
    await at.click(at.button('Hose details'));
    // Off its port the end stays where that was, and may then point another way.
    await at.choose(at.one('#hose-port-a'), 'its own position');
    expect(at.one<HTMLSelectElement>('#hose-way-a').value).toBe('left');
    await at.choose(at.one('#hose-way-a'), 'down');
    await at.type(field('Top leans back'), '4');
    await at.type(field('Top leans in'), '11,5');
    await at.type(field('Lock left'), '24');
    expect(hoseOf(at, 'hose-fl')).toBe(before);
    at.one('fl-hose-form form').dispatchEvent(new Event('submit', { cancelable: true }));
    await at.settle();
    const { ends, motion } = hoseOf(at, 'hose-fl');
    expect(ends.a).toMatchObject({
      portId: null,
      through: false,
      direction: [0, 0, -1],
      atMm: at.store.view().ports.get(before.ends.a.portId!)!.fixed.atMm,
    });
    expect(motion.steer!.lockDeg[0]).toBe(-24);
    // Its wheel stands on the left: inward is to the right, back is aft.
    const [x, y, z] = motion.steer!.axis;
    expect([x / z, y / z].map((slope) => (Math.atan(slope) * 180) / Math.PI)).toEqual([
      expect.closeTo(4, 6),
      expect.closeTo(11.5, 6),
    ]);
    at.store.undo();
    expect(hoseOf(at, 'hose-fl')).toEqual(before);

    await at.click(at.one('[data-hose=feed-front]'));
    await at.click(at.button('Hose details'));
    await tick('gauze in its reservoir');
    at.one('fl-hose-form form').dispatchEvent(new Event('submit', { cancelable: true }));
    await at.settle();
    expect(hoseOf(at, 'feed-front').gauze).toBe(false);
    expect(at.texts('fl-snag-row').join()).toMatch(/No strainer entered in front of it/);
    await at.click(at.button('There is a strainer'));
    expect(hoseOf(at, 'feed-front').gauze).toBe(true);
    await at.click(at.button('Hose details'));
    await at.click(at.button('Delete hose'));
    expect(at.store.plan().hoses.some((hose) => hose.id === 'feed-front')).toBe(false);
  });

  test('the order sheet puts hoses that are alike in one row', async () => {
    const at = await hoses('h6');
    const rows = (): string[] => at.texts('[data-test=hose-order] tbody tr');
    expect(rows()).toHaveLength(5);
    const { ends } = at.store.plan().hoses.find(({ id }) => id === 'hose-rl')!;
    at.store.apply({
      edit: 'changeHose',
      with: {
        id: 'hose-rl',
        patch: { ends: { ...ends, b: { ...ends.b, fittingId: 'banjo-45' } } },
      },
    });
    await at.settle();
    expect(rows()).toHaveLength(4);
    expect(rows()[0]).toMatch(
      /^2-3 braided PTFE .*350 mm\s*bulkhead, fixed\s*banjo, neck cranked 45°\s*H1 Front left caliper, H3/,
    );
  });

  test('a snag of a hose leads to it, one of a line back to the lines', async () => {
    const at = await station('route', 'h7', 'line-1', demo('wheatear'));
    const jump = TestBed.inject(Jump);
    jump.toSnag(at.store.snags().find((snag) => snag.rule === 'hose-aged')!);
    await until(() => at.root.querySelector('[data-hose]') !== null);
    await at.settle();
    expect(at.root.querySelector('[data-hose=hose-rr]')!.getAttribute('aria-current')).toBe('true');
    jump.toSnag(at.store.snags().find((snag) => snag.rule === 'near-hot')!);
    await at.settle();
    expect(at.root.querySelector('fl-hoses-page')).toBeNull();
    expect(at.root.querySelector('fl-line-tabs')).not.toBeNull();
  });
});
