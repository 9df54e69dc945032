import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { RouterOutlet } from '@angular/router';
import { SwUpdate } from '@angular/service-worker';
import { NoticeBar } from './kit/notice-bar';
import { Notices } from './kit/notices';
import { PlanStore } from './session/plan-store';

@Component({
  selector: 'fl-root',
  imports: [RouterOutlet, NoticeBar],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<router-outlet /><fl-notice-bar />`,
})
export class App {
  constructor() {
    const [updates, notices, store] = [inject(SwUpdate), inject(Notices), inject(PlanStore)];
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
  }
}
