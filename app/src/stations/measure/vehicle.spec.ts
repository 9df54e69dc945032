import { station } from '../../testing/station';

const open = async (id: string) => {
  const at = await station('measure', id);
  await at.click(at.button('Vehicle'));
  return at;
};
const field = (root: HTMLElement, label: string, nth = 0): HTMLInputElement =>
  [...root.querySelectorAll<HTMLElement>('fl-text-input')]
    .filter((f) => f.querySelector('label')!.textContent!.trim() === label)
    [nth]!.querySelector('input')!;

describe('the vehicle set down in Measure', () => {
  test('things are listed by what they are to a line, and a rail is added, put right, and deleted', async () => {
    const at = await open('w1');
    expect(at.texts('[data-thing=exhaust]')[0]).toMatch(/Exhaust ?hot/);
    expect(at.texts('[data-thing=axle-rear]')[0]).toMatch(/moving, travels/);
    await at.choose(at.one<HTMLSelectElement>('[aria-label="Kind of item"]'), 'Rail');
    at.one<HTMLFormElement>('fl-vehicle-list form').dispatchEvent(
      new Event('submit', { cancelable: true }),
    );
    await at.settle();
    expect(at.texts('fl-thing-detail h2')).toEqual(['Rail 3']);
    await at.type(field(at.root, 'Across, level'), '3 in');
    const made = () => at.store.plan().things.at(-1)!;
    expect(made().shape).toMatchObject({ kind: 'bar', widthMm: expect.closeTo(76.2, 9) });
    await at.type(field(at.root, 'z, up', 1), '550');
    expect(made().shape).toMatchObject({
      pathMm: [
        [0, -400, 450],
        [3000, -400, 550],
      ],
    });
    await at.click(at.button('Add a station'));
    expect(made().shape).toMatchObject({ pathMm: { length: 3 } });
    await at.click(at.button('Delete'));
    expect(at.store.plan().things.some((t) => t.name === 'Rail 3')).toBe(false);
  });

  test('a figure that cannot be is said and not taken', async () => {
    const at = await open('w2');
    await at.click(at.one('[data-thing=exhaust]'));
    const before = at.store.plan();
    await at.type(field(at.root, 'Diameter'), 'fat');
    expect(at.texts('fl-thing-detail .fault')[0]).toMatch(/"fat"/);
    await at.type(field(at.root, 'Surface temperature, °C'), '9000');
    expect(at.texts('fl-thing-detail .fault').join(' ')).toMatch(
      /9000 cannot be used: must be 2000 or less/,
    );
    expect(at.store.plan()).toBe(before);
  });

  test('what moves gets its travel, and lines are judged by it at once', async () => {
    const at = await open('w3');
    await at.click(at.one('[data-thing=tank]'));
    const moves = [...at.root.querySelectorAll<HTMLElement>('fl-thing-detail label')]
      .find((l) => l.textContent!.includes('Moves with'))!
      .querySelector('input')!;
    await at.click(moves);
    expect(at.store.plan().things.find((t) => t.id === 'tank')!.travel).toMatchObject({
      heaveMm: [-60, 60],
    });
    await at.type(field(at.root, 'Down, droop'), '-120');
    await at.type(field(at.root, 'Lines keep from it'), '60');
    expect(at.store.snags().some((s) => s.rule === 'runs-into' && s.where === 'R1')).toBe(true);
  });

  test('gates and limits of holding', async () => {
    const at = await open('w4');
    await at.click(at.button('Add a gate'));
    expect(at.store.plan().gates).toHaveLength(3);
    const bed = [
      ...at.root.querySelectorAll<HTMLInputElement>('fl-vehicle-list input[type=checkbox]'),
    ][0]!;
    await at.click(bed);
    expect(at.store.snags().some((s) => s.rule === 'behind-gate')).toBe(true);
    await at.type(field(at.root, 'Span at most'), '150');
    expect(at.store.snags().some((s) => s.rule === 'span-long')).toBe(true);
    await at.click(at.button('Delete gate Bed on'));
    expect(at.store.plan().gates.map((gate) => gate.name)).not.toContain(undefined);
  });
});
