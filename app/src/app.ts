import { ChangeDetectionStrategy, Component } from '@angular/core';
import { RouterOutlet } from '@angular/router';
import { NoticeBar } from './kit/notice-bar';

@Component({
  selector: 'fl-root',
  imports: [RouterOutlet, NoticeBar],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<router-outlet /><fl-notice-bar />`,
})
export class App {}
