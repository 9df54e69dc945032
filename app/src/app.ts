import { ChangeDetectionStrategy, Component, EnvironmentInjector, inject } from '@angular/core';
import { NavigationEnd, Router, RouterOutlet } from '@angular/router';
import { delay, filter, take } from 'rxjs';
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
    // The page that was asked for is loaded before the offline store fetches the rest.
    inject(Router)
      .events.pipe(
        filter((event) => event instanceof NavigationEnd),
        take(1),
        delay(UPDATES_AFTER_MS),
      )
      .subscribe(() => void import('./updates').then(({ beginUpdates }) => beginUpdates(injector)));
  }
}
