import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { HUB_TABLE, type HubSchool } from '@firm-line/core/physics/wheel-ends';
import { askedField, PLAY_LIMITS, HUB_FIT, type HubFit, type WheelFit } from '@firm-line/core/plan';
import { EmptyState } from '../../kit/empty-state';
import { PlanStore } from '../../session/plan-store';
import { WheelEndsFacade } from './wheel-ends-facade';
import { WheelForm } from './wheel-form';
import { FieldOf } from '../../kit/fields/field';
import { Words } from '../../kit/words';

const UNMEASURED_WHEEL: Omit<WheelFit, 'key'> = {
  readings: null,
  spacerMm: 0,
  stacked: false,
  studs: null,
  hand: 'right',
};

/** Wheels over their calipers, studs and spacers; hub nuts by the school that fits. */
@Component({
  selector: 'fl-wheels-page',
  imports: [Words, EmptyState, FieldOf, WheelForm],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block p-5' },
  template: `
    <h2 class="text-2xl font-bold">Wheels</h2>
    <p class="mt-1 max-w-prose">
      Four readings show whether a wheel clears its caliper, before you buy it.
    </p>
    <div class="mt-4 grid gap-4 xl:grid-cols-2">
      @for (fit of fits(); track fit.key) {
        <fl-wheel-form [name]="fit.name" [fit]="fit" (changed)="put($event)" />
      } @empty {
        <fl-empty-state
          heading="No wheel"
          text="No wheels yet. Add them in Measure, on the Vehicle page."
        />
      }
    </div>
    <h2 class="mt-8 text-2xl font-bold">Hub nuts</h2>
    <div class="mt-2 overflow-x-auto">
      <table class="w-full text-left">
        <thead class="text-sm text-ink-soft">
          <tr>
            <th class="py-1 pr-3 font-normal">How</th>
            <th class="pr-3 font-normal">Method</th>
            <th class="pr-3 font-normal">For</th>
            <th class="font-normal">Watch for</th>
          </tr>
        </thead>
        <tbody>
          @for (row of table; track row.school) {
            <tr class="border-t border-rule align-top">
              <th class="py-2 pr-3">{{ row.name }}</th>
              <td class="py-2 pr-3"><fl-words [text]="row.how" /></td>
              <td class="py-2 pr-3">{{ row.fits }}</td>
              <td class="py-2">{{ row.beware }}</td>
            </tr>
          }
        </tbody>
      </table>
    </div>
    <p class="mt-2 font-semibold">
      The maker’s sheet comes before all three. A wheel that comes off kills.
    </p>
    @for (hub of hubs(); track hub.id) {
      <section class="card mt-4 p-5" [attr.aria-label]="hub.name">
        <div class="grid gap-3 sm:grid-cols-3">
          <fl-field
            [of]="fields.name"
            label="Hub"
            [field]="'hub-name-' + hub.id"
            [value]="hub.name"
            (changed)="change(hub.id, { name: $event })"
          />
          <fl-field
            [of]="fields.kind"
            [field]="'hub-kind-' + hub.id"
            [value]="hub.kind"
            (changed)="change(hub.id, { kind: $event })"
          />
          <fl-field
            [of]="fields.school"
            [field]="'hub-school-' + hub.id"
            [options]="schools"
            [value]="hub.school"
            (changed)="change(hub.id, { school: $event })"
          />
          <fl-field
            [of]="fields.endPlayMm"
            none="not measured"
            [value]="hub.endPlayMm"
            (changed)="change(hub.id, { endPlayMm: $event })"
          />
          <fl-field
            [of]="sheetFields.least"
            label="Sheet: least end play"
            none="no figure"
            [value]="hub.sheetMm?.least"
            (changed)="sheetPlay(hub, 'least', $event ?? null)"
          />
          <fl-field
            [of]="sheetFields.most"
            label="Sheet: most end play"
            none="no figure"
            [value]="hub.sheetMm?.most"
            (changed)="sheetPlay(hub, 'most', $event ?? null)"
          />
          <fl-field
            [of]="fields.newLock"
            [field]="'hub-lock-' + hub.id"
            [value]="hub.newLock"
            (changed)="change(hub.id, { newLock: $event })"
          />
        </div>
        <p class="mt-3 rounded-lg bg-paper px-4 py-2" role="status">{{ hub.words }}</p>
        <button type="button" class="btn mt-2" (click)="remove(hub.id)">
          Remove {{ hub.name }}
        </button>
      </section>
    }
    <button type="button" class="btn mt-4" (click)="add()">Add a hub</button>
  `,
})
export class WheelsPage {
  /** Either may be typed before the other. */
  protected readonly sheetFields = {
    least: askedField(PLAY_LIMITS.fields.least),
    most: askedField(PLAY_LIMITS.fields.most),
  };
  protected readonly fields = HUB_FIT.fields;
  private readonly store = inject(PlanStore);
  private readonly sheet = inject(WheelEndsFacade);
  protected readonly table = HUB_TABLE;
  protected readonly schools = HUB_TABLE.map(
    ({ school, name }) => [school, name] as const satisfies readonly [HubSchool, string],
  );
  protected readonly fits = computed(() =>
    this.store
      .plan()
      .things.filter(({ shape }) => shape.kind === 'wheel')
      .map(({ id, name }) => ({
        ...UNMEASURED_WHEEL,
        ...this.sheet.wheelEnds().wheels.find(({ key }) => key === id),
        key: id,
        name,
      })),
  );
  protected readonly hubs = computed(() =>
    this.sheet.wheelEnds().hubs.map((hub) => ({ ...hub, words: this.wordsOf(hub) })),
  );

  private wordsOf({ id, endPlayMm, newLock }: HubFit): string {
    const good = endPlayMm === null || newLock === null ? 'Not measured and locked yet.' : 'Good.';
    return this.sheet.said('hub-nut', id)[0] ?? good;
  }
  protected put(wheelFit: WheelFit): void {
    this.sheet.apply({ edit: 'putWheelFit', with: { wheelFit } });
  }
  protected add(): void {
    this.sheet.apply({
      edit: 'addHub',
      with: {
        hub: {
          id: this.sheet.freshId('hub'),
          name: `Hub ${this.sheet.wheelEnds().hubs.length + 1}`,
          kind: 'adjustable',
          school: 'end-play',
          endPlayMm: null,
          sheetMm: null,
          newLock: null,
        },
      },
    });
  }
  protected change(id: string, patch: Partial<Omit<HubFit, 'id'>>): void {
    this.sheet.apply({ edit: 'changeHub', with: { id, patch } });
  }
  protected sheetPlay(
    { id, sheetMm }: HubFit,
    which: 'least' | 'most',
    value: number | null,
  ): void {
    const other = which === 'least' ? sheetMm?.most : sheetMm?.least;
    if (value === null) this.change(id, { sheetMm: null });
    else
      this.change(id, {
        sheetMm:
          which === 'least'
            ? { least: value, most: Math.max(other ?? value, value) }
            : { least: Math.min(other ?? 0, value), most: value },
      });
  }
  protected remove(id: string): void {
    this.sheet.apply({ edit: 'removeHub', with: { id } });
  }
}
