import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { TextInput, type Read } from './text-input';

/** A word or two. One that may not be empty says so; a form of its own is said in words where it is not kept. */
@Component({
  selector: 'fl-text-field',
  imports: [TextInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <fl-text-input
      [id]="field()"
      [label]="label()"
      [bare]="bare()"
      [hint]="hint()"
      [mono]="mono()"
      [most]="limits().most"
      [placeholder]="placeholder()"
      [offers]="offers()"
      [shown]="value()"
      [read]="read"
      (taken)="take($event)"
    />
  `,
})
export class TextField {
  /** Id of the line itself. */
  readonly field = input.required<string>();
  readonly value = input.required<string>();
  readonly label = input.required<string>();
  readonly bare = input(false);
  readonly hint = input('');
  readonly mono = input(false);
  readonly placeholder = input('');
  readonly offers = input<readonly string[]>([]);
  /** Letters at least and at most, and how it is written, with what that is called. */
  readonly limits = input<{
    readonly least: number;
    readonly most: number;
    readonly form?: readonly [RegExp, string];
  }>({ least: 1, most: 200 });
  readonly changed = output<string>();

  protected readonly read = (text: string): Read<string> => {
    const { least, most, form } = this.limits();
    if (text.length < least) return { ok: false, message: 'Enter at least one letter.' };
    if (form && text && !form[0].test(text))
      return { ok: false, message: `"${text}" is not ${form[1]}.` };
    return text.length > most
      ? { ok: false, message: `Text is longer than ${most} letters.` }
      : { ok: true, value: text };
  };
  protected take(text: string): void {
    if (text !== this.value()) this.changed.emit(text);
  }
}
