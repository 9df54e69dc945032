import { TestBed } from '@angular/core/testing';
import { Selection } from '../../session/selection';
import { station } from '../../testing/station';

const open = async (id: string, target?: { kind: 'point' | 'port'; id: string }) => {
  const at = await station('measure', id);
  if (target) TestBed.inject(Selection).chooseTarget(target);
  await at.settle();
  return at;
};
const port = (at: Awaited<ReturnType<typeof open>>, id: string) => at.store.view().ports.get(id)!;

describe('places', () => {
  test('a guess is marked until it is measured, then it is not', async () => {
    const at = await open('p1', { kind: 'port', id: 'port-rr' });
    expect(at.texts('fl-place-row [aria-current=true]')[0]).toMatch(/△ guess ±30/);
    await at.click(at.one<HTMLInputElement>('input[value=typed]'));
    const sigmas = [
      ...at.root.querySelectorAll<HTMLInputElement>('fl-place-detail fl-length-field input'),
    ].slice(3);
    for (const field of sigmas) await at.type(field, '1.5');
    expect(at.texts('fl-place-row [aria-current=true]')[0]).toMatch(/typed ±3/);
    expect(at.store.snags().some((snag) => snag.rule === 'guess-unmeasured')).toBe(false);
  });

  test('going from tapes to typed keeps what was found', async () => {
    const at = await open('p2', { kind: 'port', id: 'port-rt-in' });
    const before = port(at, 'port-rt-in').fixed.atMm;
    await at.click(at.one<HTMLInputElement>('input[value=typed]'));
    port(at, 'port-rt-in').fixed.atMm.forEach((v, i) =>
      expect(Math.abs(v - before[i]!)).toBeLessThanOrEqual(0.05),
    );
    // And back: the tapes are still there.
    await at.click(at.one<HTMLInputElement>('input[value=taped]'));
    expect(port(at, 'port-rt-in').port.known.tapes).toHaveLength(5);
  });

  test('tapes are added from a datum not read yet, changed and removed', async () => {
    const at = await open('p3', { kind: 'port', id: 'port-rt-in' });
    await at.click(at.button('Add tape'));
    const tapes = () => port(at, 'port-rt-in').port.known.tapes!;
    // Nothing of the plan until it is read.
    expect(tapes()).toHaveLength(5);
    await at.type(at.one<HTMLInputElement>('input[placeholder="not measured"]'), '812');
    expect(tapes()).toHaveLength(6);
    expect(new Set(tapes().map((tape) => tape.from)).size).toBe(6);
    expect(tapes()[5]!.readMm).toBe(812);
    await at.choose(at.one<HTMLSelectElement>('#tape-from-6'), 'H, seat box');
    expect(tapes()[5]!.from).toBe('datum-h');
    await at.click(at.button('Remove tape 6'));
    expect(tapes()).toHaveLength(5);
  });

  test('a reading typed just before the next tape is added is kept: no frame comes between on a busy machine', async () => {
    const at = await open('p3b', { kind: 'port', id: 'port-rt-in' });
    const tapes = () => port(at, 'port-rt-in').port.known.tapes!;
    const field = at.root.querySelectorAll<HTMLInputElement>(
      'fl-tape-table fl-text-input input',
    )[6]!;
    field.value = '703';
    field.dispatchEvent(new Event('change', { bubbles: true }));
    await Promise.resolve();
    at.button('Add tape').click();
    await at.settle();
    expect(at.root.querySelectorAll('input[placeholder="not measured"]')).toHaveLength(1);
    expect(tapes()[2]!.readMm).toBe(703);
  });

  test('the way a tube leaves is said in words, and what is no direction is refused', async () => {
    const at = await open('p4', { kind: 'port', id: 'port-rr' });
    await at.type(at.one<HTMLInputElement>('#port-way'), 'left 1, down 1');
    expect(port(at, 'port-rr').port.direction[2]).toBeCloseTo(-Math.SQRT1_2, 9);
    await at.type(at.one<HTMLInputElement>('#port-way'), 'sideways');
    expect(at.texts('.fault').join(' ')).toMatch(/not a direction/);
    expect(port(at, 'port-rr').port.direction[2]).toBeCloseTo(-Math.SQRT1_2, 9);
  });

  test('names, kinds and fluid of a part; a port added; the part deleted lets its lines go', async () => {
    const at = await open('p5', { kind: 'port', id: 'port-ft-in' });
    await at.type(at.one<HTMLInputElement>('#part-name'), 'Front block');
    await at.choose(at.one<HTMLSelectElement>('#part-kind'), 'Block');
    await at.click(at.button('Add a port'));
    const part = () => at.store.plan().parts.find((p) => p.id === 'front-tee');
    expect(part()).toMatchObject({ name: 'Front block', kind: 'block' });
    expect(part()!.ports).toHaveLength(4);
    await at.click(at.button('Delete the part'));
    expect(part()).toBeUndefined();
    expect(
      at.store
        .snags()
        .filter((snag) => snag.rule === 'line-open')
        .map((snag) => snag.where),
    ).toEqual(['F1, end B', 'F2, end A', 'F3, end A']);
    at.store.undo();
    expect(part()!.ports).toHaveLength(4);
  });

  test('a datum that is read from stays, one that is not goes', async () => {
    const at = await open('p6', { kind: 'point', id: 'datum-a' });
    await at.click(at.button('Delete'));
    expect(at.store.view().points.has('datum-a')).toBe(true);
    await at.click(at.button('Add point'));
    expect(at.texts('fl-place-detail h2')[0]).toBe('Point 10');
    await at.click(at.button('Delete'));
    expect(at.store.plan().points).toHaveLength(9);
  });

  test('an empty name is not taken', async () => {
    const at = await open('p7', { kind: 'point', id: 'datum-a' });
    await at.type(at.one<HTMLInputElement>('#place-name'), '   ');
    expect(at.texts('.fault').join()).toMatch(/Enter at least one letter/);
    expect(at.store.plan().points[0]!.name).toBe('A, front left rail');
  });
});
