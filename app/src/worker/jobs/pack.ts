import { PDFDocument, StandardFonts } from 'pdf-lib';
import { packOf, type FoundSnag } from '@firm-line/core/stations/prove';
import type { Plan } from '@firm-line/core/plan';
import { viewPlan } from '@firm-line/core/plan/results';
import { loadMeshes, meshesIn } from '../../storage/load-meshes';
import { Setter } from './pdf-setter';

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
    if (section.picture) set.picture(section.picture);
    if (section.table) set.table(section.table);
    if (section.curve) set.curve(section.curve);
    tell((i + 1) / sections.length);
    // Whoever cancels is heard between two sections.
    await new Promise((done) => setTimeout(done));
  }
  return doc.save();
}

export const packJobs = {
  pdf: (asked: PackAsked, tell?: (share: number) => void): Promise<Uint8Array> =>
    packPdf(asked, tell),
};
