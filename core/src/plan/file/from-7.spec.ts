import { from7 } from './migrations/from-7.ts';

const OLD = {
  version: 7,
  bleeding: { school: 'farthest-first', listed: [], purge: 3, fluidId: 'dot-5.1' },
  filling: { people: 2, fluids: [{ part: 'clutch', fluidId: 'mineral', source: 'cap' }] },
  parts: [
    { id: 'own', kind: 'master', ports: [{ id: 'o', role: 'outlet' }] },
    { id: 'fed', kind: 'master', ports: [{ id: 'f', role: 'feed' }] },
    { id: 'bottle', kind: 'reservoir', ports: [] },
    { id: 'trailer', kind: 'actuator', ports: [] },
    { id: 'clutch', kind: 'master', ports: [] },
    { id: 'caliper', kind: 'caliper', ports: [] },
  ],
};

describe('the fluid of a plan becomes that of each reservoir', () => {
  it('that had none of its own, and leaves the others', () => {
    const { bleeding, filling, version } = from7(OLD) as unknown as {
      version: number;
      bleeding: object;
      filling: { people: number; fluids: { part: string; fluidId: string; source: string }[] };
    };
    expect(version).toBe(8);
    expect(bleeding).toEqual({ school: 'farthest-first', listed: [], purge: 3 });
    expect(filling.people).toBe(2);
    expect(filling.fluids.map(({ part, fluidId }) => `${part} ${fluidId}`)).toEqual([
      'clutch mineral',
      'own dot-5.1',
      'bottle dot-5.1',
      'trailer dot-5.1',
    ]);
    expect(filling.fluids[0]!.source).toBe('cap');
  });
  it('one answer for six clearances becomes six, of which the shield keeps what was not clear', () => {
    const calipers = (clear: unknown) =>
      (
        from7({ ...OLD, wheelEnds: { calipers: [{ key: 'fl', clear }] } })['wheelEnds'] as {
          calipers: { clears: Record<string, unknown> }[];
        }
      ).calipers[0]!;
    expect(calipers(true)).not.toHaveProperty('clear');
    expect(Object.values(calipers(true).clears)).toEqual(Array(6).fill(true));
    expect(calipers(false).clears).toMatchObject({ discShield: false, hoseWheel: null });
    expect(Object.values(calipers(null).clears)).toEqual(Array(6).fill(null));
  });
  it('a signature loses the digests of sections that are written otherwise now', () => {
    const signed = [{ by: 'AB', rests: 'abc', sections: [{ name: 'bleeding', digest: 'x' }] }];
    expect(from7({ ...OLD, proving: { signed } })['proving']).toEqual({
      signed: [{ by: 'AB', rests: 'abc' }],
    });
  });
  it('what was ticked before a gate closes is kept in the notes', () => {
    const gates = [
      { id: 'g', name: 'Bed on', done: ['run line-r1', 'test'] },
      { id: 'h', name: 'Dash in', done: [] },
    ];
    expect(from7({ ...OLD, notes: 'Mind the dog.', gates })).toMatchObject({
      gates: [
        { id: 'g', name: 'Bed on' },
        { id: 'h', name: 'Dash in' },
      ],
      notes: 'Mind the dog.\nTicked before Bed on closes: run line-r1; test.',
    });
    expect(from7({ ...OLD, gates: [gates[1]] })).not.toHaveProperty('notes');
  });
  it('hands on what is no plan for the reader to refuse', () => {
    expect(from7({ bleeding: 7 })).toEqual({ bleeding: 7, version: 8 });
    expect(from7({ bleeding: { fluidId: 'x' }, filling: null })).toEqual({
      bleeding: {},
      filling: null,
      version: 8,
    });
  });
});
