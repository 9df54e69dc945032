import { computed, effect, signal, type Signal } from '@angular/core';

/** A page that is not seen draws no frame: it waits so long at most, ms. */
const MOST_WAIT_MS = 250;
let waiting: (() => void)[] = [];

/** Runs queued callbacks after the next paint, as one batch. */
export function onPainted(run: () => void): void {
  waiting.push(run);
  if (waiting.length > 1) return;
  const all = (): void => {
    clearTimeout(timer);
    const runs = waiting;
    waiting = [];
    for (const one of runs) one();
  };
  const timer = setTimeout(all, MOST_WAIT_MS);
  // A frame is painted when its callbacks are done; a timer set in one of them runs after that.
  requestAnimationFrame(() => setTimeout(all));
}

/** What follows from signals, a paint behind them: for what may come after the figures that an edit is judged by. */
export function afterPaint<T>(source: () => T): Signal<T> {
  const latest = computed(source);
  const painted = signal<{ readonly value: T } | null>(null);
  let isWaiting = false;
  effect(() => {
    const value = latest();
    if (isWaiting) return;
    if (!painted()) return painted.set({ value });
    if (painted()!.value === value) return;
    isWaiting = true;
    onPainted(() => {
      isWaiting = false;
      painted.set({ value: latest() });
    });
  });
  return computed(() => (painted() ?? { value: latest() }).value);
}
