import { replay } from '@firm-line/core/stations/fill';
import { station } from '../../testing/station';

type At = Awaited<ReturnType<typeof station>>;
async function open(id: string): Promise<At> {
  return station('fill/run', id);
}
const unsaid = (at: At): HTMLElement[] => [
  ...at.root.querySelectorAll<HTMLElement>('[data-before][aria-pressed=false]'),
];
const begin = async (at: At): Promise<void> => {
  while (unsaid(at).length) await at.click(unsaid(at)[0]!);
  await at.click(at.button('Start bleeding'));
};
const title = (at: At): string => at.texts('[data-test=instruction]')[0]!;
const main = (at: At): Promise<void> => at.click(at.one('[data-test=main]'));
const state = (at: At) => replay(at.store.plan().filling.runs.at(-1)!).state;

describe('before the first pump', () => {
  test('it stays locked until all is said, and is again once one is taken back', async () => {
    const at = await open('b1');
    const count = unsaid(at).length;
    expect(count).toBeGreaterThan(8);
    expect(at.texts('button[disabled]').at(-1)).toBe(`Locked: ${count} to go`);
    while (unsaid(at).length) await at.click(unsaid(at)[0]!);
    expect(at.button('Start bleeding')).toBeTruthy();
    await at.click(at.one('[data-before=pads]'));
    expect(at.texts('button[disabled]').at(-1)).toBe('Locked: 1 to go');
  });
  test('another fluid is another thing to say; an end that opens is nothing anybody can say', async () => {
    const at = await open('b2');
    while (unsaid(at).length) await at.click(unsaid(at)[0]!);
    at.store.apply({ edit: 'chooseFluid', with: { parts: ['master'], fluidId: 'dot-5.1' } });
    await at.settle();
    expect(unsaid(at).map((button) => button.dataset['before'])).toEqual(['fluid:brake']);
    at.store.apply({ edit: 'removePart', with: { id: 'rl' } });
    await at.settle();
    expect(at.one<HTMLButtonElement>('[data-before=ends]').disabled).toBe(true);
    expect(at.texts('[data-before=ends]')[0]).toMatch(/join first, or fill later/);
    expect(at.texts('fl-before-list a')).toContain('Go to Route');
  });
});

describe('the run', () => {
  test('goes on by its one large button; a stroke more is counted and taken back', async () => {
    const at = await open('r1');
    await begin(at);
    expect(title(at)).toBe('Rear right: open a quarter turn');
    expect(at.texts('[data-test=now]')[0]).toMatch(
      /Use a box wrench, not an open one\.▲ Fluid here is under pressure/,
    );
    await main(at);
    expect(title(at)).toBe('Rear right: pedal down, and hold');
    await main(at);
    expect(title(at)).toBe('Rear right: close, then pedal up');
    expect(at.texts('[data-test=through]')[0]).toBe('8');
    await at.click(at.button('Undo'));
    expect(at.texts('[data-test=through]')[0]).toBe('0');
    expect(state(at).open).toEqual(['bleed-rr']);
  });
  test('nothing comes: one thing after the other is tried, then the corner is left', async () => {
    const at = await open('r2');
    await begin(at);
    await main(at);
    await at.click(at.button('No flow'));
    const said: string[] = [];
    for (let i = 0; i < 4; i++) {
      said.push(title(at));
      await main(at);
    }
    expect(said.map((words) => words.split(' ')[0])).toEqual(['Push', 'Tap', 'Close', 'Stuck']);
    expect(title(at)).toBe('Leave this wheel and find the cause');
    await at.click(at.button('Back to the wheel'));
    expect(title(at)).toBe('Rear right: pedal down, and hold');
  });
  test('what is seen in the reservoir counts: at its mark nothing goes on until it is topped up', async () => {
    const at = await open('r3');
    await begin(at);
    const seen = [...at.root.querySelectorAll<HTMLInputElement>('fl-run-page input')].find(
      ({ labels }) =>
        [...(labels ?? [])].some((one) => one.textContent!.includes('reservoir reading')),
    )!;
    await at.type(seen, '30');
    expect(title(at)).toBe('Top up the reservoir');
    expect(at.texts('[aria-label=Reservoir]')[0]).toMatch(/At the mark/);
    await main(at);
    expect(title(at)).toBe('Rear right: open a quarter turn');
    expect(at.texts('[data-test=reservoir]')[0]).toBe('120');
    await at.type(seen, 'much');
    expect(at.texts('.fault').join()).toMatch(/much/);
    expect(state(at).reservoirMl).toBe(120);
  });
  test('the whole screen goes on too, and is left again', async () => {
    const at = await open('r4');
    await begin(at);
    await at.click(at.button('Tap anywhere to go on'));
    expect(at.texts('[data-test=big]')[0]).toMatch(/^Rear right: open/);
    await at.click(at.one('[data-test=big]'));
    expect(state(at).phase).toBe('open');
    await at.click(at.button('Back to the run page'));
    expect(at.root.querySelector('[data-test=big]')).toBeNull();
  });
  test('ended and sinking: leaks come first among the causes, and Prove is one tap away', async () => {
    const at = await open('r5');
    await begin(at);
    await at.click(at.button('End the run here'));
    expect(title(at)).toBe('All wheels done');
    await at.click(at.button('Sinks'));
    expect(title(at)).toBe('Still soft');
    const causes = at.texts('[data-test=soft] li');
    expect(causes.length).toBeGreaterThan(1);
    expect(causes[0]).toMatch(/^A sinking pedal means a leak/);
    expect(at.texts('fl-run-page a')).toContain('Test for air or flex in Prove');
    await at.click(at.button('Start another run'));
    // What was said stands: nothing of it is otherwise.
    await at.click(at.button('Start bleeding'));
    expect(at.store.plan().filling.runs).toHaveLength(2);
    await at.click(at.button('Discard this run'));
    expect(at.store.plan().filling.runs).toHaveLength(1);
  });
  test('a bleeder that is deleted in the middle is said to be gone, and the run goes on', async () => {
    const at = await open('r6');
    await begin(at);
    at.store.apply({ edit: 'removePart', with: { id: 'rr' } });
    await at.settle();
    expect(title(at)).toBe('Removed bleeder: open a quarter turn');
    await main(at);
    await main(at);
    expect(state(at).corners[0]!.strokes).toBe(1);
  });
});
