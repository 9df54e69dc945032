import { ChangeDetectionStrategy, Component, input, linkedSignal, output } from '@angular/core';
import { OptionalNumberField } from '../../kit/fields/optional-number-field';

/** One reading that is asked for. */
export interface Ask<K extends string> {
  readonly key: K;
  readonly label: string;
  readonly unit: 'length' | 'number';
  readonly least: number;
  readonly most: number;
  /** What an empty field means, where it need not be filled. */
  readonly none?: string;
}

/** Readings that count only together. Emits only when every required reading is present. */
@Component({
  selector: 'fl-readings-form',
  imports: [OptionalNumberField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid gap-3 sm:grid-cols-3' },
  template: `
    @for (ask of asks(); track ask.key) {
      <fl-optional-number-field
        [label]="ask.label"
        [unit]="ask.unit"
        [digits]="2"
        [least]="ask.least"
        [most]="ask.most"
        [none]="ask.none ?? 'not measured'"
        [value]="draft()[ask.key]"
        (changed)="take(ask.key, $event)"
      />
    }
  `,
})
export class ReadingsForm<K extends string> {
  readonly asks = input.required<readonly Ask<K>[]>();
  readonly value = input.required<Readonly<Partial<Record<K, number | null>>> | null>();
  /** All readings, or null once one that must be there is taken away. */
  readonly changed = output<Readonly<Record<K, number | null>> | null>();
  protected readonly draft = linkedSignal(
    (): Partial<Record<K, number | null>> => this.value() ?? {},
  );

  protected take(key: K, value: number | null): void {
    const now = { ...this.draft(), [key]: value };
    this.draft.set(now);
    const isWhole = this.asks().every(
      (ask) => ask.none !== undefined || (now[ask.key] ?? null) !== null,
    );
    if (isWhole)
      this.changed.emit(
        Object.fromEntries(this.asks().map((ask) => [ask.key, now[ask.key] ?? null])) as Record<
          K,
          number | null
        >,
      );
    else if (this.value()) this.changed.emit(null);
  }
}
