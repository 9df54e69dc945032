import {
  ChangeDetectionStrategy,
  Component,
  computed,
  input,
  linkedSignal,
  output,
} from '@angular/core';
import { askedField, type AnyField } from '@firm-line/core/plan';
import { FieldOf } from '../../kit/fields/field';

type Figure = number | null | undefined;

/** Readings of which none may be missing, as the form hands them over. */
export const filled = <K extends string>(
  read: Readonly<Record<K, number | null>>,
): Record<K, number> =>
  Object.fromEntries(Object.entries(read).filter(([, mm]) => mm !== null)) as Record<K, number>;

/** Readings of a record that count only together. Emits only when every required reading is present. */
@Component({
  selector: 'fl-readings-form',
  imports: [FieldOf],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid items-end gap-3 sm:grid-cols-3' },
  template: `
    @for (ask of asks(); track ask.key) {
      <fl-field
        [of]="ask.field"
        [value]="draft()[ask.key]"
        [none]="ask.none"
        (changed)="take(ask.key, $event)"
      />
    }
  `,
})
export class ReadingsForm<K extends string> {
  /** The record's own fields; one that may be null or missing there may stay empty here. */
  readonly fields = input.required<Readonly<Record<K, AnyField>>>();
  readonly keys = input.required<readonly K[]>();
  readonly value = input.required<Readonly<Partial<Record<K, Figure>>> | null>();
  /** All readings, or null once one that must be there is taken away. */
  readonly changed = output<Readonly<Record<K, number | null>> | null>();
  protected readonly draft = linkedSignal((): Partial<Record<K, Figure>> => this.value() ?? {});
  protected readonly asks = computed(() =>
    this.keys().map((key) => {
      const of = this.fields()[key];
      const isNeeded = of.type === 'number';
      return { key, field: askedField(of), isNeeded, none: isNeeded ? 'not measured' : null };
    }),
  );

  protected take(key: K, value: Figure): void {
    const now = { ...this.draft(), [key]: value };
    this.draft.set(now);
    const isWhole = this.asks().every((ask) => !ask.isNeeded || (now[ask.key] ?? null) !== null);
    if (isWhole)
      this.changed.emit(
        Object.fromEntries(this.keys().map((one) => [one, now[one] ?? null])) as Record<
          K,
          number | null
        >,
      );
    else if (this.value()) this.changed.emit(null);
  }
}
