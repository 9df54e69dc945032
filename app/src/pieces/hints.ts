import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  Injectable,
  input,
  signal,
} from '@angular/core';
import { writeSetting, readSetting } from '../kit/settings';

const KEPT_AS = 'firm-line hints';
/** What a first-time user is told on each screen, three at most. */
export const HINTS: Readonly<Record<string, readonly string[]>> = {
  measure: [
    'Everything marked △ is an estimate. Measure the places in this order. Lines and hoses update with each reading.',
    'A tape needs a fixed point to hook to. Measure the frame first, on the Frame page.',
    'Three tapes locate a point. A fourth shows up a mistake.',
  ],
  plumb: [
    'Tap a part to see what it feeds and which brakes one leak would lose.',
    'Drag to move the drawing, scroll to zoom.',
  ],
  route: [
    'Tap a line above to select it. Drag its corners, or type a move: aft 140, up 90.',
    'Find a route leads the line along the rails, clear of heat and moving parts.',
    'Snags say what is wrong, and offer a fix where there is one.',
  ],
  make: [
    'Cut, mark and bend by this card. Tick each step: a flare stays locked until its nut is on the tube.',
    'Measure each bend before it leaves the die. The card works out the correction, and updates the bends that follow.',
    'Marks move when a port is measured again. The card tells you before you bend.',
  ],
  fit: [
    'The first task unblocks the most others. Set your time and helpers under Change.',
    'Fit loose, check, then tighten. A task that waits says what it waits for.',
    'A temporary fix stays on the list until you close it.',
  ],
};

/** Which hints were put away, for good. */
@Injectable({ providedIn: 'root' })
export class HintsSeen {
  private readonly now = signal<readonly string[]>(seenBefore());
  readonly seen = this.now.asReadonly();
  putAway(station: string): void {
    this.set([...this.now(), station]);
  }
  showAgain(): void {
    this.set([]);
  }
  private set(list: readonly string[]): void {
    this.now.set(list);
    writeSetting(KEPT_AS, JSON.stringify(list));
  }
}
function seenBefore(): readonly string[] {
  try {
    const list: unknown = JSON.parse(readSetting(KEPT_AS) ?? '[]');
    return Array.isArray(list) ? list.filter((one): one is string => typeof one === 'string') : [];
  } catch {
    return [];
  }
}

/** The hints of a screen, on it, until they are put away. */
@Component({
  selector: 'fl-hints',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block print:hidden' },
  template: `
    @if (shown().length) {
      <section
        class="mb-3 rounded-lg bg-fluid-pale px-3 py-2 text-sm"
        aria-label="First steps here"
        data-test="hints"
      >
        <ul class="list-disc pl-4">
          @for (hint of shown(); track hint) {
            <li>{{ hint }}</li>
          }
        </ul>
        <button type="button" class="btn mt-1 px-3" (click)="hints.putAway(station())">
          Got it
        </button>
      </section>
    }
  `,
})
export class Hints {
  protected readonly hints = inject(HintsSeen);
  readonly station = input.required<string>();
  protected readonly shown = computed(() =>
    this.hints.seen().includes(this.station()) ? [] : (HINTS[this.station()] ?? []),
  );
}
