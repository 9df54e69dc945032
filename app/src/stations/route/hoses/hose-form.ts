import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  signal,
  viewChild,
} from '@angular/core';
import type { Motion } from '@firm-line/core/shape/rod';
import { HOSE, HOSE_END, freshHoseName, type Hose, type HoseEnd } from '@firm-line/core/plan';
import { HOSE_FITTINGS, HOSES } from '@firm-line/core/trade/stock';
import { distance, scale, unit, type Vec3 } from '@firm-line/core/lib/vec';
import { SelectField } from '../../../kit/fields/select-field';
import { PlanStore } from '../../../session/plan-store';
import { Selection } from '../../../session/selection';
import { focusFirstInvalid } from '../../../kit/fields/focus-first-invalid';
import { Dialog } from '../../../kit/dialog';
import { VectorField } from '../../../kit/fields/vector-field';
import { FieldOf } from '../../../kit/fields/field';
import { AT_FIRST, HoseMotion } from './hose-motion';

const END: HoseEnd = {
  portId: null,
  through: false,
  atMm: [0, 0, 0],
  direction: [0, 1, 0],
  fittingId: 'straight-swivel',
  turnDeg: 0,
};
const NAMED_WAYS: Readonly<Record<string, Vec3>> = {
  forward: [-1, 0, 0],
  aft: [1, 0, 0],
  left: [0, -1, 0],
  right: [0, 1, 0],
  down: [0, 0, -1],
  up: [0, 0, 1],
};
const ASLANT = 'at an angle, as entered';
/** What a hose is and what it hangs between. It becomes the plan's with Keep. */
@Component({
  selector: 'fl-hose-form',
  imports: [Dialog, FieldOf, HoseMotion, SelectField, VectorField],
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
                  {{ end === 'a' ? 'End A, fixed to the frame' : 'End B, moves' }}
                </legend>
                <div class="grid grid-cols-3 gap-2">
                  <fl-field
                    class="col-span-3"
                    [of]="endFields.portId"
                    label="Position"
                    [field]="'hose-port-' + end"
                    [options]="ports()"
                    none="its own position"
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
                      label="Thread points"
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
            <fl-hose-motion
              class="sm:col-span-4"
              [motion]="hose.motion"
              (changed)="setMotion($event)"
            />
          </div>
          <div class="mt-4 flex flex-wrap justify-end gap-2">
            @if (!isNew()) {
              <button type="button" class="btn mr-auto" (click)="remove()">Delete hose</button>
            }
            <button type="button" class="btn" (click)="dialog.close()">Cancel</button>
            <button type="submit" class="btn-main">{{ isNew() ? 'Add hose' : 'Save' }}</button>
          </div>
        </form>
      }
    </fl-dialog>
  `,
})
export class HoseForm {
  protected readonly fields = HOSE.fields;
  protected readonly endFields = HOSE_END.fields;
  private readonly store = inject(PlanStore);
  private readonly selection = inject(Selection);
  private readonly dialog = viewChild.required<Dialog>('dialog');
  protected readonly draft = signal<Hose | null>(null);
  protected readonly isNew = signal(false);
  protected readonly stock = HOSES;
  protected readonly fittings = HOSE_FITTINGS;
  protected readonly ends = ['a', 'b'] as const;
  protected readonly ways = Object.keys(NAMED_WAYS).map((way) => [way, way] as const);
  protected readonly circuits = computed(() => this.store.plan().circuits);
  protected readonly ports = computed(() =>
    [...this.store.view().ports.values()]
      .filter(({ port }) => port.role !== 'bleeder')
      .map(({ part, port }) => ({ id: port.id, name: `${part.name}, ${port.name}` })),
  );

  openNew(): void {
    const plan = this.store.plan();
    this.open(true, {
      id: this.store.freshId('hose'),
      name: freshHoseName(plan),
      title: '',
      circuitId: plan.circuits[0]!.id,
      stockId: 'ptfe-3',
      service: 'pressure',
      ends: {
        a: { ...END, fittingId: 'bulkhead' },
        b: { ...END, atMm: [200, 0, -100], direction: [0, 0, 1], fittingId: 'banjo' },
      },
      orderMm: 400,
      motion: AT_FIRST,
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
  /** Which way a direction points; one that is square to nothing keeps its words, and is kept until another is chosen. */
  protected wayOf(direction: Vec3): string {
    const along = unit(direction);
    return (
      Object.keys(NAMED_WAYS).find((way) => along && distance(along, NAMED_WAYS[way]!) < 1e-6) ??
      ASLANT
    );
  }
  protected setWay(end: 'a' | 'b', way: string): void {
    if (NAMED_WAYS[way]) this.setEnd(end, { direction: NAMED_WAYS[way] });
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
