import { createEnvironmentInjector, isDevMode, type EnvironmentInjector } from '@angular/core';
import { provideServiceWorker, SwUpdate } from '@angular/service-worker';
import { Notices } from './kit/notices';
import { PlanStore } from './session/plan-store';

/** Keeps the app for use without a network, and tells of a new version when there is one. */
export function beginUpdates(parent: EnvironmentInjector): void {
  if (isDevMode() || !('serviceWorker' in navigator)) return;
  const injector = createEnvironmentInjector([provideServiceWorker('ngsw-worker.js'), SwUpdate], parent);
  const [updates, notices, store] = [injector.get(SwUpdate), injector.get(Notices), injector.get(PlanStore)];
  const take = async (): Promise<void> => {
    await store.settle();
    await updates.activateUpdate();
    location.reload();
  };
  updates.versionUpdates.subscribe(({ type }) => {
    if (type === 'VERSION_READY')
      notices.say('A new version of Firm Line is ready.', { action: { label: 'Use it now', run: () => void take() } });
  });
  updates.unrecoverable.subscribe(() => notices.say('A part of the program is gone from this browser: load the page again.'));
  navigator.serviceWorker.register('ngsw-worker.js').catch((error: unknown) => console.warn('No use without a network:', error));
}
