import { ChangeDetectionStrategy, Component, computed, inject, input, model } from '@angular/core';
import { viewPlan } from '@firm-line/core/plan/results';
import { boilingOf } from './boiling';
import { PlanStore } from '../../session/plan-store';
import { LineChart } from '../../kit/line-chart';
import { ChainList } from './chain-list';
import { chainOf } from './chains';
import { HeatCard } from './heat-card';
import { LoadSlider } from './load-slider';
import { pictureOf } from './sheet-pictures';

/** A sheet beside the one from foot to road: trailer, lever, clutch or parking brake. */
@Component({
  selector: 'fl-sheet-page',
  imports: [ChainList, HeatCard, LineChart, LoadSlider],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <section class="card p-4" [attr.aria-label]="name()">
      <div class="flex flex-wrap items-center gap-x-6">
        <h2 class="h2 mr-auto">{{ name() }}</h2>
        @if (of() === 'trailer') {
          <fl-load-slider [(share)]="share" />
        }
        <button type="button" class="btn" (click)="remove()" [attr.aria-label]="'Remove ' + name()">
          Remove
        </button>
      </div>
      @if (steps().length) {
        <fl-chain-list [steps]="steps()" />
        @if (picture(); as one) {
          <h3 class="mt-4 font-semibold">{{ one.title }}</h3>
          <fl-line-chart
            [label]="one.title"
            [xName]="one.xName"
            [yName]="one.yName"
            [lines]="one.lines"
          />
          <p class="text-sm" data-test="picture-words">{{ one.words }}</p>
        }
        @if (heat(); as heating) {
          <h3 class="h2 mt-4">Heat</h3>
          <fl-heat-card [heating]="heating" [boils]="boils()" />
        }
      } @else {
        <p class="mt-2">{{ why() }}</p>
      }
    </section>
  `,
})
export class SheetPage {
  private readonly store = inject(PlanStore);
  protected readonly boils = computed(() => boilingOf(viewPlan(this.store.plan())));
  readonly of = input.required<string>();
  readonly name = input.required<string>();
  readonly share = model.required<number>();
  protected readonly steps = computed(() =>
    chainOf(this.of(), viewPlan(this.store.plan()), this.share()),
  );
  protected readonly picture = computed(() => pictureOf(this.of(), viewPlan(this.store.plan())));
  protected readonly heat = computed(() =>
    this.of() === 'trailer' ? viewPlan(this.store.plan()).works.trailer?.heat : null,
  );
  protected readonly why = computed(() =>
    this.store.plan().parking?.by === 'hydraulic'
      ? 'A vehicle held by pressure alone can roll away: pressure leaks down and drops as fluid cools. It does not count as a parking brake.'
      : 'Enter the laden mass and rear tires under Foot to road first.',
  );

  protected remove(): void {
    const of = this.of();
    if (of === 'trailer' || of === 'clutch' || of === 'parking') {
      this.store.apply({ edit: 'setSheet', with: { sheet: of, to: null } });
      return;
    }
    const index = Number(of.split('.')[1]);
    this.store.apply({
      edit: 'setSheet',
      with: { sheet: 'singles', to: this.store.plan().singles.toSpliced(index, 1) },
    });
  }
}
