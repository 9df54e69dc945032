export { GLOSSARY, type GlossaryEntry, type GlossaryInk, type GlossaryStroke } from './entries.ts';
export { glossaryPieces, type GlossaryPiece } from './pieces.ts';
