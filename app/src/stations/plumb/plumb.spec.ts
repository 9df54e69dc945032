import { TestBed } from '@angular/core/testing';
import { Selection } from '../../session/selection';
import { demo } from '../../testing/open-gannet';
import { station } from '../../testing/station';

const open = async (id: string, portId: string) => {
  const at = await station('plumb', id);
  TestBed.inject(Selection).chooseTarget({ kind: 'port', id: portId });
  await at.settle();
  return at;
};

describe('Plumb', () => {
  test('what one leak takes is said for each gallery of a part', async () => {
    const at = await open('q8', 'port-master-front');
    const said = at.texts('[data-test=lost] p');
    expect(said[0]).toMatch(
      /^If front outlet leaks: Front left, Front right are lost; .*Rear left, Rear right.* are left/,
    );
    expect(said[1]).toMatch(/^If rear outlet leaks: Rear left, Rear right are lost/);
  });
  test('its passages are set by gallery and go back to what its kind has', async () => {
    const at = await open('q9', 'port-rt-in');
    const own = () =>
      at.store.plan().parts.find((part) => part.ports.some(({ id }) => id === 'port-rt-in'))!
        .passages;
    expect(own()).toBeUndefined();
    await at.choose(at.one<HTMLSelectElement>('#gallery-port-rt-right'), 'gallery 2');
    expect(own()).toEqual([['port-rt-in', 'port-rt-left'], ['port-rt-right']]);
    expect(
      at.store
        .snags()
        .filter(({ rule }) => rule === 'part-unfed')
        .map(({ where }) => where),
    ).toEqual(['Rear right']);
    await at.click(at.button('Use the typical passages'));
    expect(own()).toBeUndefined();
  });

  test('a part says what its ports are joined to', async () => {
    const at = await open('q1', 'port-rt-in');
    expect(at.texts('fl-part-panel h2')).toEqual(['Rear tee']);
    expect(at.texts('[data-port=port-rt-in]')[0]).toMatch(/R1 to Tandem master, rear outlet/);
    expect(at.texts('[data-port=port-rt-left]')[0]).toMatch(/R2 to Rear left/);
  });

  test('a line taken out leaves an open port, which is joined again by a straight run', async () => {
    const at = await open('q2', 'port-rt-in');
    await at.click(at.button('Remove R2'));
    expect(at.texts('fl-part-panel fl-snag-row')[0]).toMatch(
      /No line ends here and the port is not capped/,
    );
    const select = at.one<HTMLSelectElement>('[data-port=port-rt-left] select');
    expect([...select.options].map((option) => option.text.trim())).toEqual([
      'Open: join to…',
      'Rear left, hose end at bracket',
    ]);
    await at.choose(select, 'Rear left');
    at.one<HTMLFormElement>('[data-port=port-rt-left] form').dispatchEvent(
      new Event('submit', { cancelable: true }),
    );
    await at.settle();
    const line = at.store.view().lines.at(-1)!;
    expect([line.line.circuitId, line.line.ends.a.portId, line.line.ends.b.portId]).toEqual([
      'circuit-2',
      'port-rt-left',
      'port-rl',
    ]);
    expect(line.line.cornersMm).toHaveLength(2);
  });

  test('a port that a hose is screwed to says so, and is offered to no line', async () => {
    const at = await open('q4', 'port-rl');
    const { hoses } = demo('wheatear');
    at.store.apply({ edit: 'removeLine', with: { id: 'line-r2' } });
    const free = (): string[] => at.texts('[aria-label="Join hose end at bracket to"] option');
    await at.settle();
    expect(free()).toContain('Rear tee, left');
    const ends = {
      a: { ...hoses[0]!.ends.a, portId: 'port-rt-left', through: false },
      b: { ...hoses[0]!.ends.b, portId: 'port-fl' },
    };
    at.store.apply({
      edit: 'addHose',
      with: { hose: { ...hoses[0]!, id: 'hose-x', name: 'H9', circuitId: 'circuit-2', ends } },
    });
    await at.settle();
    expect(free()).not.toContain('Rear tee, left');
    TestBed.inject(Selection).chooseTarget({ kind: 'port', id: 'port-rt-left' });
    await at.settle();
    expect(at.texts('[data-port=port-rt-left]')[0]).toContain('H9, a hose');
  });

  test('a layout is added beside what is there and can be undone in one step', async () => {
    const at = await open('q3', 'port-rt-in');
    const before = at.store.plan();
    await at.choose(at.one<HTMLSelectElement>('[aria-label=Layout]'), 'Motorcycle');
    [...at.root.querySelectorAll('form')]
      .at(-1)!
      .dispatchEvent(new Event('submit', { cancelable: true }));
    await at.settle();
    expect(at.store.plan().lines).toHaveLength(before.lines.length + 1);
    expect(at.store.plan().hoses).toHaveLength(before.hoses.length + 1);
    expect(at.texts('fl-part-panel h2')).toEqual(['Hand master']);
    at.store.undo();
    expect(at.store.plan().lines).toEqual(before.lines);
  });
  test('what a part is for is one tap, and says what it is taken for until then', async () => {
    const at = await open('q-for', 'port-master-front');
    const pedal = at.one<HTMLSelectElement>('#part-pedal');
    expect(pedal.options[pedal.selectedIndex]!.text).toBe('by circuit and name (brake pedal)');
    await at.choose(pedal, 'hand');
    expect(at.store.plan().parts.find(({ id }) => id === 'master')!.pedal).toBe('hand');
    TestBed.inject(Selection).chooseTarget({ kind: 'port', id: 'port-fl' });
    await at.settle();
    const side = at.one<HTMLSelectElement>('#part-side');
    expect(side.options[side.selectedIndex]!.text).toBe('by its position (left)');
    await at.choose(side, 'right');
    await at.choose(side, '');
    expect(at.store.plan().parts.find(({ id }) => id === 'fl')!.side).toBeNull();
  });
});
