import type { DestroyRef } from '@angular/core';
import type { Acts } from './keys';

const isField = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && target.matches('input, textarea, select');

/**
 * Brings the keys in once they are wanted, by the first that is pressed or by `load`: what was pressed before they came
 * is pressed again then, so that no key is lost.
 */
export function earlyKeys(
  acts: Acts,
  destroy: DestroyRef,
  keys: () => Promise<{ listen: (acts: Acts, destroy: DestroyRef) => void }>,
): () => void {
  const pressed: KeyboardEvent[] = [];
  let asked = false;
  const hear = (event: KeyboardEvent): void => {
    if (!isField(event.target)) pressed.push(event);
    load();
  };
  const stop = (): void => removeEventListener('keydown', hear);
  const load = (): void => {
    if (asked) return;
    asked = true;
    void keys().then((own) => {
      stop();
      if (destroy.destroyed) return;
      own.listen(acts, destroy);
      for (const event of pressed)
        if (!event.defaultPrevented) dispatchEvent(new KeyboardEvent('keydown', event));
    });
  };
  addEventListener('keydown', hear);
  destroy.onDestroy(stop);
  return load;
}
