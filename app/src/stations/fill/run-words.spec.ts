import type { FillRun } from '@firm-line/core/plan';
import { bleederNow, otherActs, sentenceCase, softCauses, type RunState } from './run-words';

const corner = (portId: string, strokes = 0): RunState['corners'][number] => ({
  portId,
  strokes,
  ml: 8 * strokes,
  out: null,
  potMPa: null,
  seconds: 0,
});
const state = (patch: Partial<RunState>): RunState => ({
  phase: 'ready',
  back: 'ready',
  step: 0,
  corners: [corner('rr'), corner('rl')],
  open: [],
  reservoirMl: 120,
  vented: true,
  extraDone: false,
  tried: [],
  felt: null,
  seconds: 0,
  atS: 0,
  ...patch,
});
const run = (method: FillRun['method']) => ({ method }) as FillRun;
const acts = (
  of: RunState,
  main?: Parameters<typeof otherActs>[2],
  method: FillRun['method'] = 'two-people',
) => otherActs(run(method), of, main).map(([act]) => act);

describe('what else can be told of a run', () => {
  it('before the first stroke there is no next corner, after it there is', () => {
    expect(acts(state({}), 'open')).not.toContain('next');
    expect(acts(state({ corners: [corner('rr', 3), corner('rl')] }), 'open')).toContain('next');
  });
  it('what goes on anyway is not offered twice', () => {
    expect(acts(state({ phase: 'open' }), 'stroke')).not.toContain('stroke');
    expect(acts(state({ phase: 'open' }), 'close')).toEqual(
      expect.arrayContaining(['stroke', 'stall']),
    );
    expect(acts(state({ phase: 'open' }), 'close')).not.toContain('close');
  });
  it('with fluid that flows by itself nobody strokes; a pot is vented', () => {
    expect(acts(state({ phase: 'open' }), 'read', 'pressure')).not.toContain('stroke');
    expect(acts(state({}), 'open', 'pressure')).toContain('vent');
    expect(acts(state({}), 'open', 'two-people')).not.toContain('vent');
  });
  it('at the mark it is shut only where something stands open', () => {
    expect(acts(state({ phase: 'low' }), 'top-up')).toEqual([]);
    expect(acts(state({ phase: 'low', open: ['rr'] }), 'top-up')).toEqual(['close']);
  });
  it('there is no bleeder at hand once all are through', () => {
    expect(bleederNow(state({ step: 1 }))?.portId).toBe('rl');
    expect(bleederNow(state({ phase: 'done', step: 2 }))).toBeNull();
    expect(bleederNow(state({ phase: 'extra' }))).toBeNull();
  });
});

describe('a pedal that is not firm', () => {
  const words = ({ airMl }: { airMl: number }) => `${airMl} mL`;
  it('that sinks leaks: said first, before the air that is left', () => {
    const air = { airMl: 2, pipes: [], places: [] };
    const causes = softCauses('sinks', air, words);
    expect(causes[0]).toMatch(/^A sinking pedal means a leak/);
    expect(causes[1]).toBe('Estimated: 2 mL.');
    expect(softCauses('soft', air, words)[0]).toBe('Estimated: 2 mL.');
  });
  it('with as good as no air left says nothing of it', () => {
    const causes = softCauses('soft', { airMl: 0.05, pipes: [], places: [] }, words);
    expect(causes.join()).not.toMatch(/simulation/);
    expect(causes[0]).toMatch(/settle for an hour/);
  });
});

test('a name begins a sentence', () =>
  expect(sentenceCase('TWO people, pedal')).toBe('Two people, pedal'));
