import { ChangeDetectionStrategy, Component, input } from '@angular/core';

/** Where nothing is to be shown yet: what will be, and the buttons that begin it. */
@Component({
  selector: 'fl-empty-state',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'm-auto block max-w-lg p-8 text-center' },
  template: `
    <h2 class="text-2xl font-bold">{{ heading() }}</h2>
    <p class="mt-2">{{ text() }}</p>
    <div class="mt-4 flex flex-wrap items-end justify-center gap-2"><ng-content /></div>
  `,
})
export class EmptyState {
  readonly heading = input.required<string>();
  readonly text = input.required<string>();
}
