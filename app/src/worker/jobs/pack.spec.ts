import { PDFDocument } from 'pdf-lib';
import type { Plan } from '@firm-line/core/plan';
import { demo } from '../../../../core/src/testing/demo-plans';
import { packPdf } from './pack';

const made = async (
  plan: Plan,
): Promise<{ pages: number; title: string | undefined; shares: number[]; bytes: number }> => {
  const shares: number[] = [];
  const bytes = await packPdf({ plan, snags: [], madeAt: '2026-03-05T10:20:00Z' }, (share) =>
    shares.push(share),
  );
  // Read back by the library that others read it with.
  const pdf = await PDFDocument.load(bytes);
  return { pages: pdf.getPageCount(), title: pdf.getTitle(), shares, bytes: bytes.length };
};

test('a pack is a PDF of some pages that says how far it is', async () => {
  const { pages, title, shares } = await made(demo('gannet'));
  expect(title).toBe('Gannet');
  expect(pages).toBeGreaterThan(6);
  expect(shares.at(-1)).toBe(1);
  expect(shares).toEqual([...shares].sort((a, b) => a - b));
});
test('an empty plan, signs no font has, words longer than a page: none of them ends it', async () => {
  const empty: Plan = { ...demo('gannet'), lines: [], hoses: [], parts: [], circuits: [] };
  expect((await made(empty)).pages).toBeGreaterThan(0);
  expect(
    (await made({ ...empty, name: '前ブレーキ ✓ 12 ½', notes: 'x'.repeat(5000) })).pages,
  ).toBeGreaterThan(0);
});
test('a cell longer than a page goes on over the next ones', async () => {
  const plan = demo('gannet');
  const buying = {
    ...plan.buying,
    own: [{ id: 'own-1', name: 'grease '.repeat(1500), count: 1 }],
  };
  expect((await made({ ...plan, buying } as Plan)).pages).toBeGreaterThan(
    (await made(plan)).pages + 1,
  );
});
test('what is laid is drawn: with no line and no hose it is a smaller file', async () => {
  const plan = demo('gannet');
  const hidden = { ...plan, lines: [], hoses: [] };
  expect((await made(plan)).bytes).toBeGreaterThan((await made(hidden)).bytes);
});
