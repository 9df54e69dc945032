import { computed, Injectable, signal } from '@angular/core';
import { writeSetting, readSetting } from './settings';

const KEPT_AS = 'firm-line panel folded';

/** How much of the window the scene has: the panel beside it folded away, or the whole window. */
@Injectable({ providedIn: 'root' })
export class PanelLayout {
  private readonly fullNow = signal(false);
  private readonly foldedNow = signal(readSetting(KEPT_AS) === 'yes');
  private readonly asked = signal(0);
  /** The scene alone, without head, ribbon and panel. */
  readonly full = this.fullNow.asReadonly();
  readonly folded = this.foldedNow.asReadonly();
  /** The scene stands without the panel beside it. */
  readonly alone = computed(() => this.folded() || this.full());
  /** Counts how often the whole vehicle was asked into the picture. */
  readonly fitAsked = this.asked.asReadonly();

  setFull(on: boolean): void {
    this.fullNow.set(on);
  }
  toggleFull(): void {
    this.fullNow.update((on) => !on);
  }
  toggleFolded(): void {
    this.foldedNow.update((on) => !on);
    writeSetting(KEPT_AS, this.foldedNow() ? 'yes' : 'no');
  }
  fit(): void {
    this.asked.update((n) => n + 1);
  }
}
