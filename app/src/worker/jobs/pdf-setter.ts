import { rgb, type PDFDocument, type PDFFont, type PDFPage } from 'pdf-lib';
import type { PackPicture, PackSection, PackTable } from '@firm-line/core/stations/prove';

const PAGE = { w: 595, h: 842, margin: 48 };
const INK = rgb(0.11, 0.145, 0.157);
const SOFT = rgb(0.36, 0.4, 0.416);
const COPPER = rgb(0.663, 0.322, 0.165);
const INKS = { fluid: rgb(0.055, 0.416, 0.431), copper: COPPER, slate: rgb(0.29, 0.373, 0.478) };
/** From where it is looked at, and which ways of the vehicle lie along and up on the paper: front to the left. */
const VIEWS = [
  ['From above, left side down', 0, 1],
  ['From the left', 0, 2],
] as const;
/** What the fonts of every PDF reader have no sign for, in signs that they have. */
const PLAIN: Readonly<Record<string, string>> = {
  '−': '-',
  '≥': '>=',
  '≤': '<=',
  '→': '->',
  '√': 'sqrt ',
  '·': '.',
  '✓': 'ok',
  '✗': 'x',
  '▲': '!',
  '½': '1/2',
  '\u00a0': ' ',
};
const plain = (text: string): string =>
  text.replace(/[−≥≤→√·✓✗▲½\u00a0]/g, (c) => PLAIN[c]!).replace(/[^\x20-\x7e¡-ÿ‘’“”–—•…€]/g, '?');

/** Sets text, tables and pictures down page by page. */
export class Setter {
  #page!: PDFPage;
  #y = 0;
  constructor(
    readonly doc: PDFDocument,
    readonly body: PDFFont,
    readonly bold: PDFFont,
    readonly foot: string,
  ) {
    this.newPage();
  }
  newPage(): void {
    this.#page = this.doc.addPage([PAGE.w, PAGE.h]);
    this.#y = PAGE.h - PAGE.margin;
    this.#page.drawText(plain(this.foot), {
      x: PAGE.margin,
      y: 24,
      size: 8,
      font: this.body,
      color: SOFT,
    });
    this.#page.drawText(String(this.doc.getPageCount()), {
      x: PAGE.w - PAGE.margin,
      y: 24,
      size: 8,
      font: this.body,
      color: SOFT,
    });
  }
  room(mm: number): void {
    if (this.#y - mm < PAGE.margin) this.newPage();
  }
  #wrap(text: string, font: PDFFont, size: number, width: number): string[] {
    const lines: string[] = [];
    const fits = (words: string): boolean => font.widthOfTextAtSize(words, size) <= width;
    for (const paragraph of plain(text).split('\n')) {
      let line = '';
      for (const word of paragraph.split(' ')) {
        let rest = word;
        // A word longer than its column is cut.
        while (rest.length > 1 && !fits(rest)) {
          // How much of it goes in, by halves.
          let [least, most] = [1, rest.length];
          while (most - least > 1) {
            const half = (least + most) >> 1;
            if (fits(rest.slice(0, half))) least = half;
            else most = half;
          }
          if (line) lines.push(line);
          line = '';
          lines.push(rest.slice(0, least));
          rest = rest.slice(least);
        }
        const next = line ? `${line} ${rest}` : rest;
        if (!fits(next)) {
          lines.push(line);
          line = rest;
        } else line = next;
      }
      lines.push(line);
    }
    return lines;
  }
  text(text: string, { size = 10, font = this.body, gap = 4 } = {}): void {
    if (!text) return;
    for (const line of this.#wrap(text, font, size, PAGE.w - 2 * PAGE.margin)) {
      this.room(size * 1.35);
      this.#y -= size * 1.35;
      this.#page.drawText(line, { x: PAGE.margin, y: this.#y, size, font, color: INK });
    }
    this.#y -= gap;
  }
  table({ head, rows }: PackTable): void {
    const width = PAGE.w - 2 * PAGE.margin;
    const size = 8.5;
    const natural = head.map((_, k) =>
      Math.min(
        220,
        12 +
          Math.max(
            ...[head, ...rows].map((row) => this.body.widthOfTextAtSize(plain(row[k] ?? ''), size)),
          ),
      ),
    );
    const all = natural.reduce((sum, w) => sum + w, 0);
    const columns = natural.map((w) => (w / all) * width);
    const put = (row: readonly string[], font: PDFFont): void => {
      const cells = row.map((cell, k) => this.#wrap(cell, font, size, columns[k]! - 6));
      const count = Math.max(...cells.map((lines) => lines.length));
      // Together on a page, but for one that is longer than a page.
      this.room(Math.min(count * size * 1.3 + 4, PAGE.h - 2 * PAGE.margin));
      for (let i = 0; i < count; i++) {
        this.room(size * 1.3);
        this.#y -= size * 1.3;
        let x = PAGE.margin;
        cells.forEach((lines, k) => {
          if (lines[i]) this.#page.drawText(lines[i], { x, y: this.#y, size, font, color: INK });
          x += columns[k]!;
        });
      }
      this.#y -= 4;
      this.#page.drawLine({
        start: { x: PAGE.margin, y: this.#y },
        end: { x: PAGE.w - PAGE.margin, y: this.#y },
        thickness: 0.4,
        color: SOFT,
      });
    };
    put(head, this.bold);
    for (const row of rows) put(row, this.body);
    if (!rows.length) this.text('None.');
    this.#y -= 8;
  }
  curve({ name, points }: NonNullable<PackSection['curve']>): void {
    const [w, h] = [300, 160];
    this.room(h + 30);
    const [x0, y0] = [PAGE.margin + 30, this.#y - h - 6];
    const most = {
      p: Math.max(1, ...points.map(({ pressureMPa }) => pressureMPa)),
      t: Math.max(10, ...points.map(({ travelMm }) => travelMm)),
    };
    this.#page.drawLine({ start: { x: x0, y: y0 }, end: { x: x0 + w, y: y0 }, color: INK });
    this.#page.drawLine({ start: { x: x0, y: y0 }, end: { x: x0, y: y0 + h }, color: INK });
    for (const { pressureMPa, travelMm } of points)
      this.#page.drawCircle({
        x: x0 + (w * pressureMPa) / most.p,
        y: y0 + (h * Math.max(0, travelMm)) / most.t,
        size: 2.5,
        color: COPPER,
      });
    this.#page.drawText(plain(`${name}: to ${most.p.toFixed(1)} MPa, ${most.t.toFixed(0)} mm`), {
      x: x0,
      y: y0 - 14,
      size: 8,
      font: this.body,
      color: SOFT,
    });
    this.#y = y0 - 24;
  }
  /** All that is laid, from above and from the side, to one scale. */
  picture({ runs, places }: PackPicture): void {
    const all = [...runs.flatMap(({ points }) => points), ...places.flatMap(({ ports }) => ports)];
    if (!all.length) return;
    const span = ([0, 1, 2] as const).map((k) => {
      const values = all.map((at) => at[k]);
      return {
        least: Math.min(...values),
        size: Math.max(1, Math.max(...values) - Math.min(...values)),
      };
    });
    const width = PAGE.w - 2 * PAGE.margin - 40;
    const scale = Math.min(width / span[0]!.size, 250 / Math.max(span[1]!.size, span[2]!.size));
    for (const [name, across, up] of VIEWS) {
      const height = span[up]!.size * scale;
      this.room(height + 40);
      const bottom = this.#y - height - 22;
      const at = (point: readonly number[]): { x: number; y: number } => ({
        x: PAGE.margin + 20 + (point[across]! - span[across]!.least) * scale,
        y: bottom + (point[up]! - span[up]!.least) * scale,
      });
      const write = (text: string, { x, y }: { x: number; y: number }, size: number): void =>
        this.#page.drawText(plain(text), { x, y, size, font: this.body, color: INK });
      write(name, { x: PAGE.margin, y: this.#y - 12 }, 9);
      for (const { ports, name: part } of places) {
        const [first, ...others] = ports.map(at);
        if (!first) continue;
        for (const end of others)
          this.#page.drawLine({ start: first, end, thickness: 0.7, color: SOFT });
        for (const { x, y } of [first, ...others])
          this.#page.drawSquare({
            x: x - 1.5,
            y: y - 1.5,
            size: 3,
            borderColor: SOFT,
            borderWidth: 0.7,
          });
        if (up === 1) write(part, { x: first.x + 4, y: first.y - 8 }, 6);
      }
      for (const { points, ink, name: run, dashed } of runs) {
        const legs = points.slice(1).map((point, i) => ({ start: at(points[i]!), end: at(point) }));
        for (const leg of legs)
          this.#page.drawLine({
            ...leg,
            thickness: 1.4,
            color: INKS[ink],
            ...(dashed ? { dashArray: [4, 2] } : {}),
          });
        // Its name beside the middle of its longest leg.
        const [longest] = legs.sort(
          (a, b) =>
            Math.hypot(b.end.x - b.start.x, b.end.y - b.start.y) -
            Math.hypot(a.end.x - a.start.x, a.end.y - a.start.y),
        );
        if (longest)
          write(
            run,
            {
              x: (longest.start.x + longest.end.x) / 2 + 3,
              y: (longest.start.y + longest.end.y) / 2 + 3,
            },
            8,
          );
      }
      this.#y = bottom - 12;
    }
  }
}
