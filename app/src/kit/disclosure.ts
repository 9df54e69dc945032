import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';

/** What is not needed at every look: a line that says what is below it, and opens it. */
@Component({
  selector: 'fl-disclosure',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <details #fold class="group" [open]="startsOpen()" (toggle)="opened.emit(fold.open)">
      <summary class="flex min-h-tap list-none items-center gap-2 font-semibold">
        <svg
          viewBox="0 0 10 10"
          class="size-2.5 shrink-0 fill-ink-soft group-open:rotate-90"
          aria-hidden="true"
        >
          <path d="M2 0 9 5 2 10z" /></svg
        >{{ summary() }}
      </summary>
      <ng-content />
    </details>
  `,
})
export class Disclosure {
  readonly summary = input.required<string>();
  readonly startsOpen = input(false);
  readonly opened = output<boolean>();
}
