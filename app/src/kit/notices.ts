import { Injectable, signal } from '@angular/core';

export interface Notice {
  readonly id: number;
  readonly text: string;
  /** Lines below it, such as the faults of a file. */
  readonly details: readonly string[];
  readonly action: { readonly label: string; readonly run: () => void } | null;
}

/** Short sentences at the foot of the screen; they stay until they are closed or replaced by four newer ones. */
@Injectable({ providedIn: 'root' })
export class Notices {
  private nextId = 1;
  private readonly held = signal<readonly Notice[]>([]);
  readonly list = this.held.asReadonly();

  say(text: string, extra: { details?: readonly string[]; action?: Notice['action'] } = {}): void {
    const notice: Notice = {
      id: this.nextId++,
      text,
      details: extra.details ?? [],
      action: extra.action ?? null,
    };
    this.held.update((list) => [...list.filter((n) => n.text !== text), notice].slice(-4));
  }
  close(id: number): void {
    this.held.update((list) => list.filter((n) => n.id !== id));
  }
  clear(): void {
    this.held.set([]);
  }
}
