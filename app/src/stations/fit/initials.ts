import { Injectable, signal } from '@angular/core';
import { writeSetting, readSetting } from '../../kit/settings';

const NAME = 'firm-line.initials';

/** Who writes and who does the work, by initials as typed; they stay on this machine. */
@Injectable({ providedIn: 'root' })
export class Initials {
  private readonly now = signal(readSetting(NAME) ?? '');
  readonly value = this.now.asReadonly();
  set(text: string): void {
    this.now.set(text);
    writeSetting(NAME, text.trim() || null);
  }
}
