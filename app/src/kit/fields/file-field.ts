import { booleanAttribute, ChangeDetectionStrategy, Component, input, output } from '@angular/core';

/** A button that asks for files; the same file may be chosen twice over. */
@Component({
  selector: 'fl-file-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <label
      class="btn w-full cursor-pointer focus-within:outline-3"
      [class]="look()"
      [class.opacity-60]="disabled()"
      >{{ label()
      }}<input
        #field
        type="file"
        class="sr-only"
        [accept]="accept()"
        [multiple]="multiple()"
        [disabled]="disabled()"
        [attr.capture]="camera() ? 'environment' : null"
        (change)="take(field)"
    /></label>
  `,
})
export class FileField {
  readonly label = input.required<string>();
  readonly accept = input.required<string>();
  readonly look = input('');
  readonly multiple = input(false, { transform: booleanAttribute });
  readonly camera = input(false, { transform: booleanAttribute });
  readonly disabled = input(false);
  readonly picked = output<readonly File[]>();

  protected take(field: HTMLInputElement): void {
    const files = [...(field.files ?? [])];
    field.value = '';
    if (files.length) this.picked.emit(files);
  }
}
