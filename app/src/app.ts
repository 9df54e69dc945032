import { ChangeDetectionStrategy, Component, EnvironmentInjector, inject } from '@angular/core';
import { RouterOutlet } from '@angular/router';
import { Theme } from './kit/theme';
import { NoticeBar } from './kit/notice-bar';

/** The first screen comes before keeping the app for use without a network. */
const UPDATES_AFTER_MS = 2000;

@Component({
  selector: 'fl-root',
  imports: [RouterOutlet, NoticeBar],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<router-outlet /><fl-notice-bar />`,
})
export class App {
  constructor() {
    inject(Theme);
    const injector = inject(EnvironmentInjector);
    setTimeout(() => void import('./updates').then(({ beginUpdates }) => beginUpdates(injector)), UPDATES_AFTER_MS);
  }
}
