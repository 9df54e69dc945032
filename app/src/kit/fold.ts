import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';

/** What is not needed at every look: a line that says what is below it, and opens it. */
@Component({
  selector: 'fl-fold',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <details #fold [open]="startsOpen()" (toggle)="opened.emit(fold.open)">
      <summary class="flex min-h-12 items-center font-semibold">{{ summary() }}</summary>
      <ng-content />
    </details>
  `,
})
export class Fold {
  readonly summary = input.required<string>();
  readonly startsOpen = input(false);
  readonly opened = output<boolean>();
}
