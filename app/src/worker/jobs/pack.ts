import { PDFDocument, rgb, StandardFonts, type PDFFont, type PDFPage } from 'pdf-lib';
import { packOf, type FoundSnag, type PackSection, type PackTable } from '@firm-line/core/proving';
import type { Plan } from '@firm-line/core/plan';
import { viewPlan } from '@firm-line/core/plan/results';
import { loadMeshes, meshesIn } from '../../storage/load-meshes';

const PAGE = { w: 595, h: 842, margin: 48 };
const INK = rgb(0.11, 0.145, 0.157);
const SOFT = rgb(0.36, 0.4, 0.416);
const COPPER = rgb(0.663, 0.322, 0.165);
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

/** Sets text and tables down page by page. */
class Setter {
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
    this.#page.drawText(plain(this.foot), { x: PAGE.margin, y: 24, size: 8, font: this.body, color: SOFT });
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
    for (const paragraph of plain(text).split('\n')) {
      let line = '';
      for (const word of paragraph.split(' ')) {
        let rest = word;
        // A word longer than its column is cut.
        while (font.widthOfTextAtSize(rest, size) > width && rest.length > 1) {
          let n = rest.length - 1;
          while (n > 1 && font.widthOfTextAtSize(rest.slice(0, n), size) > width) n--;
          if (line) lines.push(line);
          line = '';
          lines.push(rest.slice(0, n));
          rest = rest.slice(n);
        }
        const next = line ? `${line} ${rest}` : rest;
        if (font.widthOfTextAtSize(next, size) > width) {
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
      Math.min(220, 12 + Math.max(...[head, ...rows].map((row) => this.body.widthOfTextAtSize(plain(row[k] ?? ''), size)))),
    );
    const all = natural.reduce((sum, w) => sum + w, 0);
    const columns = natural.map((w) => (w / all) * width);
    const put = (row: readonly string[], font: PDFFont): void => {
      const cells = row.map((cell, k) => this.#wrap(cell, font, size, columns[k]! - 6));
      const height = Math.max(...cells.map((lines) => lines.length)) * size * 1.3 + 4;
      this.room(height);
      let x = PAGE.margin;
      cells.forEach((lines, k) => {
        lines.forEach((line, i) => this.#page.drawText(line, { x, y: this.#y - size * 1.3 * (i + 1), size, font, color: INK }));
        x += columns[k]!;
      });
      this.#y -= height;
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
}

export interface PackAsked {
  readonly plan: Plan;
  readonly snags: readonly FoundSnag[];
  readonly madeAt: string;
}
/** The pack as a PDF; tells how far it is, from 0 to 1. */
export async function packPdf(
  { plan, snags, madeAt }: PackAsked,
  tell: (share: number) => void = () => undefined,
): Promise<Uint8Array> {
  await loadMeshes(meshesIn(plan));
  const sections = packOf(viewPlan(plan), snags, madeAt);
  const doc = await PDFDocument.create();
  doc.setTitle(plan.name);
  doc.setCreator('Firm Line');
  const set = new Setter(
    doc,
    await doc.embedFont(StandardFonts.Helvetica),
    await doc.embedFont(StandardFonts.HelveticaBold),
    `${plan.name}. Local rules and the makers’ sheets come first.`,
  );
  for (const [i, section] of sections.entries()) {
    if (section.apart) set.newPage();
    set.room(60);
    set.text(section.title, { size: i ? 14 : 24, font: set.bold, gap: 6 });
    for (const words of section.words ?? []) set.text(words);
    if (section.table) set.table(section.table);
    if (section.curve) set.curve(section.curve);
    tell((i + 1) / sections.length);
    // Whoever cancels is heard between two sections.
    await new Promise((done) => setTimeout(done));
  }
  return doc.save();
}

export const packJobs = {
  pdf: (asked: PackAsked, tell?: (share: number) => void): Promise<Uint8Array> => packPdf(asked, tell),
};
