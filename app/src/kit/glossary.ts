import { computed, Injectable, signal } from '@angular/core';
import type {
  GLOSSARY,
  GlossaryEntry,
  GlossaryPiece,
  glossaryPieces,
} from '@firm-line/core/trade/glossary';

interface Loaded {
  readonly GLOSSARY: typeof GLOSSARY;
  readonly glossaryPieces: typeof glossaryPieces;
}

/** The terms that are explained. They are loaded when the first text is looked through; until then a text is plain. */
@Injectable({ providedIn: 'root' })
export class Glossary {
  private readonly loaded = signal<Loaded | null>(null);
  private loading: Promise<void> | null = null;
  readonly entries = computed((): readonly GlossaryEntry[] => this.loaded()?.GLOSSARY ?? []);

  load(): Promise<void> {
    return (this.loading ??= import('@firm-line/core/trade/glossary').then((all) =>
      this.loaded.set(all),
    ));
  }
  /** A text in pieces. Plain until the terms are loaded; a computed that asks is then computed again. */
  pieces(text: string): readonly GlossaryPiece[] {
    void this.load();
    return this.loaded()?.glossaryPieces(text) ?? [{ text, entry: null }];
  }
  /** The first term in a text. */
  termIn(text: string): GlossaryEntry | null {
    return this.pieces(text).find(({ entry }) => entry)?.entry ?? null;
  }
}
