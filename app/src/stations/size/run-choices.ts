import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { runChoices, viewPlan } from '@firm-line/core/plan/results';
import { formatLengthUnit } from '@firm-line/core/lib/units';
import { SelectField } from '../../kit/fields/select-field';
import { PlanStore } from '../../session/plan-store';

/** One run in steel, copper-nickel, stainless and braided hose, side by side. */
@Component({
  selector: 'fl-run-choices',
  imports: [SelectField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <div class="flex flex-wrap items-end gap-3">
      <h2 class="h2 mr-auto">Compare tube materials for a line</h2>
      <fl-select-field
        class="w-64"
        field="run-line"
        label="Line"
        [bare]="true"
        [options]="lines()"
        [value]="chosenId()"
        (changed)="of.set($event)"
      />
    </div>
    @if (rows().length) {
      <div class="overflow-x-auto">
        <table class="mt-2 w-full text-left text-sm" data-test="run-choices">
          <thead class="text-ink-soft">
            <tr>
              <th class="font-normal">Of</th>
              <th class="pr-3 text-right font-normal">pedal</th>
              <th class="pr-3 font-normal">flares your tools can make</th>
              <th class="pr-3 font-normal">rust and wear</th>
              <th class="pr-3 font-normal">where allowed</th>
              <th class="text-right font-normal">price</th>
            </tr>
          </thead>
          <tbody>
            @for (row of rows(); track row.id) {
              <tr class="border-t border-rule align-top">
                <td class="py-2 pr-3 font-semibold whitespace-nowrap">
                  {{ row.name }}{{ row.now ? ', as planned' : '' }}
                </td>
                <td class="py-2 pr-3 text-right font-mono whitespace-nowrap">{{ row.pedal }}</td>
                <td class="py-2 pr-3">{{ row.flares }}</td>
                <td class="py-2 pr-3">{{ row.corrosion }}</td>
                <td class="py-2 pr-3">{{ row.rule }}</td>
                <td class="py-2 text-right font-mono">{{ row.price }}</td>
              </tr>
            }
          </tbody>
        </table>
      </div>
      <p class="mt-2 text-sm text-ink-soft">
        {{ length() }} between the two ends, two joints. A union adds a joint that can leak and two
        more flares. Use one only where the tube cannot be carried in, or must come out again.
        Prices are invented. Local rules and the makers’ sheets come first.
      </p>
    } @else {
      <p class="text-sm text-ink-soft">
        This table compares materials for one line. First join a line at both ends.
      </p>
    }
  `,
})
export class RunChoices {
  private readonly store = inject(PlanStore);
  protected readonly of = signal<string | null>(null);
  protected readonly lines = computed(() =>
    this.store.plan().lines.map(({ id, name, title }) => ({ id, name: `${name} ${title}`.trim() })),
  );
  protected readonly chosen = computed(() => {
    const { lines } = this.store.view();
    const longest = [...lines].sort(
      (a, b) => (b.card?.developedMm ?? 0) - (a.card?.developedMm ?? 0),
    )[0];
    return lines.find(({ line }) => line.id === this.of()) ?? longest ?? null;
  });
  protected readonly chosenId = computed(() => this.chosen()?.line.id ?? null);
  protected readonly length = computed(() =>
    formatLengthUnit(this.chosen()?.card?.developedMm ?? 0, this.store.units()),
  );
  protected readonly rows = computed(() => {
    const line = this.chosen();
    if (!line) return [];
    return runChoices(viewPlan(this.store.plan()), line).map((choice) => ({
      ...choice,
      pedal:
        choice.pedalMm === null ? '–' : formatLengthUnit(choice.pedalMm, this.store.units(), 2),
      price: (choice.costMinor / 100).toFixed(2),
    }));
  });
}
