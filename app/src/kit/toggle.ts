import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';

export interface ToggleChoice<T> {
  readonly value: T;
  readonly name: string;
  /** What a screen reader says where the name alone would not do. */
  readonly said?: string;
}

/** Buttons side by side of which one is down. */
@Component({
  selector: 'fl-toggle',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'flex flex-wrap gap-1', role: 'group', '[attr.aria-label]': 'label()' },
  template: `
    @for (option of options(); track option.value) {
      <button
        type="button"
        class="px-3"
        [class]="option.value === value() ? 'btn-dark px-3' : 'btn px-3'"
        [attr.aria-pressed]="option.value === value()"
        [attr.aria-label]="option.said"
        (click)="changed.emit(option.value)"
      >
        {{ option.name }}
      </button>
    }
    <ng-content />
  `,
})
export class Toggle<T> {
  readonly label = input.required<string>();
  readonly options = input.required<readonly ToggleChoice<T>[]>();
  readonly value = input.required<T>();
  readonly changed = output<T>();
}
