import { ChangeDetectionStrategy, Component, computed, output, signal } from '@angular/core';
import { seatFrom, type SeatAnswers } from '@firm-line/core/trade/ends';
import { SEAT_NAMES, type SeatForm } from '@firm-line/core/trade/stock';
import { OptionalNumberField } from '../../kit/fields/optional-number-field';
import { SelectField } from '../../kit/fields/select-field';

/** Questions whose answers leave one seat: what somebody sees who looks into the port with a light. */
@Component({
  selector: 'fl-seat-finder',
  imports: [OptionalNumberField, SelectField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <div class="grid grid-cols-2 gap-3">
      <fl-select-field
        field="seat-bottom"
        label="Bottom of the port"
        [options]="bottoms"
        [value]="null"
        none="not checked"
        (changed)="set({ bottom: $event || null })"
      />
      <fl-select-field
        field="seat-nut"
        label="Old nut"
        [options]="nuts"
        [value]="null"
        none="not checked"
        (changed)="set({ nut: $event || null })"
      />
      <fl-optional-number-field
        label="Cone angle to the axis, °"
        none="not measured"
        [least]="1"
        [most]="89"
        [value]="coneDeg()"
        (changed)="set({ coneDeg: $event })"
      />
      <fl-select-field
        field="seat-taper"
        label="Thread over ten turns"
        [options]="tapers"
        [value]="null"
        none="not measured"
        (changed)="setTaper($event)"
      />
    </div>
    @if (asked()) {
      <ul class="mt-2" aria-label="Possible seats">
        @for (one of found().candidates; track one.seat) {
          <li>
            <button type="button" class="link" (click)="picked.emit(one.seat)">
              {{ names[one.seat] }}
            </button>
            <span class="ml-2 text-sm text-ink-soft">{{ one.fits.join(', ') }}</span>
          </li>
        } @empty {
          <li class="text-sm">No seat fits all these answers. Check the port again.</li>
        }
      </ul>
    }
    @if (found().next; as next) {
      <p class="mt-1 text-sm">{{ next }}</p>
    }
  `,
})
export class SeatFinder {
  protected readonly bottoms = [
    ['rises', 'rises toward the middle'],
    ['dips', 'dips toward the middle'],
    ['flat', 'flat or drilled through'],
  ] as const;
  protected readonly nuts = [
    ['threaded-to-end', 'threaded to the end'],
    ['shoulder', 'plain shoulder at the end'],
  ] as const;
  protected readonly tapers = [
    ['yes', 'gets larger (taper)'],
    ['no', 'stays the same (parallel)'],
  ] as const;
  readonly picked = output<SeatForm>();
  protected readonly names = SEAT_NAMES;
  private readonly answers = signal<SeatAnswers>({
    bottom: null,
    nut: null,
    coneDeg: null,
    taper: null,
  });
  protected readonly coneDeg = computed(() => this.answers().coneDeg);
  protected readonly found = computed(() => seatFrom(this.answers()));
  protected readonly asked = computed(() =>
    Object.values(this.answers()).some((answer) => answer !== null),
  );

  protected set(patch: Partial<SeatAnswers>): void {
    this.answers.update((answers) => ({ ...answers, ...patch }));
  }
  protected setTaper(value: string): void {
    this.set({ taper: value === '' ? null : value === 'yes' });
  }
}
