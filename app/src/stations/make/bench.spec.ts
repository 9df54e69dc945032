import { station } from '../../testing/station';

const field = (at: Awaited<ReturnType<typeof station>>, label: string): HTMLInputElement =>
  [
    ...at.root.querySelectorAll<HTMLElement>(
      'fl-bench-panel fl-length-field, fl-bench-panel fl-number-field',
    ),
  ]
    .find((f) => f.querySelector('label')!.textContent!.includes(label))!
    .querySelector('input')!;
const dials = (at: Awaited<ReturnType<typeof station>>): string[] =>
  at.texts('[data-test=bends] tbody td:nth-child(4) span:first-child');

describe('my bench', () => {
  test('test bends change what is dialled, for every line in that bender', async () => {
    const at = await station('make', 'b1');
    expect(dials(at)[0]).toBe('93.0°');
    for (const name of ['Remove test 3', 'Remove test 2', 'Remove test 1'])
      await at.click(at.button(name));
    expect(dials(at)[0]).toBe('90.1°');
    expect(at.texts('fl-bench-panel').join()).toMatch(/Until then the card assumes no springback/);
    await at.click(at.button('Add a test bend'));
    await at.type(field(at, 'Dialed in test 1'), '95');
    // One test bend: the line through 90 kept for 95 dialled, 95.1 for 90.1.
    expect(dials(at)[0]).toBe('95.1°');
    expect(
      at.store
        .view()!
        .lines.filter((line) => line.bender.id === 'bender-1')
        .every((line) => line.bender.testBends.length === 1),
    ).toBe(true);
  });

  test('less kept than was dialled is the only springback there is', async () => {
    const at = await station('make', 'b2');
    const before = at.store.plan();
    await at.type(field(at, 'After springback in test 1'), '40');
    expect(at.texts('fl-bench-panel .fault')[0]).toMatch(/40 cannot be used: must be 32 or less/);
    expect(at.store.plan()).toBe(before);
  });

  test('a longer nut makes the short end a stop, a shorter one mends it', async () => {
    const at = await station('make', 'b3', 'line-f2');
    await at.type(field(at, 'Length of M10x1'), '40 mm');
    expect(
      at.store.snags().some((snag) => snag.rule === 'nut-trapped' && snag.where === 'F2, end B'),
    ).toBe(true);
    await at.type(field(at, 'Length of M10x1'), '10');
    expect(
      at.store.snags().some((snag) => snag.where === 'F2, end B' && snag.station !== 'join'),
    ).toBe(false);
  });

  test('trim, die reference and clamp side move the figures of the card', async () => {
    const at = await station('make', 'b4');
    const cut = (): number => at.store.view().lines[3]!.card!.stockCutMm;
    const mark = (): number => at.store.view().lines[3]!.card!.bends[0]!.drawMarkMm;
    const [cutBefore, markBefore] = [cut(), mark()];
    await at.type(field(at, 'Trim left at B'), '35');
    expect(cut() - cutBefore).toBeCloseTo(15, 9);
    await at.type(field(at, 'Die mark to tangent'), '20');
    expect(mark() - markBefore).toBeCloseTo(-8, 9);
    const bend = at.store.view().lines[3]!.card!.bends[0]!;
    await at.choose(at.one<HTMLSelectElement>('#bender-clamp'), 'End B');
    expect(mark()).toBeCloseTo(bend.markMm + bend.arcMm + 20, 9);
  });
});
