import { Jump } from '../../session/jump';
import { TestBed } from '@angular/core/testing';
import { distance } from '@firm-line/core/lib/vec';
import { Selection } from '../../session/selection';
import { station } from '../../testing/station';

const open = async (id: string, portId: string) => {
  const at = await station('measure', id);
  TestBed.inject(Selection).chooseTarget({ kind: 'port', id: portId });
  await at.settle();
  const field = (label: string): HTMLInputElement => {
    const found = [...at.root.querySelectorAll('label')].find(
      (one) => one.textContent!.trim() === label,
    )!;
    return at.root.querySelector<HTMLInputElement>(`[id="${found.getAttribute('for')}"]`)!;
  };
  return { ...at, field, place: (port: string) => at.store.view().ports.get(port)!.fixed.atMm };
};

describe('a part as a whole', () => {
  test('it is moved by what is typed, its ports and lines along, and one undo brings all back', async () => {
    const at = await open('pp1', 'port-ft-in');
    const before = at.place('port-ft-left');
    const lines = at.store.plan().lines;
    await at.type(at.field('Move aft by'), '12');
    expect(at.place('port-ft-left')[0] - before[0]).toBeCloseTo(12, 6);
    expect(
      at.store
        .plan()
        .lines.filter((line, i) => line !== lines[i])
        .map(({ name }) => name),
    ).toEqual(['F1', 'F2', 'F3']);
    at.store.undo();
    expect(at.place('port-ft-left')).toEqual(before);
    expect(at.store.plan().lines).toEqual(lines);
  });
  test('a quarter turn turns its ports about the first', async () => {
    const at = await open('pp2', 'port-ft-in');
    const [pivot, left] = [at.place('port-ft-in'), at.place('port-ft-left')];
    await at.click(at.button('Turn, seen from above'));
    expect(distance(at.place('port-ft-in'), pivot)).toBeLessThan(0.1);
    expect(distance(at.place('port-ft-left'), pivot)).toBeCloseTo(distance(left, pivot), 0);
    expect(at.store.view().ports.get('port-ft-in')!.port.direction.map(Math.round)).toEqual([
      0, 1, 0,
    ]);
  });
  test('it is given a body, which is then chosen and goes along with it', async () => {
    const at = await open('pp3', 'port-ft-in');
    await at.click(at.button('Add body: box'));
    const body = () => at.store.plan().things.at(-1)!;
    expect(body()).toMatchObject({
      name: 'Front tee, body',
      kind: 'body',
      partId: 'front-tee',
      shape: { kind: 'block' },
    });
    expect(at.texts('fl-thing-detail h2')).toEqual(['Front tee, body']);
    TestBed.inject(Jump).to('measure', { kind: 'port', id: 'port-ft-in' });
    await at.settle();
    const { shape } = body();
    await at.type(at.field('Move up by'), '1 in');
    const now = body().shape;
    expect(
      shape.kind === 'block' && now.kind === 'block' && now.minMm[2] - shape.minMm[2],
    ).toBeCloseTo(25.4, 1);
    await at.click(at.button('Select body'));
    expect(at.texts('fl-thing-detail h2')).toEqual(['Front tee, body']);
  });
  test('a port stands by its sheet so far from another of the part', async () => {
    const at = await open('pp4', 'port-ft-left');
    await at.click(at.one<HTMLInputElement>('input[value=sheet]'));
    await at.type(at.field('aft'), '-40');
    expect(at.place('port-ft-left')[0] - at.place('port-ft-in')[0]).toBeCloseTo(-40, 6);
    expect(at.store.view().ports.get('port-ft-left')!.port.known.how).toBe('sheet');
  });
});

describe('holes in a panel', () => {
  test('one is added, sized, lined and removed', async () => {
    const at = await open('ho1', 'port-ft-in');
    TestBed.inject(Jump).to('measure', { kind: 'thing', id: 'floor' });
    await at.settle();
    const holes = () => at.store.plan().things.find(({ id }) => id === 'floor')!.holes ?? [];
    await at.click(at.button('Add a hole'));
    expect(holes()).toEqual([{ atMm: [1800, 0, 770], diameterMm: 12, lined: 'none' }]);
    await at.type(at.field('Across'), '5/8 in');
    expect(holes()[0]!.diameterMm).toBeCloseTo(15.875, 9);
    await at.choose(at.one<HTMLSelectElement>('#hole-lined-0'), 'grommet');
    await at.type(at.field('hole x'), '1900');
    expect(holes()[0]).toMatchObject({ lined: 'grommet', atMm: [1900, 0, 770] });
    await at.click(at.button('Delete hole 1'));
    expect(holes()).toEqual([]);
  });
});

describe('a plumb bob, a level, a straight edge', () => {
  test('what is read is added to the tapes; a row that is not read is nothing of the plan', async () => {
    const at = await open('of1', 'port-rt-in');
    const known = () => at.store.view().ports.get('port-rt-in')!.port.known;
    await at.click(at.button('Add a plumb bob, level or straight edge'));
    expect(known().offsets).toBeUndefined();
    const datum = at.store.view().points.get(at.one<HTMLSelectElement>('#offset-from-new').value)!
      .fixed.atMm;
    const reads = at.place('port-rt-in')[2] - datum[2];
    const field = at.one<HTMLInputElement>('fl-offset-table input[placeholder="not measured"]');
    await at.type(field, 'deep');
    expect(at.texts('fl-offset-table .fault').join()).toMatch(/"deep" is not a length/);
    expect(known().offsets).toBeUndefined();
    const before = at.store.view().ports.get('port-rt-in')!.fixed.sigmaMm[2];
    await at.type(
      at.one<HTMLInputElement>('fl-offset-table input[placeholder="not measured"]'),
      reads.toFixed(1),
    );
    expect(known().offsets).toMatchObject([{ axis: 2 }]);
    // One more reading of its height leaves it surer there.
    expect(at.store.view().ports.get('port-rt-in')!.fixed.sigmaMm[2]).toBeLessThan(before);
    await at.click(at.button('Remove offset 1'));
    expect(known().offsets).toEqual([]);
  });
});
