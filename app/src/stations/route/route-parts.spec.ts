import { TestBed } from '@angular/core/testing';
import { Selection } from '../../session/selection';
import { Jump } from '../../session/jump';
import { LineForm } from './line-form';
import { station } from '../../testing/station';

HTMLDialogElement.prototype.showModal ??= function (this: HTMLDialogElement) {
  this.setAttribute('open', '');
};
HTMLDialogElement.prototype.close ??= function (this: HTMLDialogElement) {
  this.removeAttribute('open');
};

const lineOf = (at: Awaited<ReturnType<typeof station>>, id: string) =>
  at.store.view().lines.find((view) => view.line.id === id)!;
const submit = async (at: Awaited<ReturnType<typeof station>>): Promise<void> => {
  at.one<HTMLFormElement>('fl-line-form form').dispatchEvent(
    new Event('submit', { cancelable: true }),
  );
  await at.settle();
};

describe('line details', () => {
  test('another tube brings nuts and a bender of its size, kept only when kept', async () => {
    const at = await station('route', 'd1');
    await at.click(at.button('Line details'));
    await at.choose(at.one<HTMLSelectElement>('#line-tube'), '1/4 in stainless');
    expect(lineOf(at, 'line-r1').tube.id).toBe('3-16-copper-nickel');
    await submit(at);
    const view = lineOf(at, 'line-r1');
    expect([view.tube.id, view.nuts.a.thread, view.bender.tubeOdMm]).toEqual([
      '1-4-stainless',
      '7/16-24 UNS',
      6.35,
    ]);
    expect(
      at.store.snags().filter((snag) => ['nut-size', 'bender-size'].includes(snag.rule)),
    ).toEqual([]);
    at.store.undo();
    expect(lineOf(at, 'line-r1').tube.id).toBe('3-16-copper-nickel');
  });

  test('only ports that no other line holds are offered, and the line its own', async () => {
    const at = await station('route', 'd2');
    await at.click(at.button('Line details'));
    const offered = [...at.one<HTMLSelectElement>('#port-b').options].map((option) =>
      option.text.trim(),
    );
    expect(offered).toEqual(['No port yet', 'Rear tee, inlet']);
  });

  test('a press that came before the form was loaded opens it when it is', async () => {
    const at = await station('route', 'd5');
    expect(at.one<HTMLDialogElement>('fl-line-form dialog').open).toBe(false);
    const late = TestBed.createComponent(LineForm);
    late.componentRef.setInput('wanted', 'new');
    await late.whenStable();
    const dialog = (late.nativeElement as HTMLElement).querySelector('dialog')!;
    expect([dialog.open, dialog.textContent!.includes('New line')]).toEqual([true, true]);
  });

  test('a new line needs both its ports', async () => {
    const at = await station('route', 'd3');
    const count = at.store.plan().lines.length;
    await at.click(at.button('New line'));
    await submit(at);
    expect(at.texts('fl-line-form .fault')[0]).toMatch(/Choose the port at each end/);
    expect(at.store.plan().lines).toHaveLength(count);
  });

  test('a deleted line frees its ports for a new one, which is then laid by moves', async () => {
    const at = await station('route', 'd4', 'line-r2');
    await at.click(at.button('Line details'));
    await at.click(at.button('Delete line'));
    await at.click(at.button('New line'));
    await at.choose(at.one<HTMLSelectElement>('#port-a'), 'Rear tee, left');
    await at.choose(at.one<HTMLSelectElement>('#port-b'), 'Rear left');
    await submit(at);
    const made = TestBed.inject(Selection).line()!;
    expect([made.ports.a!.port.id, made.ports.b!.port.id, made.line.cornersMm.length]).toEqual([
      'port-rt-left',
      'port-rl',
      0,
    ]);
    const field = at.one<HTMLInputElement>('#move-line');
    for (const move of ['left 160', 'aft 90, up 35']) {
      await at.type(field, move, 'input');
      at.one<HTMLFormElement>('fl-move-line form').dispatchEvent(
        new Event('submit', { cancelable: true }),
      );
      await at.settle();
    }
    expect(at.texts('[data-test=last-move]')[0]).toMatch(/left/);
    expect(lineOf(at, made.line.id).card!.bends).toHaveLength(2);
  });
});

describe('the flat views and the strip', () => {
  /** Where the drawing has something, read off the chosen line's own circles. */
  const corners = (root: HTMLElement): { x: number; y: number }[] =>
    [...root.querySelectorAll('fl-flat-views circle')].map((c) => ({
      x: Number(c.getAttribute('cx')),
      y: Number(c.getAttribute('cy')),
    }));
  const tap = async (
    at: Awaited<ReturnType<typeof station>>,
    x: number,
    y: number,
  ): Promise<void> => {
    at.one('fl-flat-views').dispatchEvent(
      new MouseEvent('click', { clientX: x, clientY: y, bubbles: true }),
    );
    await at.settle();
  };

  test('a tap takes a corner, a second line, or a place, whichever is meant', async () => {
    const at = await station('route', 'e1');
    const third = corners(at.root)[2]!;
    await tap(at, third.x + 3, third.y - 4);
    expect(TestBed.inject(Selection).node()).toBe(3);
    // The clutch's long straight run, half way along, seen from above: nothing else is near.
    TestBed.inject(Selection).chooseLine('line-c1');
    await at.settle();
    const [from, to] = corners(at.root).slice(2, 4) as [
      { x: number; y: number },
      { x: number; y: number },
    ];
    TestBed.inject(Selection).chooseLine('line-f1');
    await at.settle();
    await tap(at, (from.x + 2 * to.x) / 3, (from.y + 2 * to.y) / 3 + 2);
    expect(['C1', 'R1']).toContain(TestBed.inject(Selection).line()!.line.name);
  });

  test('a tap on nothing changes nothing', async () => {
    const at = await station('route', 'e2');
    await tap(at, 1, 1);
    expect([TestBed.inject(Selection).line()!.line.name, TestBed.inject(Selection).node()]).toEqual(
      ['R1', null],
    );
  });

  test('strip, moves and drawing mark the same corner', async () => {
    const at = await station('route', 'e3');
    at.one('[data-bend="1"]').dispatchEvent(new MouseEvent('click', { bubbles: true }));
    await at.settle();
    expect(TestBed.inject(Selection).node()).toBe(2);
    expect(at.root.querySelectorAll('[data-bend="1"][aria-pressed=true]')).toHaveLength(1);
    expect(at.texts('fl-move-list li.bg-copper-pale')[0]).toMatch(
      /turn the bender -89\.8°, or the tube 89\.8°/,
    );
    expect(at.texts('fl-flat-views svg:last-of-type text')).toEqual(['2', '2']);
  });

  test('a snag jumps to its line and its corner', async () => {
    const at = await station('route', 'e4');
    TestBed.inject(Jump).toSnag(at.store.snags().find((snag) => snag.rule === 'nut-trapped')!);
    expect([TestBed.inject(Selection).line()!.line.name, TestBed.inject(Selection).node()]).toEqual(
      ['F3', 3],
    );
  });
});
