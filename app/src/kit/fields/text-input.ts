import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  output,
  signal,
} from '@angular/core';
import { Glossary } from '../glossary';
import { Term } from '../term';

/** What was typed: the value it stands for, or why it cannot be taken. */
export type Read<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly message: string };

let nextId = 0;

/** A labelled line to type in, the base of every field that is typed: label, hint, fault and Escape are alike in all of them. */
@Component({
  selector: 'fl-text-input',
  imports: [Term],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <span class="flex items-baseline gap-1" [class.sr-only]="bare()">
      <label class="label" [attr.for]="id()">{{ label() }}</label>
      @if (term(); as entry) {
        <fl-term [entry]="entry" [short]="true" />
      }
    </span>
    <input
      #field
      [id]="id()"
      class="w-full"
      [class]="mono() ? 'field-mono' : 'field'"
      autocomplete="off"
      [attr.inputmode]="keyboard()"
      [attr.maxlength]="most()"
      [attr.list]="offers().length ? id() + '-offers' : null"
      [placeholder]="placeholder()"
      [value]="shown()"
      [title]="aside()"
      [attr.aria-invalid]="fault() ? true : null"
      [attr.aria-describedby]="fault() ? id() + '-fault' : hint() ? id() + '-hint' : null"
      (change)="take(field)"
      (keydown.escape)="reset(field)"
    />
    @if (offers().length) {
      <datalist [id]="id() + '-offers'">
        @for (offer of offers(); track offer) {
          <option [value]="offer"></option>
        }
      </datalist>
    }
    @if (fault(); as text) {
      <p class="fault" role="alert" [id]="id() + '-fault'">{{ text }}</p>
    } @else if (hint()) {
      <p class="text-sm text-ink-soft" [id]="id() + '-hint'">{{ hint() }}</p>
    }
  `,
})
export class TextInput<T> {
  readonly id = input(`entry-${nextId++}`);
  readonly label = input.required<string>();
  readonly shown = input.required<string>();
  readonly read = input.required<(text: string) => Read<T>>();
  /** Label for screen readers only, where a table head says it. */
  readonly bare = input(false);
  readonly mono = input(true);
  readonly hint = input('');
  /** What stands beside it on hover, such as the other system of units. */
  readonly aside = input('');
  readonly placeholder = input('');
  readonly keyboard = input<'text' | 'decimal'>('text');
  readonly most = input<number | null>(null);
  /** What it may well be, to choose from; anything else may be typed. */
  readonly offers = input<readonly string[]>([]);
  readonly taken = output<T>();
  protected readonly fault = signal<string | null>(null);
  private readonly glossary = inject(Glossary);
  /** A term in the label that is explained beside it. */
  protected readonly term = computed(() =>
    this.bare() ? null : this.glossary.termIn(this.label()),
  );

  protected take(field: HTMLInputElement): void {
    // Shown as it stands, in whatever units: leaving it changes nothing.
    if (field.value.trim() === this.shown()) return this.fault.set(null);
    const read = this.read()(field.value.trim());
    if (!read.ok) return this.fault.set(read.message);
    this.fault.set(null);
    this.taken.emit(read.value);
    // Written as the field writes it, also where nothing changed by it or it was not taken.
    queueMicrotask(() => (field.value = this.shown()));
  }
  protected reset(field: HTMLInputElement): void {
    this.fault.set(null);
    field.value = this.shown();
  }
}
