import { station } from '../../testing/station';

type At = Awaited<ReturnType<typeof station>>;
/** The station at one of its pages. */
async function page(id: string, name: string, waits: string): Promise<At> {
  const at = await station('make', id);
  await at.page(name);
  for (let i = 0; i < 40 && !at.root.querySelector(waits); i++) await at.settle();
  return at;
}
const field = (at: At, label: string): HTMLInputElement =>
  [...at.root.querySelectorAll<HTMLElement>('fl-text-input')]
    .find((f) => f.textContent!.includes(label))!
    .querySelector('input')!;
const order = (at: At, key: string) => at.store.plan().buying.orders.find((one) => one.key === key);

describe('one list', () => {
  test('what has come counts as at hand; what is ordered today says when', async () => {
    const at = await page('ls1', 'List', '[data-test=list-sum]');
    expect(at.texts('[data-test=list-sum]')[0]).toMatch(/^25 of 26 items to buy, 0\.00 EUR/);
    await at.click(at.button('3/8-24 nut'));
    const states = at.root.querySelector<HTMLSelectElement>('[id="state-nut:3/8-24-inverted"]')!;
    await at.choose(states, 'ordered');
    expect(order(at, 'nut:3/8-24-inverted')).toMatchObject({
      state: 'ordered',
      on: new Date().toISOString().slice(0, 10),
      have: 0,
    });
    await at.choose(
      at.root.querySelector<HTMLSelectElement>('[id="state-nut:3/8-24-inverted"]')!,
      'here',
    );
    expect(order(at, 'nut:3/8-24-inverted')).toMatchObject({ state: 'here', have: 8 });
    expect(at.texts('[data-test=list-sum]')[0]).toMatch(/^24 of 26/);
  });

  test('a price gives cost, sum and share; a figure that is none is said and not taken', async () => {
    const at = await page('ls2', 'List', '[data-test=list-sum]');
    await at.click(at.button('M10x1 nut'));
    await at.type(field(at, 'Unit price piece'), 'cheap');
    expect(at.texts('fl-list-page .fault, .fault')).toHaveLength(1);
    await at.type(field(at, 'Unit price piece'), '2.25');
    expect(at.texts('[data-test=list-sum]')[0]).toMatch(/9\.00 EUR/);
    expect(order(at, 'nut:M10x1-bubble')).toMatchObject({ priceMinor: 225 });
    expect(at.texts('tbody td').join(' ')).toMatch(/100 %/);
  });

  test('something of one’s own is added, counted and removed, with what was said of it', async () => {
    const at = await page('ls3', 'List', '[data-test=list-sum]');
    const own = at.one<HTMLInputElement>('#own-name');
    own.value = 'Rags';
    own.dispatchEvent(new Event('input'));
    await at.settle();
    await at.click(at.button('Add to the list'));
    expect(at.store.plan().buying.own.map(({ name }) => name)).toEqual([
      'Cable ties, 200 mm',
      'Rags',
    ]);
    await at.type(field(at, 'On hand, pieces'), '3');
    expect(order(at, 'own:item-1')).toMatchObject({ have: 3 });
    await at.click(at.button('Remove Rags'));
    expect(at.store.plan().buying.own.map(({ name }) => name)).toEqual(['Cable ties, 200 mm']);
    expect(order(at, 'own:item-1')).toBeUndefined();
  });
});

describe('tags', () => {
  test('every line and hose has one, with its ends, length, fluid and a square of its own', async () => {
    const at = await page('ls4', 'Tags', 'fl-tags-page li svg');
    const plan = at.store.plan();
    expect(at.texts('fl-tags-page li')).toHaveLength(plan.lines.length + plan.hoses.length);
    expect(at.texts('fl-tags-page li')[0]).toMatch(
      /^F1 ?Master to front tee ?A: Tandem master, front outlet/,
    );
    const squares = [...at.root.querySelectorAll('fl-tags-page li path')].map((path) =>
      path.getAttribute('d'),
    );
    expect(new Set(squares).size).toBe(squares.length);
    expect(at.root.querySelectorAll('[aria-label="Line map"] tbody tr')).toHaveLength(
      plan.lines.length,
    );
  });
});

describe('kits', () => {
  test('a corner that differs stops the order until it agrees; a corner that is not asked is silent', async () => {
    const at = await page('ls5', 'Kits', 'fl-kits-page');
    await at.click(at.button('Add a kit'));
    await at.type(field(at, 'Kit: Bolt spread'), '88.9');
    expect(at.texts('[data-test=kit-verdict]')[0]).toBe(
      'No mismatch so far; 2 figures are not measured.',
    );
    await at.type(field(at, 'rear left: Bolt spread'), '88.7');
    await at.type(field(at, 'rear right: Bolt spread'), '90.5');
    expect(at.texts('[data-test=kit-verdict]')[0]).toBe('Do not order: the kit does not match.');
    expect(
      at.store.snags().some(({ rule, level }) => rule === 'kit-differs' && level === 'stop'),
    ).toBe(true);
    await at.type(field(at, 'rear right: Bolt spread'), '89');
    expect(at.texts('[data-test=kit-verdict]')[0]).toBe('The kit matches every dimension entered.');
    await at.click(at.button('Remove Disc kit'));
    expect(at.texts('fl-kits-page').join() + at.root.textContent).toMatch(/No kit/);
  });
});
