import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { Notices, type Notice } from './notices';

@Component({
  selector: 'fl-notice-bar',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div
      class="pointer-events-none fixed inset-x-0 bottom-0 z-50 flex flex-col items-center gap-2 p-4 print:hidden"
    >
      @for (notice of notices.list(); track notice.id) {
        <div
          class="pointer-events-auto w-full max-w-2xl rounded-lg bg-ink px-4 py-2 text-sheet shadow-lg"
          data-test="notice"
        >
          <div class="flex items-center gap-3">
            <p class="flex-1 py-2">{{ notice.text }}</p>
            @if (notice.action; as action) {
              <button
                type="button"
                class="min-h-tap px-3 font-semibold underline"
                (click)="run(notice)"
              >
                {{ action.label }}
              </button>
            }
            <button
              type="button"
              class="min-h-tap px-3 font-semibold"
              (click)="notices.close(notice.id)"
            >
              Close
            </button>
          </div>
          @if (notice.details.length) {
            <ul
              class="max-h-48 overflow-auto pb-2 font-mono text-sm"
              tabindex="0"
              aria-label="Details"
            >
              @for (line of notice.details; track $index) {
                <li class="py-0.5">{{ line }}</li>
              }
            </ul>
          }
        </div>
      }
    </div>
  `,
})
export class NoticeBar {
  protected readonly notices = inject(Notices);
  protected run(notice: Notice): void {
    notice.action?.run();
    this.notices.close(notice.id);
  }
}
