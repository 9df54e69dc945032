import DxfParser from 'dxf-parser';
import { station } from '../../testing/station';
import { until } from '../../testing/open-gannet';
import { Notices } from '../../kit/notices';
import { TestBed } from '@angular/core/testing';

/** What the page hands out, by its name, in place of a download. */
function handedOut(): Map<string, string> {
  const files = new Map<string, string>();
  const texts: string[] = [];
  jest
    .spyOn(globalThis, 'Blob')
    .mockImplementation(
      (parts?: BlobPart[]) => ({ at: texts.push(String(parts![0])) - 1 }) as unknown as Blob,
    );
  URL.createObjectURL = (blob) => String((blob as unknown as { at: number }).at);
  URL.revokeObjectURL = () => undefined;
  jest.spyOn(HTMLAnchorElement.prototype, 'click').mockImplementation(function (
    this: HTMLAnchorElement,
  ) {
    if (this.download) files.set(this.download, texts[Number(this.getAttribute('href'))]!);
  });
  return files;
}

async function files(id: string) {
  const at = await station('route', id);
  const out = handedOut();
  const take = async (name: string): Promise<string> => {
    const before = out.size;
    at.button(name).click();
    await until(() => out.size > before);
    return [...out.values()].at(-1)!;
  };
  const give = async (name: string, text: string, size = text.length): Promise<void> => {
    const field = at.one<HTMLInputElement>('fl-line-files input[type=file]');
    Object.defineProperty(field, 'files', {
      configurable: true,
      value: [{ name, size, text: () => Promise.resolve(text) }],
    });
    field.dispatchEvent(new Event('change'));
    await new Promise((done) => setTimeout(done, 50));
    await at.settle();
  };
  const corners = (name: string) =>
    at.store.plan().lines.find((line) => line.name === name)!.cornersMm;
  return { ...at, out, take, give, corners };
}

describe('files of the lines', () => {
  afterEach(() => jest.restoreAllMocks());

  test('views and brackets as drawings, tubes as solids, center lines as a table, each under the plan’s name', async () => {
    const at = await files('lf1');
    const views = new DxfParser().parseSync(await at.take('Flat views, DXF'))!;
    expect(new Set(views.entities.map((one) => one.layer)).size).toBeGreaterThan(2);
    expect(await at.take('Tubes, STEP')).toMatch(/^ISO-10303-21;/);
    expect(await at.take('Center lines, CSV')).toMatch(/^line,point,x_mm,y_mm,z_mm/);
    const brackets = new DxfParser().parseSync(await at.take('Brackets 1:1, DXF'))!;
    expect(brackets.entities.some((one) => one.type === 'CIRCLE')).toBe(true);
    expect([...at.out.keys()]).toEqual([
      'gannet-flat.dxf',
      'gannet-tubes.step',
      'gannet-lines.csv',
      'gannet-brackets.dxf',
    ]);
  });

  test('center lines come back from either, with one undo; a tube that was written from its other end is turned round', async () => {
    const at = await files('lf2');
    const [step, csv] = [await at.take('Tubes, STEP'), await at.take('Center lines, CSV')];
    const before = at.corners('R1');
    await at.give('moved.csv', csv.replace(/(R1,3,)2240/, '$12210'));
    expect(at.corners('R1')[2]![0]).toBe(2210);
    at.store.undo();
    expect(at.corners('R1')).toEqual(before);
    const backwards = csv
      .split('\n')
      .filter((row) => row.startsWith('R1,'))
      .reverse();
    await at.give('back.csv', ['line,point,x_mm,y_mm,z_mm', ...backwards].join('\n'));
    expect(at.corners('R1')).toEqual(
      before.map((place) => place.map((v) => Math.round(v * 1000) / 1000)),
    );
    await at.give('tubes.STP', step);
    for (const [i, place] of at.corners('R1').entries())
      for (const axis of [0, 1, 2]) expect(place[axis]).toBeCloseTo(before[i]![axis]!, 5);
    expect(TestBed.inject(Notices).list().at(-1)!.text).toMatch(
      /^The corners of .*R1.* were read from tubes\.STP\.$/,
    );
  });

  test('what cannot be taken is said, and nothing is half taken', async () => {
    const at = await files('lf3');
    const csv = await at.take('Center lines, CSV');
    const before = at.store.plan();
    const fault = (): string => at.texts('fl-line-files .fault')[0]!;
    await at.give('other.csv', csv.replaceAll('C1,', 'C7,'));
    expect(fault()).toBe(
      'No line in this plan is called C7: add the line first, between its two ports.',
    );
    await at.give('letter.step', 'Dear aunt');
    expect(fault()).toMatch(/Not a STEP file/);
    await at.give('vast.csv', csv, 25_000_000);
    expect(fault()).toBe('The file holds 25.0 MB; 20 MB is the limit.');
    expect(at.store.plan()).toBe(before);
  });

  test('the sheet to print is laid out once it is looked at, in the paper and scale that are chosen', async () => {
    const at = await files('lf4');
    expect(at.root.querySelector('[data-test=print-sheet]')).toBeNull();
    const details = at.one<HTMLDetailsElement>('[data-test=line-files] details');
    details.open = true;
    details.dispatchEvent(new Event('toggle'));
    await at.settle();
    const sheet = () => at.one('[data-test=print-sheet]');
    await at.choose(at.one('#print-paper'), 'A3');
    expect(sheet().getAttribute('width')).toBe('420mm');
    expect(sheet().querySelectorAll('path[stroke-width="0.7"]')).toHaveLength(
      at.store.plan().lines.length,
    );
    await at.choose(at.one('#print-scale'), '1:2');
    expect(at.texts('fl-line-files .fault')[0]).toMatch(
      /^At 1:2 the drawing does not fit on A3: 1:\d+ fits, or use a larger sheet\.$/,
    );
    const print = jest.fn();
    Object.assign(window, { print });
    Object.assign(globalThis, {
      CSSStyleSheet: class {
        replaceSync = jest.fn();
      },
    });
    document.adoptedStyleSheets ??= [];
    await at.click(at.button('Print to scale'));
    expect(print).toHaveBeenCalled();
    expect(document.documentElement.classList.contains('printing-sheet')).toBe(true);
    window.dispatchEvent(new Event('afterprint'));
    expect(document.documentElement.classList.contains('printing-sheet')).toBe(false);
  });
});
