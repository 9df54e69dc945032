import { layOut, bestScale, PAPERS } from './sheet-layout';
import { placesOf, projectFlat } from '../../kit/flat-projection';
import { hull } from '../../kit/hull';
import { viewPlan } from '@firm-line/core/plan/results';
import { gannet, until } from '../../testing/open-gannet';
import { station } from '../../testing/station';

describe('Route among the things of the vehicle', () => {
  test('without WebGL it says so and keeps the flat views', async () => {
    const at = await station('route', 's1');
    expect(at.texts('[role=status]')[0]).toMatch(/The 3-D view is unavailable in this browser/);
    expect(at.one('fl-flat-views')).not.toBeNull();
    expect(at.root.querySelector('fl-space-view')).toBeNull();
  });

  test('the strip shows clips, and a stretch that is too near with its distance', async () => {
    const at = await station('route', 's2', 'line-r3');
    expect(at.root.querySelectorAll('[data-test=strip-clip]')).toHaveLength(2);
    expect(at.root.querySelectorAll('[data-test=strip-zone]')).toHaveLength(1);
    expect(at.texts('fl-strip text').join(' ')).toContain('Exhaust 116 away');
    expect(at.texts('[data-test=held]')).toEqual(['2 clips, longest span 328']);
  });

  test('a heat sleeve is one tap, is drawn, and the snag is gone', async () => {
    const at = await station('route', 's3', 'line-r3');
    const tap = [...at.root.querySelectorAll<HTMLElement>('fl-snag-row button')].find((b) =>
      b.textContent!.includes('Heat sleeve'),
    )!;
    await at.click(tap);
    expect(at.store.plan().lines.find((l) => l.id === 'line-r3')!.sleeves).toEqual([
      { fromMm: expect.any(Number), toMm: expect.any(Number), kind: 'heat' },
    ]);
    expect(at.store.snags().filter((s) => s.rule === 'near-hot')).toEqual([]);
    expect(at.root.querySelector('[data-test=strip-zone]')).toBeNull();
    at.store.undo();
    await at.settle();
    expect(at.store.snags().filter((s) => s.rule === 'near-hot')).toHaveLength(1);
  });

  test('clips are typed by their places; one off the tube or no length at all leaves them as they were', async () => {
    const at = await station('route', 's9', 'line-r3');
    const clips = (): readonly number[] =>
      at.store.plan().lines.find((l) => l.id === 'line-r3')!.clipsMm;
    const field = at.one<HTMLInputElement>('#clips-at');
    await at.type(field, '420, 90; 90');
    expect(clips()).toEqual([90, 420]);
    expect(at.texts('[data-test=held]')[0]).toMatch(/^2 clips/);
    await at.type(field, '90, far');
    expect(at.texts('#clips-at-fault')[0]).toContain('"far"');
    await at.type(field, '90, 5000');
    expect(at.texts('#clips-at-fault')[0]).toMatch(
      /^No room for a clip at 5000: the tube runs from 0 to \d+ mm/,
    );
    expect(clips()).toEqual([90, 420]);
    await at.type(field, '');
    expect([clips(), at.texts('#clips-at-fault')]).toEqual([[], []]);
  });

  test('a sleeve goes where it is hot, a shake over all of it; each figure is kept in order, and either is taken off again', async () => {
    const at = await station('route', 's10', 'line-r3');
    const line = () => at.store.plan().lines.find((l) => l.id === 'line-r3')!;
    await at.click(at.button('Add heat sleeve'));
    const [sleeve] = line().sleeves;
    expect(sleeve!.toMm - sleeve!.fromMm).toBeLessThan(400);
    expect(at.store.snags().filter((s) => s.rule === 'near-hot')).toEqual([]);
    await at.click(at.button('Add vibration'));
    expect(line().shakes).toEqual([{ fromMm: 0, toMm: expect.any(Number) as number, hz: 120 }]);
    const fields = () => [
      ...at.root.querySelectorAll<HTMLInputElement>('fl-line-holding fieldset:last-of-type input'),
    ];
    await at.type(fields()[2]!, '200');
    await at.type(fields()[1]!, '150');
    expect(line().shakes).toEqual([{ fromMm: 0, toMm: 150, hz: 200 }]);
    await at.type(fields()[0]!, '300');
    expect(at.texts('fl-line-holding .fault').join(' ')).toMatch(/149/);
    expect(line().shakes[0]!.fromMm).toBe(0);
    for (const name of ['Vibration frequency', 'Heat sleeve'])
      await at.click(
        [...at.root.querySelectorAll('button')].find((b) =>
          b.getAttribute('aria-label')?.startsWith(`Remove: ${name}`),
        )!,
      );
    expect([line().shakes, line().sleeves]).toEqual([[], []]);
    expect(at.store.snags().filter((s) => s.rule === 'near-hot')).toHaveLength(1);
  });

  test('clips are placed, ends swapped and a union put in, each at one stroke', async () => {
    const at = await station('route', 's4', 'line-f3');
    await at.click(at.button('Place clips'));
    expect(at.texts('[data-test=held]')[0]).toMatch(/^2 clips/);
    await at.click(at.button('Swap ends'));
    expect(at.store.plan().lines.find((l) => l.id === 'line-f3')!.ends.a.portId).toBe('port-fr');
    await at.click(at.button('Add union here'));
    // 260 mm in the middle of F3 have room; its first move from that end has not.
    expect(at.store.plan().lines.some((l) => l.name === 'F3b')).toBe(false);
  });

  test('an end may be left open: it keeps its place and its slack, waits for a name, and asks to be capped', async () => {
    HTMLDialogElement.prototype.showModal ??= () => undefined;
    HTMLDialogElement.prototype.close ??= () => undefined;
    const at = await station('route', 's7', 'line-r2');
    const cut = (): number =>
      at.store.view().lines.find((v) => v.line.id === 'line-r2')!.card!.stockCutMm;
    const before = cut();
    await at.click(at.button('Line details'));
    const port = at.one<HTMLSelectElement>('#port-b');
    port.value = '';
    port.dispatchEvent(new Event('change'));
    await at.settle();
    await at.type(at.one<HTMLInputElement>('#waits-b'), 'the axle swap');
    at.one<HTMLFormElement>('fl-line-form form').dispatchEvent(
      new Event('submit', { cancelable: true }),
    );
    await at.settle();
    const found = at.store
      .snags()
      .filter((s) => s.where === 'R2, end B')
      .map((s) => [s.rule, s.text]);
    expect(found).toEqual(
      expect.arrayContaining([
        ['line-open', 'The line waits for the axle swap.'],
        ['open-uncapped', 'This end is open and not capped. Cap it.'],
      ]),
    );
    expect(cut()).toBeCloseTo(before + 50, 6);
  });

  test('a template says by how much it misses, and which row cannot be read', async () => {
    const at = await station('route', 's5');
    const field = at.one<HTMLTextAreaElement>('#template-bends');
    const write = async (text: string): Promise<void> => {
      field.value = text;
      field.dispatchEvent(new Event('input'));
      await at.settle();
    };
    await write('45 0 90\n2200 zero 90\n200');
    expect(at.texts('[data-test=template]')[0]).toMatch(/Row 2 needs three figures/);
    await write('45 0 90\n2200 0 90\n200');
    expect(at.texts('[data-test=template]')[0]).toMatch(
      /Laid from end A the template misses end B by 413\.6 mm \(x 105\.6 mm, y 399\.8 mm, z 3\.6 mm\)/,
    );
    await at.click(at.button('Use as the kept line'));
    expect(at.store.plan().lines.find((l) => l.id === 'line-r1')!.origin).toBe('kept');
    expect(at.root.textContent).toContain('kept from the vehicle');
  });

  test('ways are found side by side, and the one that is taken becomes the line', async () => {
    const at = await station('route', 's6');
    await at.click(at.button('Find a route'));
    await at.click(at.button('Find routes'));
    await until(() => at.root.querySelectorAll('[data-way]').length > 0);
    await at.settle();
    expect(at.texts('[data-way]').length).toBeGreaterThan(1);
    expect(at.texts('[data-way] svg').length).toBe(at.texts('[data-way]').length);
    const before = at.store.plan().lines.find((l) => l.id === 'line-r1')!.cornersMm;
    await at.click(at.root.querySelector<HTMLElement>('[data-way="0"] button')!);
    expect(at.store.plan().lines.find((l) => l.id === 'line-r1')!.cornersMm).not.toEqual(before);
    expect(at.store.snags().filter((s) => s.rule === 'in-reserved')).toEqual([]);
    expect(at.root.querySelector('fl-find-way')).toBeNull();
  });
});

describe('the sheet to scale', () => {
  const view = viewPlan(gannet());
  const extent = projectFlat(placesOf(view), { width: 1000, height: 700 });

  test('a millimetre of the vehicle is a scale-th of one on paper, in both views', () => {
    const sheet = layOut(view, extent, 'A3', 20);
    const r1 = sheet.lines.find((line) => line.name === 'R1')!;
    const [first] = r1.d.slice(1).split('M') as [string, string];
    const xs = first.split('L').map((p) => Number(p.split(' ')[0]));
    const nodes = view.lines.find((v) => v.line.name === 'R1')!.nodesMm;
    expect(xs.at(-1)! - xs[0]!).toBeCloseTo((nodes.at(-1)![0] - nodes[0]![0]) / 20, 2);
  });
  test.each(['A4', 'A3', 'Letter'] as const)(
    '%s: the best scale fits, the next larger does not',
    (paper) => {
      const scale = bestScale(extent, paper);
      const sheet = layOut(view, extent, paper, scale);
      expect(sheet.fits).toBe(true);
      expect([sheet.widthMm, sheet.heightMm]).toEqual([...PAPERS[paper]]);
      expect(layOut(view, extent, paper, scale / 2).fits).toBe(false);
    },
  );
});

describe('the outline round points', () => {
  test('a square with points inside is its four corners, in order', () => {
    const found = hull([
      [0, 0],
      [4, 4],
      [2, 2],
      [0, 4],
      [4, 0],
      [1, 3],
      [2, 0],
    ]);
    expect(found).toHaveLength(4);
    const area =
      found.reduce(
        (sum, [x, y], i) => sum + x * found[(i + 1) % 4]![1] - y * found[(i + 1) % 4]![0],
        0,
      ) / 2;
    expect(Math.abs(area)).toBe(16);
  });
});
