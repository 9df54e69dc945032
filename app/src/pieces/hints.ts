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
    'Everything marked △ is a guess. Tape the places in this order, and lines and hoses follow each reading.',
    'A tape needs somewhere to hook: measure the frame first, under Frame, and its datums are sure.',
    'Three tapes fix a place, a fourth shows a mistake.',
  ],
  plumb: [
    'Tap a part to see what it feeds and what one leak would take.',
    'Drag the drawing to move it, turn the wheel to size it.',
  ],
  route: [
    'Tap a line above to choose it; drag its corners, or type a move: aft 140, up 90.',
    'Find a way leads it along the rails, clear of heat and of what moves.',
    'Snags say what is wrong and mend it where they can.',
  ],
  make: [
    'Cut, mark and bend by this card; tick each step, and the flare stays locked until all that must be on is on.',
    'Read each bend before it leaves the die: the card says how far to take it, and what the next ones become.',
    'Marks move when a port is measured anew: the card says so before you bend.',
  ],
  fit: [
    'The first task is the one that frees most others; say how long you have and with whom under Change.',
    'Loose first, then looked at, then tight: what waits says for what.',
    'What holds for now stays on the list until it is closed.',
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
