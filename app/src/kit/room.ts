import { Injectable, signal } from '@angular/core';

const KEPT_AS = 'firm-line panel folded';

/** How much of the window the scene has: the panel beside it folded away, or the whole window. */
@Injectable({ providedIn: 'root' })
export class Room {
  private readonly fullNow = signal(false);
  private readonly foldedNow = signal(kept());
  private readonly asked = signal(0);
  /** The scene alone, without head, ribbon and panel. */
  readonly full = this.fullNow.asReadonly();
  readonly folded = this.foldedNow.asReadonly();
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
    try {
      localStorage.setItem(KEPT_AS, this.foldedNow() ? 'yes' : 'no');
    } catch {
      // A browser that keeps nothing: it holds until the tab is closed.
    }
  }
  fit(): void {
    this.asked.update((n) => n + 1);
  }
}

function kept(): boolean {
  try {
    return localStorage.getItem(KEPT_AS) === 'yes';
  } catch {
    return false;
  }
}
