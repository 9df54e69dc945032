import { createEnvironmentInjector, isDevMode, type EnvironmentInjector } from '@angular/core';
import { provideServiceWorker, SwUpdate } from '@angular/service-worker';
import { Notices } from './kit/notices';
import { DEMOS, demoUrl } from './storage/demos';

/** The worker keeps what is fetched from it. */
const keepDemos = (): void =>
  DEMOS.forEach(({ id }) => void fetch(demoUrl(id)).catch(() => undefined));

/** Keeps the app for use without a network, and tells of a new version when there is one. */
export function beginUpdates(parent: EnvironmentInjector): void {
  if (isDevMode() || !('serviceWorker' in navigator)) return;
  const injector = createEnvironmentInjector(
    [provideServiceWorker('ngsw-worker.js'), SwUpdate],
    parent,
  );
  const [updates, notices] = [injector.get(SwUpdate), injector.get(Notices)];
  const take = async (): Promise<void> => {
    const { PlanStore } = await import('./session/plan-store');
    await injector.get(PlanStore).settle();
    await updates.activateUpdate();
    location.reload();
  };
  updates.versionUpdates.subscribe(({ type }) => {
    if (type === 'VERSION_READY')
      notices.say('A new version of Firm Line is ready.', {
        action: { label: 'Update now', run: () => void take() },
      });
  });
  updates.unrecoverable.subscribe(() =>
    notices.say('Part of the program is missing from this browser. Reload the page.'),
  );
  // The demo plans are kept too, so that each opens without a network though nobody looked at it before.
  navigator.serviceWorker.addEventListener('controllerchange', keepDemos, { once: true });
  navigator.serviceWorker
    .register('ngsw-worker.js')
    .catch((error: unknown) => console.warn('Not ready to work offline:', error));
}
