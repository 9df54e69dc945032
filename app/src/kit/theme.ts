import { computed, Injectable, signal } from '@angular/core';
import { writeSetting, readSetting } from './settings';

const KEPT_AS = 'firm-line theme';
export const THEMES = ['system', 'light', 'dark'] as const;
export type ThemeChoice = (typeof THEMES)[number];

/** Light or dark: by the system's wish until one is chosen, which is kept. */
@Injectable({ providedIn: 'root' })
export class Theme {
  private readonly system = globalThis.matchMedia?.('(prefers-color-scheme: dark)');
  private readonly wished = signal(this.system?.matches ?? false);
  private readonly chosen = signal<ThemeChoice>(
    THEMES.find((one) => one === readSetting(KEPT_AS)) ?? 'system',
  );
  readonly choice = this.chosen.asReadonly();
  readonly isDark = computed(() =>
    this.chosen() === 'system' ? this.wished() : this.chosen() === 'dark',
  );

  constructor() {
    this.system?.addEventListener('change', ({ matches }) => {
      this.wished.set(matches);
      this.show();
    });
    this.show();
  }
  choose(choice: ThemeChoice): void {
    this.chosen.set(choice);
    writeSetting(KEPT_AS, choice === 'system' ? null : choice);
    this.show();
  }
  /** The page's styles are those of the theme before anything that reads them is drawn anew. */
  private show(): void {
    document.documentElement.dataset['theme'] = this.isDark() ? 'dark' : 'light';
  }
}
