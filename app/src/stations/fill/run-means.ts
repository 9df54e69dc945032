import { DestroyRef, effect, inject, signal, type Signal } from '@angular/core';
import { writeSetting, readSetting } from '../../kit/settings';

/** Keeps the screen lit while `on` is so, where the machine can; a lock that was lost is taken again when the page is looked at. */
export function keepAwake(on: Signal<boolean>): void {
  let lock: WakeLockSentinel | null = null;
  const take = async (): Promise<void> => {
    if (on() && document.visibilityState === 'visible')
      lock = await navigator.wakeLock?.request('screen').catch(() => null);
  };
  const again = (): void => void take();
  document.addEventListener('visibilitychange', again);
  effect(() => {
    if (on()) void take();
    else void lock?.release();
  });
  inject(DestroyRef).onDestroy(() => {
    document.removeEventListener('visibilitychange', again);
    void lock?.release();
  });
}

const VOICE = 'firmline.voice';
/** Speaks what it is told, where that is switched on and the machine has a voice. */
export function speaker(words: Signal<string>): {
  readonly can: boolean;
  readonly on: Signal<boolean>;
  toggle(): void;
} {
  const can = 'speechSynthesis' in window;
  const on = signal(can && readSetting(VOICE) === 'on');
  effect(() => {
    const text = words();
    if (!on() || !text) return;
    speechSynthesis.cancel();
    speechSynthesis.speak(new SpeechSynthesisUtterance(text));
  });
  inject(DestroyRef).onDestroy(() => can && speechSynthesis.cancel());
  return {
    can,
    on,
    toggle: () => {
      on.update((is) => !is);
      writeSetting(VOICE, on() ? 'on' : null);
    },
  };
}
