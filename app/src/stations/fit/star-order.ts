import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { starOrder } from '@firm-line/core/stations/fit/tasks';

/** Bolts round their center, numbered in the order in which they are drawn up; each is tapped as it is marked. */
@Component({
  selector: 'fl-star-order',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: {
    class: 'relative block aspect-square',
    role: 'group',
    'aria-label': 'Order in which they are drawn up',
  },
  template: `
    <svg class="absolute inset-0 size-full" viewBox="-100 -100 200 200" aria-hidden="true">
      <circle r="96" class="fill-none stroke-rule" stroke-width="2" />
      <polyline
        [attr.points]="way()"
        class="fill-none stroke-copper"
        stroke-width="2"
        stroke-dasharray="5 4"
      />
    </svg>
    @for (bolt of bolts(); track bolt.turn) {
      <button
        type="button"
        class="absolute flex size-tap -translate-1/2 items-center justify-center rounded-full border-2 font-mono text-lg font-semibold"
        [class]="
          bolt.turn <= marked()
            ? 'border-ok bg-ok text-sheet'
            : bolt.turn === marked() + 1
              ? 'border-copper bg-copper-pale text-ink'
              : 'border-ink-soft bg-sheet text-ink'
        "
        [style.left.%]="bolt.left"
        [style.top.%]="bolt.top"
        [attr.aria-label]="'No. ' + bolt.turn + (bolt.turn <= marked() ? ', marked' : '')"
        [attr.aria-pressed]="bolt.turn <= marked()"
        (click)="tapped.emit(bolt.turn === marked() ? bolt.turn - 1 : bolt.turn)"
      >
        {{ bolt.turn }}
      </button>
    }
  `,
})
export class StarOrder {
  readonly count = input.required<number>();
  /** How many of them are marked, in their order. */
  readonly marked = input.required<number>();
  readonly tapped = output<number>();

  protected readonly bolts = computed(() =>
    starOrder(this.count()).map((place, i) => {
      const angle = (2 * Math.PI * place) / this.count() - Math.PI / 2;
      return { turn: i + 1, left: 50 + 37 * Math.cos(angle), top: 50 + 37 * Math.sin(angle) };
    }),
  );
  protected readonly way = computed(() =>
    this.bolts()
      .map(({ left, top }) => `${2 * left - 100},${2 * top - 100}`)
      .join(' '),
  );
}
