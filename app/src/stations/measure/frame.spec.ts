import { viewPlan } from '@firm-line/core/plan/results';
import { floorView } from '@firm-line/core/stations/fit/tasks';
import { TestBed } from '@angular/core/testing';
import { distance } from '@firm-line/core/lib/vec';
import { Selection } from '../../session/selection';
import { station } from '../../testing/station';

const open = async (id: string, name: string) => {
  const at = await station('measure', id);
  await at.click(at.button(name));
  const field = (label: string): HTMLInputElement => {
    const found = [...at.root.querySelectorAll('label')].find(
      (one) => one.textContent!.trim() === label,
    )!;
    return at.root.querySelector<HTMLInputElement>(`[id="${found.getAttribute('for')}"]`)!;
  };
  return {
    ...at,
    field,
    words: (test: string): string => at.texts(`[data-test=${test}]`)[0] ?? '',
  };
};
const SPANS = [
  'Front, left to right',
  'Rear, left to right',
  'Left, front to rear',
  'Right, front to rear',
  'Front left to rear right',
  'Front right to rear left',
];
const READ = [800, 800, 3000, 3000, Math.hypot(800, 3000), Math.hypot(800, 3000)];

describe('square and flat', () => {
  test('six tapes say whether the frame is square, four heights whether it is flat; what is missing is said', async () => {
    const at = await open('f1', 'Frame: square and flat');
    expect(at.texts('fl-frame-page')[0]).toMatch(
      /Six tapes between them show whether the frame is square/,
    );
    for (const [i, name] of SPANS.entries()) {
      expect(at.words('square-verdict')).toBe('');
      await at.type(at.field(name), READ[i]!.toFixed(1));
    }
    expect(at.words('square-verdict')).toMatch(/^Square: the (left|right) rail is/);
    expect(at.words('flat-verdict')).toMatch(/Tapes alone cannot show twist/);
    for (const [corner, mm] of [
      ['Front left', 10],
      ['Front right', 12],
      ['Rear right', 26],
      ['Rear left', 11],
    ] as const)
      await at.type(at.field(`${corner}, height`), String(mm));
    // 10 − 12 − 11 + 26 = 13, by hand.
    expect(at.words('flat-verdict')).toMatch(/^Twisted by 13 mm/);
    await at.type(at.field(SPANS[4]!), '3160');
    expect(at.words('square-verdict')).toMatch(/^The tapes disagree/);
    await at.type(at.field(SPANS[4]!), '90');
    expect(at.texts('fl-frame-page .fault').join()).toMatch(
      /No frame has these six lengths|folded over itself/,
    );
  });
  test('the marks are moved to where the tapes put them, and what is taped from them goes along; one undo', async () => {
    const at = await open('f2', 'Frame: square and flat');
    // Gannet's datums A, B, F and E: read 6 mm longer on the right than they are thought.
    const { points } = at.store.view();
    const place = (id: string) => points.get(id)!.fixed.atMm;
    const ids = {
      frontLeft: 'datum-a',
      frontRight: 'datum-b',
      rearRight: 'datum-f',
      rearLeft: 'datum-e',
    };
    const flat = (a: string, b: string): number =>
      Math.hypot(place(a)[0] - place(b)[0], place(a)[1] - place(b)[1]);
    const read = [
      flat('datum-a', 'datum-b'),
      flat('datum-e', 'datum-f'),
      flat('datum-a', 'datum-e'),
      3006,
      Math.hypot(800, 3006),
      Math.hypot(800, 3000),
    ];
    for (const [i, name] of SPANS.entries()) await at.type(at.field(name), read[i]!.toFixed(1));
    for (const [corner, id] of Object.entries(ids)) {
      const list = at.one<HTMLSelectElement>(`#mark-${corner}`);
      list.value = id;
      list.dispatchEvent(new Event('change'));
      await at.settle();
    }
    expect(at.words('datum-moves')).toMatch(
      /A by 1\.5 mm, B by 1\.6 mm, F by 4\.4 mm, E by 1\.5 mm/,
    );
    const before = at.store.plan();
    await at.click(at.button('Move the datums to the measured positions'));
    const now = at.store.view().points;
    for (const id of Object.values(ids))
      expect(now.get(id)!.point.known).toMatchObject({ how: 'typed', sigmaMm: [2, 2, 1] });
    expect(distance(now.get('datum-f')!.fixed.atMm, place('datum-f'))).toBeGreaterThan(1);
    at.store.undo();
    expect(at.store.plan().points).toEqual(before.points);
  });
  test('room round the pedals: too little is told, enough is not', async () => {
    const at = await open('f3', 'Frame: square and flat');
    await at.type(at.field('Brake to throttle'), '45');
    expect(at.texts('fl-pedal-room').join()).toMatch(/45 mm, and 50 mm required/);
    await at.type(at.field('Brake to throttle'), '2 in');
    expect(at.store.plan().pedals!.brakeToThrottleMm).toBeCloseTo(50.8, 9);
    expect(at.texts('fl-pedal-room').join()).not.toMatch(/are wanted:/);
  });
});

describe('before it closes', () => {
  test('a gate has its day, its list and what was looked at; what Fit has done is done here', async () => {
    const at = await open('f4', 'Before it closes');
    const gate = () => at.store.plan().gates[0]!;
    const rows = (): string[] => at.texts('fl-closes-page li');
    expect(rows()[0]).toMatch(/Measure Rear right, hose end at bracket/);
    const day = at.one<HTMLInputElement>(`#on-${gate().id}`);
    await at.type(day, '2099-01-02');
    expect(gate().on).toBe('2099-01-02');
    const left = (): number =>
      Number(/(\d+) tasks left, in \d+ days/.exec(at.texts('fl-closes-page section')[0]!)![1]);
    const before = left();
    const { task } = floorView(viewPlan(at.store.plan())).find(
      (one) => one.task.gate?.id === gate().id && one.state !== 'done',
    )!;
    at.store.apply({
      edit: 'recordWorkDone',
      with: { task: task.id, stamp: task.stamp, at: '2026-03-02T09:00:00Z' },
    });
    await at.settle();
    expect(left()).toBe(before - 1);
    expect(rows().some((row) => row.includes(task.name) && row.includes('✓'))).toBe(true);
    await at.type(at.one<HTMLInputElement>(`#look-bushes-${gate().id}`), 'rear left worn');
    expect(gate().looked).toEqual({ bushes: 'rear left worn' });
    await at.type(day, '');
    expect(gate().on).toBeNull();
  });
});

describe('what to measure first', () => {
  test('the guess of Gannet leads the list; a tap asks for its tapes, and what is read takes it off', async () => {
    const at = await open('f5', 'What to measure first');
    const rows = (): string[] => at.texts('fl-measure-first ol li');
    for (let i = 0; i < 100 && !/Rear right/.test(rows().join()); i++) await at.settle();
    expect(rows()[0]).toMatch(/1 ?Rear right, hose end at bracket ?brings R3 within trim/);
    await at.click(at.one('fl-measure-first ol button'));
    expect(TestBed.inject(Selection).target()).toEqual({ kind: 'port', id: 'port-rr' });
    await at.click(at.button('Add these tapes'));
    const fixed = () => at.store.view().ports.get('port-rr')!.fixed;
    const { atMm } = fixed();
    const waiting = () =>
      at.one<HTMLInputElement>('fl-tape-table input[placeholder="not measured"]');
    expect(
      at.root.querySelectorAll('fl-tape-table input[placeholder="not measured"]'),
    ).toHaveLength(3);
    for (let i = 0; i < 3; i++) {
      const from = at.root.querySelectorAll<HTMLSelectElement>(
        'fl-tape-table select[id^=tape-from]',
      )[i]!.value;
      const reads = distance(at.store.view().points.get(from)!.fixed.atMm, atMm);
      await at.type(waiting(), reads.toFixed(1));
    }
    expect(at.store.view().ports.get('port-rr')!.port.known).toMatchObject({ how: 'taped' });
    expect(fixed().fault).toBeNull();
    expect(distance(fixed().atMm, atMm)).toBeLessThan(2);
    for (let i = 0; i < 100 && /Rear right/.test(rows().join()); i++) await at.settle();
    expect(rows().join()).not.toMatch(/Rear right/);
  });
});
