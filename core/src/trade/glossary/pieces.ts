import { GLOSSARY, type GlossaryEntry } from './entries.ts';

const escaped = (word: string): string => word.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
const NAMES = GLOSSARY.flatMap((entry) =>
  [...(entry.common ? [] : [entry.term, `${entry.term}s`]), ...(entry.also ?? [])].map((name) => ({
    name,
    entry,
  })),
);
/** Every name of every term, the longer before the shorter, as whole words. */
const FINDER = new RegExp(
  `(?<![\\p{L}\\d-])(?:${[...NAMES]
    .sort((a, b) => b.name.length - a.name.length)
    .map(({ name }) => escaped(name))
    .join('|')})(?![\\p{L}\\d-])`,
  'giu',
);
const BY_NAME = new Map(NAMES.map(({ name, entry }) => [name.toLowerCase(), entry]));

/** A stretch of a text: a word that the glossary explains, or what stands between. */
export interface GlossaryPiece {
  readonly text: string;
  readonly entry: GlossaryEntry | null;
}
/** A text in pieces, with the first place of each term marked. Joined, the pieces are the text. */
export function glossaryPieces(text: string): readonly GlossaryPiece[] {
  const pieces: GlossaryPiece[] = [];
  const seen = new Set<GlossaryEntry>();
  let from = 0;
  for (const match of text.matchAll(FINDER)) {
    const entry = BY_NAME.get(match[0].toLowerCase())!;
    if (seen.has(entry)) continue;
    seen.add(entry);
    if (match.index > from) pieces.push({ text: text.slice(from, match.index), entry: null });
    pieces.push({ text: match[0], entry });
    from = match.index + match[0].length;
  }
  if (from < text.length || !pieces.length) pieces.push({ text: text.slice(from), entry: null });
  return pieces;
}
