import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import {
  isBrake,
  makesPressure,
  PART,
  PORT,
  toldOf,
  type Part,
  type Port,
} from '@firm-line/core/plan';
import { brakePlace, guessedPedal, servedBy } from '@firm-line/core/plan/network';
import { PlanStore } from '../../session/plan-store';
import { SelectField } from '../../kit/fields/select-field';
import { FieldOf } from '../../kit/fields/field';

/** What a part is for: the wheel, axle and side of a brake, what works a master, the wheels that a modulator's outlets serve. */
@Component({
  selector: 'fl-part-purpose-form',
  imports: [FieldOf, SelectField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'mt-3 grid gap-3' },
  template: `
    @if (isBrake()) {
      <fl-field
        [of]="fields.axle"
        field="part-axle"
        [value]="part().axle"
        [none]="'by its position' + inBrackets(place().axle)"
        (changed)="change({ axle: $event ?? null })"
      />
      <fl-field
        [of]="fields.side"
        field="part-side"
        [value]="part().side"
        [none]="'by its position' + inBrackets(place().side)"
        (changed)="change({ side: $event ?? null })"
      />
      <fl-select-field
        field="part-wheel"
        label="Wheel of this brake"
        [options]="wheels()"
        [value]="part().wheelId ?? null"
        none="the nearest one"
        (changed)="change({ wheelId: $event || null })"
      />
      @if (part().kind === 'wheel-cylinder') {
        <fl-field
          [of]="fields.leadingOn"
          field="part-leading"
          [value]="part().leadingOn"
          (changed)="change({ leadingOn: $event ?? null })"
        />
      }
      @if (part().kind === 'caliper') {
        <fl-field
          [of]="fields.slides"
          field="part-slides"
          [value]="part().slides"
          (changed)="change({ slides: $event ?? null })"
        />
      }
    }
    @if (pressing()) {
      <fl-field
        [of]="fields.pedal"
        field="part-pedal"
        [value]="part().pedal"
        [none]="'by circuit and name' + inBrackets(pedal())"
        (changed)="change({ pedal: $event ?? null })"
      />
    }
    @for (feed of feeds(); track feed.id) {
      <fl-field
        [of]="ports.takesPressure"
        [label]="feed.name + ' is made for brake pressure: another master may press through it'"
        [value]="feed.takesPressure ?? false"
        (changed)="changePort(feed, { takesPressure: $event ?? false })"
      />
    }
    @for (outlet of served(); track outlet.id) {
      <fl-field
        [of]="ports.serves"
        [field]="'serves-' + outlet.id"
        [label]="outlet.name + ' serves'"
        [value]="outlet.serves"
        [none]="'by its name' + inBrackets(named(outlet))"
        (changed)="changePort(outlet, { serves: $event ?? null })"
      />
    }
  `,
})
export class PartPurposeForm {
  private readonly store = inject(PlanStore);
  readonly part = input.required<Part>();
  protected readonly fields = PART.fields;
  protected readonly ports = PORT.fields;
  protected readonly isBrake = computed(() => isBrake(this.part()));
  protected readonly pressing = computed(() => makesPressure(this.part()));
  protected readonly place = computed(() =>
    brakePlace(
      { ...this.part(), axle: null, side: null },
      this.store.view().ports,
      this.store.plan().sizing?.wheelbaseMm ?? null,
    ),
  );
  protected readonly pedal = computed(() => {
    return toldOf(PART.fields.pedal).names?.[guessedPedal(this.part(), this.store.plan())] ?? null;
  });
  protected readonly wheels = computed(() =>
    this.store
      .plan()
      .things.filter(({ shape }) => shape.kind === 'wheel')
      .map(({ id, name }) => [id, name] as const),
  );
  protected readonly feeds = computed(() =>
    this.part().kind === 'master' ? this.part().ports.filter(({ role }) => role === 'feed') : [],
  );
  protected readonly served = computed(() =>
    this.part().kind === 'modulator'
      ? this.part().ports.filter(({ role }) => role === 'outlet')
      : [],
  );
  protected named(outlet: Port): string | null {
    const corner = servedBy({ ...outlet, serves: null });
    return corner && (toldOf(PORT.fields.serves).names?.[corner] ?? null);
  }
  protected inBrackets(words: string | null): string {
    return words ? ` (${words})` : '';
  }
  protected change(patch: Partial<Omit<Part, 'id'>>): void {
    this.store.apply({ edit: 'changePart', with: { id: this.part().id, patch } });
  }
  protected changePort({ id }: Port, patch: Partial<Port>): void {
    this.store.apply({ edit: 'changePort', with: { id, patch } });
  }
}
