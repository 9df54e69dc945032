import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import type { Thing } from '@firm-line/core/shape/obstacles';
import { kingpinAxis, kingpinLean, STILL, type Motion } from '@firm-line/core/shape/rod';
import { MOTION } from '@firm-line/core/plan';
import type { Vec3 } from '@firm-line/core/lib/vec';
import { CheckField } from '../../../kit/fields/check-field';
import { FieldOf } from '../../../kit/fields/field';
import { LengthField } from '../../../kit/fields/length-field';
import { NumberField } from '../../../kit/fields/number-field';
import { SelectField } from '../../../kit/fields/select-field';
import { VectorField } from '../../../kit/fields/vector-field';
import { PlanStore } from '../../../session/plan-store';

/** A new hose's end, to begin with: still, and ready to go so far up and down. */
export const AT_FIRST: Motion = { ...STILL, heaveMm: [-50, 50] };
type Steer = NonNullable<Motion['steer']>;
type Lean = ReturnType<typeof kingpinLean>;
/** How far inboard of a wheel its arm swings, as a share of the way to the middle. A guess to begin with. */
const INBOARD = 0.3;

/** How an end moves with a thing of the vehicle, to begin with: its own travel, a kingpin that stands upright. */
function motionWith({ kind, travel, shape }: Thing): Motion {
  const { heaveMm, rollDeg, lockDeg, aboutMm } = travel!;
  const measuredAtMm = shape.kind === 'wheel' ? shape.centreMm : aboutMm;
  const steer =
    lockDeg > 0
      ? { aboutMm, axis: [0, 0, 1] as Vec3, lockDeg: [-lockDeg, lockDeg] as const }
      : null;
  const common = { ...AT_FIRST, heaveMm, measuredAtMm, steer };
  if (kind === 'axle') return { ...common, kind: 'axle', rollDeg, aboutMm };
  return {
    ...common,
    kind: 'corner',
    aboutMm: [measuredAtMm[0], measuredAtMm[1] * INBOARD, measuredAtMm[2]],
  };
}

const called = (name: string): string[] => ['x', 'y', 'z'].map((axis) => `${name} ${axis}`);

/** How the moving end of a hose travels: with an axle or a corner, steered or not, or not at all. */
@Component({
  selector: 'fl-hose-motion',
  imports: [CheckField, FieldOf, LengthField, NumberField, SelectField, VectorField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <fieldset class="rounded-lg border border-rule p-3 sm:col-span-4">
      <legend class="px-1 font-semibold">How end B moves</legend>
      <div class="grid grid-cols-2 gap-2 sm:grid-cols-6">
        <fl-select-field
          class="col-span-2"
          field="hose-with"
          label="Copy movement from"
          none="choose…"
          [options]="movers()"
          (changed)="moveWith($event)"
        />
        <fl-field
          class="col-span-2"
          [of]="motionFields.kind"
          field="hose-kind"
          [value]="motion().kind"
          (changed)="set({ kind: $event })"
        />
        @if (motion().kind !== 'still') {
          <fl-length-field
            label="Droop, down"
            [leastMm]="0"
            [mostMm]="2000"
            [valueMm]="-motion().heaveMm[0]"
            (changed)="set({ heaveMm: [-$event, motion().heaveMm[1]] })"
          />
          <fl-length-field
            label="Bump, up"
            [leastMm]="0"
            [mostMm]="2000"
            [valueMm]="motion().heaveMm[1]"
            (changed)="set({ heaveMm: [motion().heaveMm[0], $event] })"
          />
          <fl-vector-field
            [labels]="motion().kind === 'axle' ? about.axle : about.corner"
            [valueMm]="motion().aboutMm"
            (changed)="set({ aboutMm: $event })"
          />
          @if (motion().kind === 'axle') {
            <fl-field
              [of]="motionFields.rollDeg"
              [value]="motion().rollDeg"
              (changed)="set({ rollDeg: $event })"
            />
          } @else {
            <fl-vector-field
              [labels]="about.wheel"
              [valueMm]="motion().measuredAtMm"
              (changed)="set({ measuredAtMm: $event })"
            />
          }
          <fl-check-field
            class="col-span-2 self-end"
            label="Steers"
            [checked]="motion().steer !== null"
            (changed)="setSteers($event)"
          />
          @if (motion().steer; as steer) {
            <fl-number-field
              label="Lock left, °"
              [most]="80"
              [value]="-steer.lockDeg[0]"
              (changed)="
                set({
                  steer: {
                    aboutMm: steer.aboutMm,
                    axis: steer.axis,
                    lockDeg: [-$event, steer.lockDeg[1]],
                  },
                })
              "
            />
            <fl-number-field
              label="Lock right, °"
              [most]="80"
              [value]="steer.lockDeg[1]"
              (changed)="
                set({
                  steer: {
                    aboutMm: steer.aboutMm,
                    axis: steer.axis,
                    lockDeg: [steer.lockDeg[0], $event],
                  },
                })
              "
            />
            <fl-vector-field
              [labels]="about.kingpin"
              [valueMm]="steer.aboutMm"
              (changed)="
                set({
                  steer: { aboutMm: $event, axis: steer.axis, lockDeg: steer.lockDeg },
                })
              "
            />
            <fl-number-field
              label="Top leans back, °"
              [least]="-45"
              [most]="45"
              [value]="round(lean(steer).backDeg)"
              (changed)="setLean({ backDeg: $event })"
            />
            <fl-number-field
              label="Top leans in, °"
              [least]="-45"
              [most]="45"
              [value]="round(lean(steer).inwardDeg)"
              (changed)="setLean({ inwardDeg: $event })"
            />
          }
          <fl-field
            [of]="motionFields.floatMm"
            [value]="motion().floatMm"
            (changed)="set({ floatMm: $event })"
          />
        }
      </div>
    </fieldset>
  `,
})
export class HoseMotion {
  private readonly store = inject(PlanStore);
  readonly motion = input.required<Motion>();
  /** What of it was changed. */
  readonly changed = output<Partial<Motion>>();
  protected readonly motionFields = MOTION.fields;
  protected readonly about = {
    axle: called('Rolls about'),
    corner: called('Swings about'),
    wheel: called('Wheel center'),
    kingpin: called('Kingpin position'),
  };
  protected readonly movers = computed(() =>
    this.store
      .plan()
      .things.filter(({ travel, kind }) => travel && (kind === 'wheel' || kind === 'axle')),
  );

  protected set(patch: Partial<Motion>): void {
    this.changed.emit(patch);
  }
  protected setSteers(steers: boolean): void {
    const { measuredAtMm } = this.motion();
    this.set({
      steer: steers ? { aboutMm: measuredAtMm, axis: [0, 0, 1], lockDeg: [-30, 30] } : null,
    });
  }
  protected lean({ axis, aboutMm }: Steer): Lean {
    return kingpinLean(axis, aboutMm[1]);
  }
  protected setLean(to: Partial<Lean>): void {
    const steer = this.motion().steer!;
    const { backDeg, inwardDeg } = { ...this.lean(steer), ...to };
    this.set({
      steer: { ...steer, axis: kingpinAxis(backDeg, inwardDeg, steer.aboutMm[1]) },
    });
  }
  protected round(deg: number): number {
    return Math.round(deg * 100) / 100;
  }
  protected moveWith(id: string): void {
    const thing = this.movers().find((one) => one.id === id);
    if (thing) this.set(motionWith(thing));
  }
}
