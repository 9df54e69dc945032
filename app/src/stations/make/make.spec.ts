import { NO_BUYING, NO_MAKING } from '@firm-line/core/plan';
import { withSection } from '../../../../core/src/testing/records';
import { demo } from '../../testing/open-gannet';
import { station } from '../../testing/station';

type At = Awaited<ReturnType<typeof station>>;
const field = (at: At, label: string, inside = ''): HTMLInputElement =>
  [...at.root.querySelectorAll<HTMLElement>(`${inside} fl-text-input`)]
    .find((f) => f.textContent!.includes(label))!
    .querySelector('input')!;
const pageOf = async (at: At, name: string): Promise<void> => {
  await at.page(name);
};

describe('the card', () => {
  test('says which way round it is bent', async () => {
    const at = await station('make', 'mk1');
    expect(at.texts('[data-test=order]')[0]).toMatch(/^Bend from A: clear through the whole bend/);
  });
  test('says why not, and which bend wants another way', async () => {
    const at = await station('make', 'mk2', 'line-f2');
    expect(at.texts('[data-test=order]')[0]).toMatch(
      /^No bend order is clear: from A it hits the bender’s body at bend 3/,
    );
  });

  test('a test piece that was good is ticked once for all lines in that tube; a scrapped end is counted', async () => {
    const at = await station('make', 'mk3', 'line-r2');
    await at.click(at.one('[data-step=test-bubble]'));
    expect(at.root.querySelector('[data-step=test-bubble]')).toBeNull();
    expect(at.store.plan().bench.trials).toEqual([
      expect.objectContaining({ flare: 'bubble', piece: 'test', good: true }),
    ]);
    await at.click(at.button('split: Bubble flare'));
    expect(at.texts('fl-flare-trials').join()).toMatch(/1 scrapped/);
    expect(at.texts('fl-flare-trials').join()).toMatch(/1 × split: bubble flare/);
    // A good one again after it: one was an end of a line, so the tool is still proven.
    expect(at.root.querySelector('[data-step=test-bubble]')).toBeNull();
  });

  test('readings that no such tube gives are said, and nothing is kept of them', async () => {
    const at = await station('make', 'mk4', 'line-r2');
    await at.type(field(at, 'square to the new straight', 'fl-measured-back'), 'wide');
    expect(at.texts('fl-measured-back .fault')).toHaveLength(1);
    expect(at.one<HTMLButtonElement>('fl-measured-back .btn-main').disabled).toBe(true);
    expect(at.store.plan().lines.find(({ id }) => id === 'line-r2')!.readings).toBeUndefined();
  });

  test('offered up: a miss leads to one change, no miss to none', async () => {
    const at = await station('make', 'mk5', 'line-r1');
    await at.type(field(at, 'aft', 'fl-offer-up'), '4');
    await at.type(field(at, 'up', 'fl-offer-up'), '2');
    expect(at.texts('fl-offer-up').join()).toMatch(
      /miss at B Seat end A, let the tube roll freely, and enter how far B is from its port/,
    );
    await at.type(field(at, 'aft', 'fl-offer-up'), '0');
    await at.type(field(at, 'up', 'fl-offer-up'), '0');
    expect(at.store.plan().lines.find(({ id }) => id === 'line-r1')!.missMm).toBeNull();
    expect(at.texts('fl-offer-up').join()).not.toMatch(/One change/);
  });

  test('what stands about the bender is the usual until it is the user’s own, and can be again', async () => {
    const at = await station('make', 'mk6', 'line-f2');
    await at.click(at.button('Remove the bender’s body'));
    expect(at.store.plan().bench.benders[0]!.around!.solids.map(({ name }) => name)).toEqual([
      'the clamp',
      'the bench',
    ]);
    expect(at.texts('[data-test=order]')[0]).toMatch(/clear through the whole bend/);
    await at.click(at.button('Use the standard ones'));
    expect(at.store.plan().bench.benders[0]!.around).toBeUndefined();
  });
});

describe('from an empty plan', () => {
  test('every page says what it is for, and nothing is wrong with it', async () => {
    const bare = { ...demo('gannet'), lines: [], hoses: [], making: NO_MAKING, buying: NO_BUYING };
    const at = await station('make', 'mk7', '', bare);
    expect(at.texts('fl-empty-state h2')).toEqual(['No line to make yet']);
    for (const [name, words] of [
      ['Cuts', /Nothing to cut/],
      [
        'List',
        /MakeCardCutsListKitsBracketsTagsShopping listCurrencyImport pricesExport listPrint9 of 9/,
      ],
      ['Kits', /No kit/],
      ['Brackets', /No bracket yet/],
      ['Tags', /No line yet/],
    ] as const) {
      await pageOf(at, name);
      for (let i = 0; i < 20 && !words.test(at.root.textContent!); i++) await at.settle();
      expect(at.root.textContent).toMatch(words);
    }
  });

  test('a bracket is added, a hole that runs off it is said, and it can be removed', async () => {
    const at = await station(
      'make',
      'mk8',
      'line-r1',
      withSection(demo('gannet'), 'making', NO_MAKING),
    );
    await pageOf(at, 'Brackets');
    for (let i = 0; i < 20 && !at.root.querySelector('fl-brackets-page'); i++) await at.settle();
    await at.click(at.button('Add a bracket'));
    await at.type(field(at, 'Across', 'fl-brackets-page'), '14');
    expect(at.texts('fl-brackets-page .fault')).toEqual(['Hole 1 overlaps the edge of the plate.']);
    await at.type(field(at, 'Across', 'fl-brackets-page'), '0');
    expect(at.texts('fl-brackets-page .fault')).toEqual([]);
    await at.click(at.button('Remove Bracket 1'));
    expect(at.store.plan().making.brackets).toEqual([]);
  });

  test('a coil is put down in pieces and lengths; left-overs come back into the stock once it is cut', async () => {
    const at = await station('make', 'mk9');
    await pageOf(at, 'Cuts');
    for (let i = 0; i < 40 && !at.texts('[data-test=cuts-sum]').length; i++) await at.settle();
    expect(at.texts('[data-test=cuts-sum]')[0]).toMatch(
      /^6 cuts out of 1 piece, 7620 mm in all: no plan uses less stock/,
    );
    await at.click(at.button('Mark as cut and add offcuts to stock'));
    expect(
      at.store
        .plan()
        .lines.find(({ id }) => id === 'line-r1')!
        .ticks.map(({ step }) => step),
    ).toEqual(['cut']);
    expect(at.store.plan().making.stock.map(({ lengthMm }) => Math.round(lengthMm))).toEqual([
      1240, 2859,
    ]);
  });
});
