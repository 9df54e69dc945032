import { ChangeDetectionStrategy, Component, inject, input, signal } from '@angular/core';
import {
  received,
  sellerWords,
  type ListItem,
  type ListRow,
} from '@firm-line/core/stations/make/buying';
import { ORDER, type Order, type OrderState } from '@firm-line/core/plan';
import { FieldOf } from '../../kit/fields/field';
import { OptionalNumberField } from '../../kit/fields/optional-number-field';
import { Jump } from '../../session/jump';
import { PlanStore } from '../../session/plan-store';
import { today } from '../../kit/today';

/** Details of one item on the shopping list: its order, the wording for the seller, a check of the thread that arrived. */
@Component({
  selector: 'fl-list-entry',
  imports: [FieldOf, OptionalNumberField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let item = row().item;
    @let state = row().order;
    <div class="grid gap-3 rounded-lg bg-paper p-4 sm:grid-cols-3 lg:grid-cols-6">
      <fl-field
        [of]="fields.have"
        [label]="'On hand, ' + units[item.unit]"
        [value]="state.have"
        (changed)="order({ have: $event })"
      />
      <fl-field
        [of]="fields.state"
        [field]="'state-' + item.key"
        [value]="state.state"
        (changed)="stand($event)"
      />
      <fl-field
        [of]="fields.from"
        [field]="'from-' + item.key"
        [value]="state.from"
        (changed)="order({ from: $event })"
      />
      <fl-field
        [of]="fields.due"
        [field]="'due-' + item.key"
        [value]="state.due"
        (changed)="order({ due: $event })"
      />
      <fl-optional-number-field
        [label]="'Unit price ' + ones[item.unit]"
        [most]="1e7"
        [value]="state.priceMinor === null ? null : state.priceMinor / 100"
        (changed)="
          order({
            priceMinor: $event === null ? null : round($event * 100),
          })
        "
      />
      <fl-field
        [of]="fields.note"
        [field]="'note-' + item.key"
        [value]="state.note"
        (changed)="order({ note: $event })"
      />
      <p class="text-sm sm:col-span-3 lg:col-span-6"><strong>To read out:</strong> {{ words() }}</p>
      @if (item.half) {
        <div class="flex flex-wrap items-end gap-3 sm:col-span-3 lg:col-span-6">
          <fl-optional-number-field
            label="Received: diameter over the thread, mm"
            unit="number"
            [most]="100"
            [value]="measured().diameterMm"
            (changed)="measure({ diameterMm: $event })"
          />
          <fl-optional-number-field
            label="Received: pitch, mm"
            unit="number"
            [most]="10"
            [value]="measured().pitchMm"
            (changed)="measure({ pitchMm: $event })"
          />
          @if (measured().diameterMm !== null) {
            <p class="pb-2" role="status" data-test="received" [class.fault]="!check().ok">
              {{ check().text }}
            </p>
          }
        </div>
      }
      <div class="flex flex-wrap gap-2 sm:col-span-3 lg:col-span-6">
        @for (use of item.uses; track $index) {
          <button type="button" class="link text-sm" (click)="go(use)">
            {{ use.text }}
          </button>
        }
        @if (item.group === 'Your own') {
          <button type="button" class="btn" (click)="removeOwn()">Remove {{ item.name }}</button>
        }
      </div>
    </div>
  `,
})
export class ListEntry {
  private readonly store = inject(PlanStore);
  private readonly jump = inject(Jump);
  readonly row = input.required<ListRow>();
  protected readonly fields = ORDER.fields;
  protected readonly units = { piece: 'pieces', m: 'm', mL: 'mL' } as const;
  protected readonly ones = { piece: 'piece', m: 'metre', mL: 'litre' } as const;
  protected readonly round = Math.round;

  protected readonly measured = signal<{
    readonly diameterMm: number | null;
    readonly pitchMm: number | null;
  }>({ diameterMm: null, pitchMm: null });

  protected order(patch: Partial<Order>): void {
    this.store.apply({ edit: 'updateOrder', with: { key: this.row().item.key, patch } });
  }
  /** What has come counts as at hand; what is ordered today says so. */
  protected stand(state: OrderState): void {
    const { item, order, toBuy } = this.row();
    this.order({
      state,
      ...(state === 'ordered' && !order.on ? { on: today() } : {}),
      ...(order.state === 'needed' && state !== 'needed' ? { bought: toBuy } : {}),
      ...(state === 'here' ? { have: Math.max(order.have, item.count) } : {}),
    });
  }
  protected words(): string {
    return sellerWords(this.row());
  }
  protected measure(patch: Partial<{ diameterMm: number | null; pitchMm: number | null }>): void {
    this.measured.update((now) => ({ ...now, ...patch }));
  }
  protected check(): { ok: boolean; text: string } {
    const { diameterMm, pitchMm } = this.measured();
    return received(this.row().item, diameterMm!, pitchMm);
  }
  protected go({ place }: ListItem['uses'][number]): void {
    this.jump.to(place.kind === 'line' || place.kind === 'hose' ? 'route' : 'plumb', place);
  }
  protected removeOwn(): void {
    const { key } = this.row().item;
    const id = key.slice('own:'.length);
    this.store.apply({ edit: 'removeOwnItemAndOrder', with: { id, key } });
  }
}
