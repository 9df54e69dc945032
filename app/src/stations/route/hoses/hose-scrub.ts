import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  inject,
  input,
  output,
  signal,
} from '@angular/core';
import { figure } from '@firm-line/core/lib/faults';
import type { HoseView } from '@firm-line/core/stations/route';
import { partOf, RIDE, type Pose } from '@firm-line/core/shape/rod';
import { formatLength } from '@firm-line/core/lib/units';
import { PlanStore } from '../../../session/plan-store';
import { RangeField } from '../../../kit/fields/range-field';

/** A full sweep down, up and from lock to lock takes this long, s. */
const SWEEP_S = 6;

/** Two sliders for travel and steering, a sweep that plays, and one tap to the worst state. */
@Component({
  selector: 'fl-hose-scrub',
  imports: [RangeField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <div
      class="card flex flex-wrap items-end gap-x-4 gap-y-1 px-4 py-2"
      role="group"
      aria-label="Travel"
    >
      @if (moves()) {
        <fl-range-field
          class="min-w-36 flex-1"
          field="hose-heave"
          label="Travel"
          [shown]="heaveWords()"
          [least]="-1"
          [most]="1"
          [step]="0.02"
          [value]="pose().heave"
          (slid)="set({ heave: $event })"
        />
        @if (side(); as one) {
          <fl-range-field
            class="min-w-36 flex-1"
            field="hose-lock"
            [label]="one.name"
            [shown]="one.words"
            [least]="-1"
            [most]="1"
            [step]="0.02"
            [value]="one.value"
            (slid)="setSide($event)"
          />
        }
        <button
          type="button"
          class="btn px-3"
          (click)="playing() ? stop() : play()"
          data-test="hose-play"
        >
          {{ playing() ? 'Stop' : 'Play the sweep' }}
        </button>
        <button
          type="button"
          class="btn px-3"
          (click)="worst()"
          [disabled]="!view().worst"
          data-test="hose-worst"
        >
          Show worst state
        </button>
      } @else {
        <p class="py-2 text-sm">This hose does not move: both ends are fixed.</p>
      }
    </div>
  `,
})
export class HoseScrub {
  private readonly store = inject(PlanStore);
  readonly view = input.required<HoseView>();
  readonly pose = input.required<Pose>();
  readonly posed = output<Pose>();
  /** Whether the sweep plays. */
  readonly played = output<boolean>();
  protected readonly playing = signal(false);
  private frame = 0;

  protected readonly motion = computed(() => this.view().hose.motion);
  protected readonly moves = computed(() => this.motion().kind !== 'still');
  protected readonly heaveWords = computed(() => {
    const { heave } = this.pose();
    const mm = partOf(heave, this.motion().heaveMm);
    return heave === 0
      ? 'ride'
      : `${formatLength(Math.abs(mm), this.store.units())} ${heave < 0 ? 'droop' : 'bump'}`;
  });
  protected readonly side = computed(() => {
    const { steer, kind, rollDeg } = this.motion();
    const { lock, roll } = this.pose();
    if (steer) {
      const deg = partOf(lock, steer.lockDeg);
      const words =
        lock === 0 ? 'straight' : `${figure(Math.abs(deg))}° ${lock < 0 ? 'left' : 'right'}`;
      return { name: 'Steering', value: lock, words };
    }
    if (kind !== 'axle' || rollDeg <= 0) return null;
    return {
      name: 'Roll',
      value: roll,
      words:
        roll === 0
          ? 'level'
          : `${figure(Math.abs(roll * rollDeg))}° ${roll < 0 ? 'left' : 'right'}`,
    };
  });

  constructor() {
    inject(DestroyRef).onDestroy(() => cancelAnimationFrame(this.frame));
  }
  protected set(patch: Partial<Pose>): void {
    this.posed.emit({ ...this.pose(), ...patch });
  }
  protected setSide(value: number): void {
    this.set(this.motion().steer ? { lock: value } : { roll: value });
  }
  protected worst(): void {
    this.stop();
    this.posed.emit(this.view().worst?.pose ?? RIDE);
  }
  protected play(): void {
    this.playing.set(true);
    this.played.emit(true);
    const start = performance.now();
    const step = (now: number): void => {
      const turn = ((now - start) / 1000 / SWEEP_S) * 2 * Math.PI;
      // Travel goes once round while the steering goes twice: every corner comes by.
      this.posed.emit({
        ...RIDE,
        heave: Math.sin(turn),
        ...(this.motion().steer
          ? { lock: Math.sin(2 * turn + 0.7) }
          : { roll: Math.sin(2 * turn + 0.7) }),
      });
      this.frame = requestAnimationFrame(step);
    };
    this.frame = requestAnimationFrame(step);
  }
  protected stop(): void {
    if (this.playing()) this.played.emit(false);
    this.playing.set(false);
    cancelAnimationFrame(this.frame);
  }
}
