import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { kitFindings, kitLacks, listView } from '@firm-line/core/stations/make/buying';
import {
  KIT_ASKS,
  KIT_CORNERS,
  type Buying,
  type Kit,
  type KitAsk,
  type KitCorner,
  KIT,
  KIT_ASK_RECORD,
  ASKS_OF_CORNERS,
  labelOf,
} from '@firm-line/core/plan';
import { viewPlan } from '@firm-line/core/plan/results';
import { EmptyState } from '../../kit/empty-state';
import { CheckField } from '../../kit/fields/check-field';
import { NumberField } from '../../kit/fields/number-field';
import { SelectField } from '../../kit/fields/select-field';
import { PlanStore } from '../../session/plan-store';
import { parseLength } from '@firm-line/core/lib/units';
import { FieldOf } from '../../kit/fields/field';
import { TextInput, type Read } from '../../kit/fields/text-input';

const readText = (text: string): Read<string> => ({ ok: true, value: text });
const readLength = (text: string): Read<string> => {
  const read = text ? parseLength(text) : null;
  return read && !read.ok ? read : readText(text);
};

/** A kit of brake parts before it is ordered: its figures beside what each corner of the vehicle measures, and what it brings. */
@Component({
  selector: 'fl-kits-page',
  imports: [CheckField, EmptyState, FieldOf, NumberField, SelectField, TextInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block p-5' },
  template: `
    <div class="flex flex-wrap items-end gap-3">
      <h2 class="mr-auto text-2xl font-bold">Before a kit is ordered</h2>
      <button type="button" class="btn" (click)="add()">Add a kit</button>
    </div>
    @for (kit of kits(); track kit.id) {
      <section class="card mt-4 p-5" [attr.aria-label]="kit.name">
        <div class="flex flex-wrap items-end gap-4">
          <fl-field
            class="min-w-48 flex-1"
            [of]="fields.name"
            label="Kit"
            [field]="'kit-name-' + kit.id"
            [value]="kit.name"
            (changed)="change(kit.id, { name: $event })"
          />
          <button type="button" class="btn" (click)="remove(kit.id)">Remove {{ kit.name }}</button>
        </div>
        <p
          class="mt-2 rounded-lg px-3 py-2"
          [class]="kit.differs.length ? 'bg-copper-pale' : 'bg-paper'"
          role="status"
          data-test="kit-verdict"
        >
          {{ kit.verdict }}
        </p>
        @for (text of kit.differs; track $index) {
          <p class="mt-1 font-semibold">{{ text }}</p>
        }
        <div class="mt-3 flex flex-wrap gap-x-6">
          @for (corner of corners; track corner) {
            <fl-check-field
              [label]="'for ' + names[corner]"
              [checked]="kit.corners[corner] !== undefined"
              (changed)="setCorner(kit, corner, $event)"
            />
          }
        </div>
        <div class="overflow-x-auto">
          <table class="mt-2 w-full text-left">
            <thead class="text-sm text-ink-soft">
              <tr>
                <th class="py-1 pr-3 font-normal">Dimension</th>
                <th class="pr-3 font-normal">Kit</th>
                @for (corner of kit.for; track corner) {
                  <th class="pr-3 font-normal">{{ names[corner] }}</th>
                }
              </tr>
            </thead>
            <tbody>
              @for (ask of asks; track ask) {
                <tr class="border-t border-rule">
                  <td class="py-1 pr-3">{{ askName(ask) }}</td>
                  <td class="py-1 pr-3">
                    <fl-text-input
                      [id]="kit.id + '-gives-' + ask"
                      [label]="'Kit: ' + askName(ask)"
                      [bare]="true"
                      placeholder="not entered"
                      [shown]="kit.gives[ask] ?? ''"
                      [most]="200"
                      [read]="reads(ask)"
                      (taken)="give(kit, ask, $event)"
                    />
                  </td>
                  @for (corner of kit.for; track corner) {
                    <td class="py-1 pr-3">
                      <fl-text-input
                        [id]="kit.id + '-' + corner + '-' + ask"
                        [label]="names[corner] + ': ' + askName(ask)"
                        [bare]="true"
                        placeholder="not measured"
                        [shown]="kit.corners[corner]?.[ask] ?? ''"
                        [most]="200"
                        [read]="reads(ask)"
                        (taken)="measure(kit, corner, ask, $event)"
                      />
                    </td>
                  }
                </tr>
              }
            </tbody>
          </table>
        </div>
        <h3 class="mt-4 font-bold">Kit contents</h3>
        @for (one of kit.brings; track one.key; let i = $index) {
          <div class="mt-1 flex flex-wrap items-end gap-3">
            <fl-select-field
              class="min-w-56 flex-1"
              [field]="kit.id + '-brings-' + i"
              label="Item on the list"
              [options]="things()"
              [value]="one.key"
              (changed)="bring(kit, i, { key: $event })"
            />
            <fl-number-field
              class="w-24"
              label="Quantity"
              [value]="one.count"
              (changed)="bring(kit, i, { count: $event })"
            />
            <button
              type="button"
              class="btn px-3"
              [attr.aria-label]="'Remove kit item ' + (i + 1)"
              (click)="unbring(kit, i)"
            >
              ×
            </button>
          </div>
        }
        <button
          type="button"
          class="btn mt-2"
          [disabled]="!things().length"
          (click)="bring(kit, kit.brings.length, {})"
        >
          Add kit item
        </button>
        @for (text of kit.lacks; track $index) {
          <p class="mt-1">{{ text }}</p>
        }
        <p class="mt-3 text-sm text-ink-soft">
          Measure left and right separately: axles get swapped, and studs can be left-hand on one
          side only. The maker’s sheet comes first.
        </p>
      </section>
    } @empty {
      <fl-empty-state
        heading="No kit"
        text="A kit fits one axle and not another. Enter the kit’s dimensions and your own measurements. Any mismatch blocks the order."
      >
        <button type="button" class="btn-main" (click)="add()">Add a kit</button>
      </fl-empty-state>
    }
  `,
})
export class KitsPage {
  protected readonly fields = KIT.fields;
  private readonly store = inject(PlanStore);
  protected readonly asks = KIT_ASKS;
  protected readonly corners = KIT_CORNERS;
  protected readonly names = Object.fromEntries(
    KIT_CORNERS.map((corner) => [corner, labelOf(ASKS_OF_CORNERS.fields[corner])]),
  ) as Readonly<Record<KitCorner, string>>;
  private readonly buying = computed((): Buying => this.store.plan().buying);
  private readonly rows = computed(() => listView(viewPlan(this.store.plan())).rows);
  protected readonly things = computed(() =>
    this.rows().map(({ item }) => [item.key, item.name] as const),
  );
  protected readonly kits = computed(() =>
    this.buying().kits.map((kit) => {
      const found = kitFindings(kit);
      const differs = found.filter(({ kind }) => kind === 'differs').map(({ text }) => text);
      const open = found.length - differs.length;
      const verdict = differs.length
        ? 'Do not order: the kit does not match.'
        : open
          ? `No mismatch so far; ${open} ${open === 1 ? 'figure is' : 'figures are'} not measured.`
          : found.length === 0 &&
              Object.values(kit.gives).some(Boolean) &&
              Object.keys(kit.corners).length
            ? 'The kit matches every dimension entered.'
            : 'Enter the kit’s dimensions and which wheels it is for.';
      return {
        ...kit,
        for: KIT_CORNERS.filter((corner) => kit.corners[corner] !== undefined),
        differs,
        verdict,
        lacks: kitLacks(kit, this.rows()).map(
          ({ item, lacks }) => `The kit has ${lacks} too few of ${item.name}.`,
        ),
      };
    }),
  );
  /** A length is taken with any unit and fraction, as it is typed; all else as text. */
  protected reads(ask: KitAsk): (text: string) => Read<string> {
    return ask.endsWith('Mm') ? readLength : readText;
  }
  protected askName(ask: KitAsk): string {
    const name = labelOf(KIT_ASK_RECORD.fields[ask]);
    return ask.endsWith('Mm') ? `${name}, mm` : name;
  }

  protected change(id: string, patch: Partial<Omit<Kit, 'id'>>): void {
    this.store.apply({ edit: 'changeKit', with: { id, patch } });
  }
  protected add(): void {
    this.store.apply({
      edit: 'addKit',
      with: {
        kit: {
          id: this.store.freshId('kit'),
          name: 'Disc kit',
          gives: {},
          corners: { rearLeft: {}, rearRight: {} },
          brings: [],
        },
      },
    });
  }
  protected remove(id: string): void {
    this.store.apply({ edit: 'removeKit', with: { id } });
  }
  protected setCorner({ id, corners }: Kit, corner: KitCorner, isFor: boolean): void {
    const { [corner]: _, ...others } = corners;
    this.change(id, { corners: isFor ? { ...corners, [corner]: {} } : others });
  }
  protected give({ id, gives }: Kit, ask: KitAsk, text: string): void {
    this.change(id, { gives: { ...gives, [ask]: text } });
  }
  protected measure({ id, corners }: Kit, corner: KitCorner, ask: KitAsk, text: string): void {
    this.change(id, { corners: { ...corners, [corner]: { ...corners[corner], [ask]: text } } });
  }
  protected bring({ id, brings }: Kit, index: number, patch: Partial<Kit['brings'][number]>): void {
    const now = brings[index] ?? { key: this.things()[0]![0], count: 1 };
    this.change(id, {
      brings: [...brings.slice(0, index), { ...now, ...patch }, ...brings.slice(index + 1)],
    });
  }
  protected unbring({ id, brings }: Kit, index: number): void {
    this.change(id, { brings: brings.toSpliced(index, 1) });
  }
}
