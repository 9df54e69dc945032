import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { viewPlan } from '@firm-line/core/plan/results';
import { figure } from '@firm-line/core/lib/faults';
import { formatLengthUnit } from '@firm-line/core/lib/units';
import { PlanStore } from '../../session/plan-store';
import { Words } from '../../kit/words';

const PSI_PER_MPA = 145.0377;

/** For each brake: how its fluid stands, which residual valve it wants, and which it has. */
@Component({
  selector: 'fl-residual-table',
  imports: [Words],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <h2 class="h2"><fl-words text="Residual valves" /></h2>
    @if (rows().length) {
      <table class="mt-1 w-full text-left">
        <thead class="text-sm text-ink-soft">
          <tr>
            <th class="font-normal">Brake</th>
            <th class="text-right font-normal">caliper top</th>
            <th class="text-right font-normal">fluid level</th>
            <th class="pl-4 font-normal">needs</th>
            <th class="pl-4 font-normal">fitted</th>
          </tr>
        </thead>
        <tbody>
          @for (row of rows(); track row.id) {
            <tr class="border-t border-rule align-top">
              <td class="py-1">{{ row.name }}</td>
              <td class="text-right font-mono">{{ row.top }}</td>
              <td class="text-right font-mono">{{ row.level }}</td>
              <td class="pl-4" [title]="row.why">{{ row.wants }}</td>
              <td class="pl-4">{{ row.has }}</td>
            </tr>
          }
        </tbody>
      </table>
      @for (why of reasons(); track why) {
        <p class="mt-1 text-sm text-ink-soft">{{ why }}</p>
      }
    } @else {
      <p class="text-sm text-ink-soft">
        This table shows which brakes need a residual valve. First join brakes to a master cylinder
        in Plumb.
      </p>
    }
  `,
})
export class ResidualTable {
  private readonly store = inject(PlanStore);
  protected readonly rows = computed(() => {
    const units = this.store.units();
    const psi = (mpa: number): string => `${figure(mpa * PSI_PER_MPA, 0)} psi`;
    return viewPlan(this.store.plan()).residuals.map((of) => ({
      id: of.part.id,
      name: of.part.name,
      top: formatLengthUnit(of.topMm, units),
      level: of.levelMm === null ? 'not known' : formatLengthUnit(of.levelMm, units),
      wants: !of.wanted ? 'cannot tell' : of.wanted.wantedMPa ? psi(of.wanted.wantedMPa) : 'none',
      why: of.wanted?.why ?? 'Enter the fluid level of the master cylinder in Plumb.',
      has:
        of.has
          .map((valve) =>
            valve.residualMPa === null ? 'one of unknown pressure' : psi(valve.residualMPa),
          )
          .join(', ') || 'none',
    }));
  });
  protected readonly reasons = computed(() => [...new Set(this.rows().map((row) => row.why))]);
}
