import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';

/** A dial whose hand shows a turn, clockwise from the top, as seen looking along the tube from A. */
@Component({
  selector: 'fl-turn-dial',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="-20 -20 40 40" [class]="sizeClass()" aria-hidden="true">
      <circle r="18.5" class="fill-sheet stroke-ink-soft" stroke-width="1.5" />
      <path
        d="M0 0V-14"
        class="stroke-ink"
        stroke-width="4"
        stroke-linecap="round"
        [attr.transform]="turn()"
      />
    </svg>
  `,
})
export class TurnDial {
  readonly deg = input.required<number>();
  readonly sizeClass = input('size-11');
  protected readonly turn = computed(() => `rotate(${this.deg()})`);
}
