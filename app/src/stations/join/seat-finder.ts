import { ChangeDetectionStrategy, Component, computed, output, signal } from '@angular/core';
import { seatFrom, type SeatAnswers } from '@firm-line/core/ends';
import { SEAT_NAMES, type SeatForm } from '@firm-line/core/stock';

/** Questions whose answers leave one seat: what somebody sees who looks into the port with a light. */
@Component({
  selector: 'fl-seat-finder',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <div class="grid grid-cols-2 gap-3">
      <div>
        <label class="label block" for="seat-bottom">Its bottom</label>
        <select id="seat-bottom" class="field w-full" (change)="set({ bottom: $any($event.target).value || null })">
          <option value="">not looked</option>
          <option value="rises">rises toward the middle</option>
          <option value="dips">dips toward the middle</option>
          <option value="flat">flat or drilled through</option>
        </select>
      </div>
      <div>
        <label class="label block" for="seat-nut">The nut that was in it</label>
        <select id="seat-nut" class="field w-full" (change)="set({ nut: $any($event.target).value || null })">
          <option value="">not looked</option>
          <option value="threaded-to-end">threaded to its end</option>
          <option value="shoulder">a plain shoulder at its end</option>
        </select>
      </div>
      <div>
        <label class="label block" for="seat-cone">Cone to the axis, °</label>
        <input
          id="seat-cone"
          class="field-mono w-full"
          inputmode="decimal"
          autocomplete="off"
          (change)="setCone($any($event.target).value)"
        />
      </div>
      <div>
        <label class="label block" for="seat-taper">Over ten turns</label>
        <select id="seat-taper" class="field w-full" (change)="setTaper($any($event.target).value)">
          <option value="">not measured</option>
          <option value="yes">the thread grows</option>
          <option value="no">it is parallel</option>
        </select>
      </div>
    </div>
    @if (fault(); as text) {
      <p class="fault">{{ text }}</p>
    }
    @if (asked()) {
      <ul class="mt-2" aria-label="Seats that are left">
        @for (one of found().candidates; track one.seat) {
          <li>
            <button type="button" class="link" (click)="picked.emit(one.seat)">{{ names[one.seat] }}</button>
            <span class="ml-2 text-sm text-ink-soft">{{ one.fits.join(', ') }}</span>
          </li>
        } @empty {
          <li class="text-sm">These answers fight one another: no seat fits them all. Look again.</li>
        }
      </ul>
    }
    @if (found().next; as next) {
      <p class="mt-1 text-sm">{{ next }}</p>
    }
  `,
})
export class SeatFinder {
  readonly picked = output<SeatForm>();
  protected readonly names = SEAT_NAMES;
  private readonly answers = signal<SeatAnswers>({ bottom: null, nut: null, coneDeg: null, taper: null });
  protected readonly fault = signal<string | null>(null);
  protected readonly found = computed(() => seatFrom(this.answers()));
  protected readonly asked = computed(() => Object.values(this.answers()).some((answer) => answer !== null));

  protected set(patch: Partial<SeatAnswers>): void {
    this.answers.update((answers) => ({ ...answers, ...patch }));
  }
  protected setTaper(value: string): void {
    this.set({ taper: value === '' ? null : value === 'yes' });
  }
  protected setCone(text: string): void {
    const tidy = text.trim().replace(/\s*°$/, '').replace(',', '.');
    const value = tidy === '' ? null : Number(tidy);
    const good = value === null || (Number.isFinite(value) && value > 0 && value < 90);
    this.fault.set(good ? null : `"${text.trim()}" is not an angle between 0 and 90°.`);
    if (good) this.set({ coneDeg: value });
  }
}
