import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { OptionalNumberField } from '../../kit/fields/optional-number-field';

export interface Figure {
  readonly key: string;
  readonly label: string;
  readonly least: number;
  readonly most: number;
  /** What it begins with. */
  readonly first?: number;
  /** It may be left out. */
  readonly optional?: boolean;
}
/** Figures that are taken together: nothing is kept until all are there. */
@Component({
  selector: 'fl-figures-form',
  imports: [OptionalNumberField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <div class="grid gap-3 sm:grid-cols-3">
      @for (figure of figures(); track figure.key) {
        <fl-optional-number-field
          [label]="figure.label"
          [value]="at(figure)"
          none=""
          [least]="figure.least"
          [most]="figure.most"
          (changed)="put(figure.key, $event)"
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
      {{ missing().length ? 'Wanted still: ' + missing().join(', ') : name() }}
    </button>
  `,
})
export class FiguresForm {
  readonly figures = input.required<readonly Figure[]>();
  /** What the button says. */
  readonly name = input('Take it');
  readonly taken = output<Record<string, number>>();
  private readonly typed = signal<Record<string, number | null>>({});
  protected readonly missing = computed(() =>
    this.figures()
      .filter((figure) => !figure.optional && this.at(figure) === null)
      .map(({ label }) => label.split(',')[0]!.toLowerCase()),
  );
  protected at({ key, first }: Figure): number | null {
    return key in this.typed() ? this.typed()[key]! : (first ?? null);
  }
  protected put(key: string, value: number | null): void {
    this.typed.update((typed) => ({ ...typed, [key]: value }));
  }
  protected take(): void {
    const all = Object.fromEntries(
      this.figures().flatMap((figure) =>
        this.at(figure) === null ? [] : [[figure.key, this.at(figure)!]],
      ),
    );
    this.typed.set({});
    this.taken.emit(all);
  }
}
