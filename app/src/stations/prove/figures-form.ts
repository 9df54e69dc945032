import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { askedField, labelOf, type AnyField } from '@firm-line/core/plan';
import { FieldOf } from '../../kit/fields/field';

/** Figures of a record that are taken together: nothing is kept until all are there. */
@Component({
  selector: 'fl-figures-form',
  imports: [FieldOf],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <div class="grid gap-3 sm:grid-cols-3">
      @for (ask of asks(); track ask.key) {
        <fl-field
          [of]="ask.field"
          [value]="at(ask.key)"
          none=""
          (changed)="put(ask.key, $event ?? null)"
        />
      }
      <ng-content />
    </div>
    <button
      type="button"
      class="btn-main mt-3 min-h-14 px-6 disabled:opacity-60"
      [disabled]="missing().length"
      (click)="take()"
    >
      {{ missing().length ? 'Still needed: ' + missing().join(', ') : name() }}
    </button>
  `,
})
export class FiguresForm<K extends string> {
  /** The record's own fields; one that may be null there may be left out here. */
  readonly fields = input.required<Readonly<Record<K, AnyField>>>();
  readonly keys = input.required<readonly K[]>();
  /** What some begin with. */
  readonly first = input<Readonly<Partial<Record<K, number>>> | null>(null);
  /** What the button says. */
  readonly name = input('Record this');
  readonly taken = output<Readonly<Record<K, number>>>();
  private readonly typed = signal<Partial<Record<K, number | null>>>({});
  protected readonly asks = computed(() =>
    this.keys().map((key) => {
      const of = this.fields()[key];
      return { key, field: askedField(of), isNeeded: of.type === 'number' };
    }),
  );
  protected readonly missing = computed(() =>
    this.asks()
      .filter(({ key, isNeeded }) => isNeeded && this.at(key) === null)
      .map(({ field }) => labelOf(field).split(',')[0]!.toLowerCase()),
  );
  protected at(key: K): number | null {
    const typed = this.typed()[key];
    return typed === undefined ? (this.first()?.[key] ?? null) : typed;
  }
  protected put(key: K, value: number | null): void {
    this.typed.update((typed) => ({ ...typed, [key]: value }));
  }
  protected take(): void {
    const all = Object.fromEntries(
      this.keys().flatMap((key) => {
        const value = this.at(key);
        return value === null ? [] : [[key, value] as const];
      }),
    ) as Record<K, number>;
    this.typed.set({});
    this.taken.emit(all);
  }
}
