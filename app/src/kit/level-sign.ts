import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Level } from '@firm-line/core/inspect';

export const LEVEL_WORDS: Record<Level, string> = {
  stop: 'Stop',
  caution: 'Caution',
  note: 'Note',
};

/** The worst first. */
export const LEVELS = Object.keys(LEVEL_WORDS) as readonly Level[];

/** The worst that is said of each thing, by what it is known by; what is known by nothing is left out. */
export function worstBy<S extends { readonly level: Level }, K>(
  said: readonly S[],
  keyOf: (one: S) => K | undefined,
): ReadonlyMap<K, Level> {
  const worst = new Map<K, Level>();
  for (const one of said) {
    const key = keyOf(one);
    if (key === undefined) continue;
    const now = worst.get(key);
    if (!now || LEVELS.indexOf(one.level) < LEVELS.indexOf(now)) worst.set(key, one.level);
  }
  return worst;
}

/** The sign of a snag's level: an octagon, a triangle or a disc, so that color never stands alone. */
@Component({
  selector: 'fl-level-sign',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'inline-block shrink-0' },
  template: `
    <svg viewBox="0 0 20 20" class="size-5" role="img" [attr.aria-label]="word()">
      @switch (level()) {
        @case ('stop') {
          <path d="M6 1h8l5 5v8l-5 5H6l-5-5V6z" class="fill-stop" />
          <path d="M10 5v6.5M10 13.6v1.8" class="stroke-sheet" stroke-width="2.2" />
        }
        @case ('caution') {
          <path d="M10 1.5 19.5 18.5H.5z" class="fill-caution" />
          <path d="M10 7v5.5M10 14.4v1.8" class="stroke-sheet" stroke-width="2" />
        }
        @default {
          <circle cx="10" cy="10" r="9" class="fill-slate" />
          <path d="M10 8.8V15M10 5v1.9" class="stroke-sheet" stroke-width="2.2" />
        }
      }
    </svg>
  `,
})
export class LevelSign {
  readonly level = input.required<Level>();
  protected readonly word = computed(() => LEVEL_WORDS[this.level()]);
}
