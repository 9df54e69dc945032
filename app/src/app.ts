import { ChangeDetectionStrategy, Component, EnvironmentInjector, inject } from '@angular/core';
import { RouterOutlet } from '@angular/router';
import { Theme } from './kit/theme';
import { NoticeBar } from './kit/notice-bar';
import { Notices } from './kit/notices';

/** The first screen comes before keeping the app for use without a network. */
const UPDATES_AFTER_MS = 2000;

@Component({
  selector: 'fl-root',
  imports: [RouterOutlet, NoticeBar],
  changeDetection: ChangeDetectionStrategy.OnPush,
  // Said aloud where it stands already: what is said comes into it.
  template: `<router-outlet />
    <div role="status">
      @defer (when notices.list().length; on timer(3s)) {
        <fl-notice-bar />
      }
    </div>`,
})
export class App {
  protected readonly notices = inject(Notices);
  constructor() {
    inject(Theme);
    const injector = inject(EnvironmentInjector);
    setTimeout(
      () => void import('./updates').then(({ beginUpdates }) => beginUpdates(injector)),
      UPDATES_AFTER_MS,
    );
  }
}
