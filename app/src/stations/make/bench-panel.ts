import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { figure } from '@firm-line/core/lib/faults';
import {
  BENCH,
  BENDER,
  FLARE_TOOL,
  NUT_LENGTH,
  toolingOf,
  type BenchBender,
  type FlareTool,
  type LineView,
} from '@firm-line/core/plan';
import { FLARES, type FlareForm } from '@firm-line/core/trade/stock';
import { springback, type TestBend } from '@firm-line/core/shape/tube';
import { NumberField } from '../../kit/fields/number-field';
import { PlanStore } from '../../session/plan-store';
import { CheckField } from '../../kit/fields/check-field';
import { Disclosure } from '../../kit/disclosure';
import { AroundForm } from './around-form';
import { FieldOf } from '../../kit/fields/field';
import { Words } from '../../kit/words';

/** The tools that the card of this line is made for: its bender with test bends, flaring tool, nuts and trim. */
@Component({
  selector: 'fl-bench-panel',
  imports: [Words, AroundForm, CheckField, Disclosure, FieldOf, NumberField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <fl-disclosure
      class="card px-5"
      [summary]="'My bench: ' + bender().name + ', ' + ends()[0].flareName + ' tool, nuts'"
    >
      <div class="grid gap-6 border-t border-rule py-5 lg:grid-cols-3">
        <section aria-label="Bender">
          <h3 class="font-bold">Bender</h3>
          <p class="mb-2 text-sm text-ink-soft">
            These figures apply to every line made in this bender.
          </p>
          <div class="grid grid-cols-2 gap-3">
            <fl-field
              class="col-span-2"
              [of]="fields.name"
              field="bender-name"
              [value]="bender().name"
              (changed)="set({ name: $event })"
            />
            <fl-field
              class="col-span-2"
              [of]="fields.kind"
              field="bender-kind"
              [value]="bender().kind"
              (changed)="set({ kind: $event })"
            />
            <fl-field
              [of]="fields.dieRadiusMm"
              [value]="bender().dieRadiusMm"
              (changed)="set({ dieRadiusMm: $event })"
            />
            <fl-field
              [of]="fields.referenceMm"
              [value]="bender().referenceMm"
              (changed)="set({ referenceMm: $event })"
            />
            <fl-field
              [of]="fields.leastFeedMm"
              [value]="bender().leastFeedMm"
              (changed)="set({ leastFeedMm: $event })"
            />
            <fl-field
              [of]="fields.shoeMm"
              [value]="bender().shoeMm"
              (changed)="set({ shoeMm: $event })"
            />
            <fl-field
              class="col-span-2"
              [of]="fields.clampSide"
              field="bender-clamp"
              [value]="bender().clampSide"
              (changed)="set({ clampSide: $event })"
            />
          </div>
          <fl-around-form class="mt-2" [bender]="bender()" />
        </section>
        <section aria-label="Test bends">
          <h3 class="font-bold">Test bends</h3>
          <p class="mb-2 text-sm text-ink-soft">
            <fl-words
              text="Bend scrap of the same tube. Enter the dialed angle and the angle after springback."
            />
            {{ springWords() }}
          </p>
          <table class="w-full text-left">
            <thead>
              <tr class="text-sm text-ink-soft">
                <th class="font-normal">Dialed °</th>
                <th class="font-normal">After springback °</th>
                <th><span class="sr-only">Remove</span></th>
              </tr>
            </thead>
            <tbody>
              @for (bend of bender().testBends; track $index; let i = $index) {
                <tr>
                  <td class="pr-2 pb-2">
                    <fl-number-field
                      [bare]="true"
                      [label]="'Dialed in test ' + (i + 1)"
                      [value]="bend.dialDeg"
                      [least]="bend.gotDeg"
                      [most]="200"
                      (changed)="setTest(i, { dialDeg: $event })"
                    />
                  </td>
                  <td class="pr-2 pb-2">
                    <fl-number-field
                      [bare]="true"
                      [label]="'After springback in test ' + (i + 1)"
                      [value]="bend.gotDeg"
                      [least]="1"
                      [most]="bend.dialDeg"
                      (changed)="setTest(i, { gotDeg: $event })"
                    />
                  </td>
                  <td class="pb-2">
                    <button
                      type="button"
                      class="btn px-3"
                      [attr.aria-label]="'Remove test ' + (i + 1)"
                      (click)="removeTest(i)"
                    >
                      ×
                    </button>
                  </td>
                </tr>
              }
            </tbody>
          </table>
          <button type="button" class="btn" (click)="addTest()">Add a test bend</button>
        </section>
        <section aria-label="Flaring tool and nuts">
          <h3 class="font-bold">Flaring tool and nuts</h3>
          <p class="mb-2 text-sm text-ink-soft">
            Starting figures are common practice. Measure your own tool and nuts.
          </p>
          <div class="grid grid-cols-2 gap-3">
            @for (end of ends(); track end.key) {
              @if (end.key === 'a' || ends()[1].flare !== ends()[0].flare) {
                <fl-field
                  [of]="flareFields.clampMm"
                  [label]="end.flareName + ': clamp grips'"
                  [value]="end.clampMm"
                  (changed)="setFlare(end.flare, { clampMm: $event })"
                />
                <fl-field
                  [of]="flareFields.flareExtraMm"
                  [label]="end.flareName + ': tube used'"
                  [value]="end.flareExtraMm"
                  (changed)="setFlare(end.flare, { flareExtraMm: $event })"
                />
              }
              @if (end.key === 'a' || ends()[1].flare !== ends()[0].flare) {
                <fl-field
                  class="col-span-2"
                  [of]="flareFields.owned"
                  [value]="end.tool.owned"
                  (changed)="setFlare(end.flare, { owned: $event })"
                />
                <fl-check-field
                  class="col-span-2"
                  [label]="'Test pieces in ' + view().tube.material + ' held'"
                  [checked]="end.tool.provenOn.includes(view().tube.material)"
                  (changed)="prove(end.flare, $event)"
                />
              }
              @if (end.key === 'a' || ends()[1].nutId !== ends()[0].nutId) {
                <fl-field
                  class="col-span-2"
                  [of]="nutLength"
                  [label]="'Length of ' + end.nutName"
                  [value]="end.nutLengthMm"
                  (changed)="setNut(end.nutId, $event)"
                />
              }
            }
            <fl-field
              class="col-span-2"
              [of]="benchFields.trimMm"
              [value]="store.plan().bench.trimMm"
              (changed)="store.apply({ edit: 'changeBench', with: { patch: { trimMm: $event } } })"
            />
          </div>
        </section>
      </div>
    </fl-disclosure>
  `,
})
export class BenchPanel {
  protected readonly nutLength = NUT_LENGTH;
  protected readonly fields = BENDER.fields;
  protected readonly flareFields = FLARE_TOOL.fields;
  protected readonly benchFields = BENCH.fields;
  protected readonly store = inject(PlanStore);
  readonly view = input.required<LineView>();
  protected readonly bender = computed(() => this.view().bender);
  protected readonly ends = computed(() => {
    const end = (which: 'a' | 'b') => {
      const of = this.view().line.ends[which];
      return {
        key: which,
        ...toolingOf(of, this.store.plan().bench),
        flare: of.flare,
        tool: this.store.plan().bench.flares[of.flare],
        flareName: FLARES[of.flare].name,
        nutId: of.nutId,
        nutName: this.view().nuts[which].name,
      };
    };
    return [end('a'), end('b')] as const;
  });
  protected readonly springWords = computed(() => {
    if (!this.bender().testBends.length) return 'Until then the card assumes no springback.';
    const { offsetDeg, slope } = springback(this.bender().testBends);
    return `Dial = ${figure(offsetDeg, 2)}° + ${figure(slope, 4)} × final angle.`;
  });

  protected set(patch: Partial<BenchBender>): void {
    this.store.apply({ edit: 'changeBender', with: { id: this.bender().id, patch } });
  }
  protected setTest(index: number, patch: Partial<TestBend>): void {
    this.set({
      testBends: this.bender().testBends.map((bend, i) =>
        i === index ? { ...bend, ...patch } : bend,
      ),
    });
  }
  protected addTest(): void {
    this.set({ testBends: [...this.bender().testBends, { dialDeg: 90, gotDeg: 90 }] });
  }
  protected removeTest(index: number): void {
    this.set({ testBends: this.bender().testBends.toSpliced(index, 1) });
  }
  protected setFlare(flare: FlareForm, patch: Partial<FlareTool>): void {
    const flares = this.store.plan().bench.flares;
    this.store.apply({
      edit: 'changeBench',
      with: { patch: { flares: { ...flares, [flare]: { ...flares[flare], ...patch } } } },
    });
  }
  /** Whether test pieces of this flare have held in this line's tube. */
  protected prove(flare: FlareForm, held: boolean): void {
    const { material } = this.view().tube;
    const others = this.store.plan().bench.flares[flare].provenOn.filter((one) => one !== material);
    this.setFlare(flare, { provenOn: held ? [...others, material] : others });
  }
  protected setNut(nutId: string, mm: number): void {
    this.store.apply({
      edit: 'changeBench',
      with: { patch: { nutLengthMm: { ...this.store.plan().bench.nutLengthMm, [nutId]: mm } } },
    });
  }
}
