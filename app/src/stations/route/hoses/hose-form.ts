import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  signal,
  viewChild,
} from '@angular/core';
import { type Thing } from '@firm-line/core/shape/obstacles';
import { kingpinAxis, kingpinLean, type Motion } from '@firm-line/core/shape/rod';
import { HOSE, HOSE_END, MOTION, freshId, type Hose, type HoseEnd } from '@firm-line/core/plan';
import { HOSE_FITTINGS, HOSES } from '@firm-line/core/trade/stock';
import { distance, scale, unit, type Vec3 } from '@firm-line/core/lib/vec';
import { LengthField } from '../../../kit/fields/length-field';
import { NumberField } from '../../../kit/fields/number-field';
import { SelectField } from '../../../kit/fields/select-field';
import { PlanStore } from '../../../session/plan-store';
import { Selection } from '../../../session/selection';
import { CheckField } from '../../../kit/fields/check-field';
import { focusFirstInvalid } from '../../../kit/fields/focus-first-invalid';
import { Dialog } from '../../../kit/dialog';
import { VectorField } from '../../../kit/fields/vector-field';
import { FieldOf } from '../../../kit/fields/field';

const STILL: Motion = {
  kind: 'still',
  heaveMm: [-50, 50],
  aboutMm: [0, 0, 0],
  axis: [1, 0, 0],
  measuredAtMm: [0, 0, 0],
  rollDeg: 0,
  steer: null,
  floatMm: 0,
  floatAxis: [0, 1, 0],
};
const END: HoseEnd = {
  portId: null,
  through: false,
  atMm: [0, 0, 0],
  direction: [0, 1, 0],
  fittingId: 'straight-swivel',
  turnDeg: 0,
};
type Steer = NonNullable<Motion['steer']>;
type Lean = ReturnType<typeof kingpinLean>;
const WAYS: Readonly<Record<string, Vec3>> = {
  forward: [-1, 0, 0],
  aft: [1, 0, 0],
  left: [0, -1, 0],
  right: [0, 1, 0],
  down: [0, 0, -1],
  up: [0, 0, 1],
};
const ASLANT = 'aslant, as it is';
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
  const common = { ...STILL, heaveMm, measuredAtMm, steer };
  if (kind === 'axle') return { ...common, kind: 'axle', rollDeg, aboutMm };
  return {
    ...common,
    kind: 'corner',
    aboutMm: [measuredAtMm[0], measuredAtMm[1] * INBOARD, measuredAtMm[2]],
  };
}

const called = (name: string): string[] => ['x', 'y', 'z'].map((axis) => `${name} ${axis}`);

/** What a hose is and what it hangs between. It becomes the plan's with Keep. */
@Component({
  selector: 'fl-hose-form',
  imports: [CheckField, Dialog, FieldOf, LengthField, NumberField, SelectField, VectorField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <fl-dialog
      #dialog
      look="w-[min(60rem,94vw)] p-6"
      [label]="isNew() ? 'New hose' : 'Hose details'"
    >
      @if (draft(); as hose) {
        <form (submit)="keep($event)">
          <h2 class="text-xl font-bold">{{ isNew() ? 'New hose' : 'Hose ' + hose.name }}</h2>
          <div class="mt-3 grid gap-3 sm:grid-cols-4">
            <fl-field
              [of]="fields.name"
              field="hose-name"
              [value]="hose.name"
              (changed)="set({ name: $event })"
            />
            <fl-field
              class="sm:col-span-2"
              [of]="fields.title"
              field="hose-title"
              [value]="hose.title"
              (changed)="set({ title: $event })"
            />
            <fl-field
              [of]="fields.circuitId"
              field="hose-circuit"
              [options]="circuits()"
              [value]="hose.circuitId"
              (changed)="set({ circuitId: $event })"
            />
            <fl-field
              [of]="fields.service"
              field="hose-service"
              [value]="hose.service"
              (changed)="set({ service: $event })"
            />
            <fl-field
              [of]="fields.stockId"
              field="hose-stock"
              [options]="stock"
              [value]="hose.stockId"
              (changed)="set({ stockId: $event })"
            />
            <fl-field
              [of]="fields.orderMm"
              [value]="hose.orderMm"
              (changed)="set({ orderMm: $event })"
            />
            <fl-field
              [of]="fields.madeOn"
              field="hose-made"
              placeholder="2026-03"
              [mono]="true"
              [value]="hose.madeOn ?? ''"
              (changed)="set({ madeOn: $event || null })"
            />
            @for (end of ends; track end) {
              <fieldset class="rounded-lg border border-rule p-3 sm:col-span-2">
                <legend class="px-1 font-semibold">
                  {{ end === 'a' ? 'End A, stays with the frame' : 'End B, moves' }}
                </legend>
                <div class="grid grid-cols-3 gap-2">
                  <fl-field
                    class="col-span-3"
                    [of]="endFields.portId"
                    label="Stands at"
                    [field]="'hose-port-' + end"
                    [options]="ports()"
                    none="a place of its own"
                    [value]="hose.ends[end].portId"
                    (changed)="setPort(end, $event || null)"
                  />
                  @if (hose.ends[end].portId) {
                    <fl-field
                      class="col-span-3"
                      [of]="endFields.through"
                      [value]="hose.ends[end].through"
                      (changed)="setEnd(end, { through: $event })"
                    />
                  } @else {
                    <fl-vector-field
                      [valueMm]="hose.ends[end].atMm"
                      (changed)="setEnd(end, { atMm: $event })"
                    />
                    <fl-select-field
                      class="col-span-3"
                      [field]="'hose-way-' + end"
                      label="Its thread points"
                      [options]="ways"
                      [value]="wayOf(hose.ends[end].direction)"
                      (changed)="setWay(end, $event)"
                    />
                  }
                  <fl-field
                    class="col-span-2"
                    [of]="endFields.fittingId"
                    [field]="'hose-fitting-' + end"
                    [options]="fittings"
                    [value]="hose.ends[end].fittingId"
                    (changed)="setEnd(end, { fittingId: $event })"
                  />
                  <fl-field
                    [of]="endFields.turnDeg"
                    [value]="hose.ends[end].turnDeg"
                    (changed)="setEnd(end, { turnDeg: $event })"
                  />
                </div>
              </fieldset>
            }
            <fl-field
              [of]="fields.fixing"
              field="hose-fixing"
              [value]="hose.fixing"
              (changed)="set({ fixing: $event })"
            />
            <fl-field
              class="self-end"
              [of]="fields.locked"
              [value]="hose.locked"
              (changed)="set({ locked: $event })"
            />
            @if (hose.service === 'pressure') {
              <fl-field
                class="self-end"
                [of]="fields.madeUp"
                [value]="hose.madeUp ?? false"
                (changed)="set({ madeUp: $event })"
              />
            }
            @if (hose.service === 'feed') {
              <fl-field
                class="self-end"
                [of]="fields.gauze"
                [value]="hose.gauze"
                (changed)="set({ gauze: $event })"
              />
            }
            <fieldset class="rounded-lg border border-rule p-3 sm:col-span-4">
              <legend class="px-1 font-semibold">How end B moves</legend>
              <div class="grid grid-cols-2 gap-2 sm:grid-cols-6">
                <fl-select-field
                  class="col-span-2"
                  field="hose-with"
                  label="As this moves"
                  none="choose to fill in…"
                  [options]="movers()"
                  (changed)="moveWith($event)"
                />
                <fl-field
                  class="col-span-2"
                  [of]="motionFields.kind"
                  field="hose-kind"
                  [value]="hose.motion.kind"
                  (changed)="setMotion({ kind: $event })"
                />
                @if (hose.motion.kind !== 'still') {
                  <fl-length-field
                    label="Droop, down"
                    [leastMm]="0"
                    [mostMm]="2000"
                    [valueMm]="-hose.motion.heaveMm[0]"
                    (changed)="setMotion({ heaveMm: [-$event, hose.motion.heaveMm[1]] })"
                  />
                  <fl-length-field
                    label="Bump, up"
                    [leastMm]="0"
                    [mostMm]="2000"
                    [valueMm]="hose.motion.heaveMm[1]"
                    (changed)="setMotion({ heaveMm: [hose.motion.heaveMm[0], $event] })"
                  />
                  <fl-vector-field
                    [labels]="hose.motion.kind === 'axle' ? about.axle : about.corner"
                    [valueMm]="hose.motion.aboutMm"
                    (changed)="setMotion({ aboutMm: $event })"
                  />
                  @if (hose.motion.kind === 'axle') {
                    <fl-field
                      [of]="motionFields.rollDeg"
                      [value]="hose.motion.rollDeg"
                      (changed)="setMotion({ rollDeg: $event })"
                    />
                  } @else {
                    <fl-vector-field
                      [labels]="about.wheel"
                      [valueMm]="hose.motion.measuredAtMm"
                      (changed)="setMotion({ measuredAtMm: $event })"
                    />
                  }
                  <fl-check-field
                    class="col-span-2 self-end"
                    label="it steers"
                    [checked]="hose.motion.steer !== null"
                    (changed)="setSteers($event)"
                  />
                  @if (hose.motion.steer; as steer) {
                    <fl-number-field
                      label="Lock left, °"
                      [most]="80"
                      [value]="-steer.lockDeg[0]"
                      (changed)="
                        setMotion({
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
                        setMotion({
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
                        setMotion({
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
                    [value]="hose.motion.floatMm"
                    (changed)="setMotion({ floatMm: $event })"
                  />
                }
              </div>
            </fieldset>
          </div>
          <div class="mt-4 flex flex-wrap justify-end gap-2">
            @if (!isNew()) {
              <button type="button" class="btn mr-auto" (click)="remove()">Delete hose</button>
            }
            <button type="button" class="btn" (click)="dialog.close()">Cancel</button>
            <button type="submit" class="btn-main">{{ isNew() ? 'Make the hose' : 'Keep' }}</button>
          </div>
        </form>
      }
    </fl-dialog>
  `,
})
export class HoseForm {
  protected readonly fields = HOSE.fields;
  protected readonly endFields = HOSE_END.fields;
  protected readonly motionFields = MOTION.fields;
  protected readonly motion = MOTION.fields;
  private readonly store = inject(PlanStore);
  private readonly selection = inject(Selection);
  private readonly dialog = viewChild.required<Dialog>('dialog');
  protected readonly draft = signal<Hose | null>(null);
  protected readonly isNew = signal(false);
  protected readonly stock = HOSES;
  protected readonly fittings = HOSE_FITTINGS;
  protected readonly ends = ['a', 'b'] as const;
  protected readonly about = {
    axle: called('Rolls about'),
    corner: called('Swings about'),
    wheel: called('Wheel centre'),
    kingpin: called('Kingpin at'),
  };
  protected readonly ways = Object.keys(WAYS).map((way) => [way, way] as const);
  protected readonly circuits = computed(() => this.store.plan().circuits);
  protected readonly movers = computed(() =>
    this.store
      .plan()
      .things.filter(({ travel, kind }) => travel && (kind === 'wheel' || kind === 'axle')),
  );
  protected readonly ports = computed(() =>
    [...this.store.view().ports.values()]
      .filter(({ port }) => port.role !== 'bleeder')
      .map(({ part, port }) => ({ id: port.id, name: `${part.name}, ${port.name}` })),
  );

  openNew(): void {
    const plan = this.store.plan();
    const names = new Set(plan.hoses.map((hose) => hose.name));
    const name = Array.from({ length: plan.hoses.length + 1 }, (_, i) => `H${i + 1}`).find(
      (n) => !names.has(n),
    )!;
    this.open(true, {
      id: freshId(plan, 'hose'),
      name,
      title: '',
      circuitId: plan.circuits[0]!.id,
      stockId: 'ptfe-3',
      service: 'pressure',
      ends: {
        a: { ...END, fittingId: 'bulkhead' },
        b: { ...END, atMm: [200, 0, -100], direction: [0, 0, 1], fittingId: 'banjo' },
      },
      orderMm: 400,
      motion: STILL,
      fixing: 'bracket',
      locked: true,
      gauze: false,
      madeOn: null,
    });
  }
  openOn(hose: Hose): void {
    this.open(false, hose);
  }
  private open(isNew: boolean, hose: Hose): void {
    this.isNew.set(isNew);
    this.draft.set(hose);
    this.dialog().show();
  }

  protected set(patch: Partial<Hose>): void {
    this.draft.update((hose) => hose && { ...hose, ...patch });
  }
  protected setEnd(end: 'a' | 'b', patch: Partial<HoseEnd>): void {
    this.draft.update(
      (hose) => hose && { ...hose, ends: { ...hose.ends, [end]: { ...hose.ends[end], ...patch } } },
    );
  }
  protected setMotion(patch: Partial<Motion>): void {
    this.draft.update((hose) => hose && { ...hose, motion: { ...hose.motion, ...patch } });
  }
  /** An end taken off its port stays where that was and points where it pointed. */
  protected setPort(end: 'a' | 'b', portId: string | null): void {
    const at = this.store.view().ports.get(portId ?? this.draft()!.ends[end].portId ?? '');
    const { through, atMm, direction } = this.draft()!.ends[end];
    const own = at
      ? {
          atMm: at.fixed.atMm,
          direction: through ? scale(at.port.direction, -1) : at.port.direction,
        }
      : { atMm, direction };
    this.setEnd(end, {
      portId,
      through: portId !== null && (through || at?.port.name.includes('bracket') === true),
      ...own,
    });
  }
  protected setSteers(steers: boolean): void {
    const { measuredAtMm } = this.draft()!.motion;
    this.setMotion({
      steer: steers ? { aboutMm: measuredAtMm, axis: [0, 0, 1], lockDeg: [-30, 30] } : null,
    });
  }
  protected lean({ axis, aboutMm }: Steer): Lean {
    return kingpinLean(axis, aboutMm[1]);
  }
  protected setLean(to: Partial<Lean>): void {
    const steer = this.draft()!.motion.steer!;
    const { backDeg, inwardDeg } = { ...this.lean(steer), ...to };
    this.setMotion({
      steer: { ...steer, axis: kingpinAxis(backDeg, inwardDeg, steer.aboutMm[1]) },
    });
  }
  protected round(deg: number): number {
    return Math.round(deg * 100) / 100;
  }
  protected moveWith(id: string): void {
    const thing = this.movers().find((one) => one.id === id);
    if (thing) this.draft.update((hose) => hose && { ...hose, motion: motionWith(thing) });
  }
  /** Which way a direction points; one that is square to nothing keeps its words, and is kept until another is chosen. */
  protected wayOf(direction: Vec3): string {
    const along = unit(direction);
    return Object.keys(WAYS).find((way) => along && distance(along, WAYS[way]!) < 1e-6) ?? ASLANT;
  }
  protected setWay(end: 'a' | 'b', way: string): void {
    if (WAYS[way]) this.setEnd(end, { direction: WAYS[way] });
  }

  protected keep(event: Event): void {
    event.preventDefault();
    if (focusFirstInvalid(event)) return;
    const hose = this.draft()!;
    const made = this.isNew()
      ? this.store.apply({ edit: 'addHose', with: { hose } })
      : this.store.apply({ edit: 'changeHose', with: { id: hose.id, patch: hose } });
    if (!made) return;
    this.selection.chooseHose(hose.id);
    this.dialog().close();
  }
  protected remove(): void {
    this.store.apply({ edit: 'removeHose', with: { id: this.draft()!.id } });
    this.dialog().close();
  }
}
