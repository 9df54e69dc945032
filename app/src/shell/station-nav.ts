import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink, RouterLinkActive } from '@angular/router';
import { PlanStore } from '../session/plan-store';
import { STATIONS } from '../stations/registry';

/** The stations as nuts on one line, each with its snags. */
@Component({
  selector: 'fl-station-nav',
  imports: [RouterLink, RouterLinkActive],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <nav aria-label="Stations" class="relative">
      <div class="absolute inset-x-10 top-[1.2rem] h-1.5 rounded bg-copper-pale"></div>
      <ol class="relative grid auto-cols-fr grid-flow-col">
        @for (station of stations(); track station.path; let i = $index) {
          <li class="flex justify-center">
            <a
              [routerLink]="station.path"
              routerLinkActive
              #active="routerLinkActive"
              ariaCurrentWhenActive="page"
              class="flex min-h-14 min-w-20 flex-col items-center rounded-lg px-2 pt-1"
            >
              <span class="relative">
                <svg viewBox="0 0 32 28" class="h-7 w-8" aria-hidden="true">
                  <path
                    d="M9 1h14l8 13-8 13H9L1 14z"
                    [class]="active.isActive ? 'fill-ink stroke-ink' : 'fill-sheet stroke-copper'"
                    stroke-width="2"
                  />
                  <text
                    x="16"
                    y="19"
                    text-anchor="middle"
                    class="text-[13px] font-bold"
                    [class]="active.isActive ? 'fill-sheet' : 'fill-copper'"
                  >
                    {{ i + 1 }}
                  </text>
                </svg>
                @if (station.count) {
                  <span
                    class="absolute -top-2 -right-4 min-w-5 px-1 text-center text-xs leading-5 font-bold"
                    [class.invisible]="!store.isJudged()"
                    [class]="
                      station.stops
                        ? 'rounded-sm bg-stop text-sheet'
                        : 'rounded-full bg-ink text-sheet'
                    "
                    >{{ station.count
                    }}<span class="sr-only">
                      {{ station.count === 1 ? 'snag' : 'snags'
                      }}{{ station.stops ? ', including a stop' : '' }}</span
                    ></span
                  >
                }
              </span>
              <span class="text-sm" [class.font-bold]="active.isActive">{{ station.name }}</span>
            </a>
          </li>
        }
      </ol>
    </nav>
  `,
})
export class StationNav {
  protected readonly store = inject(PlanStore);
  protected readonly stations = computed(() => {
    const snags = this.store.laidOutSnags();
    return STATIONS.map((station) => {
      const here = snags.filter((snag) => snag.station === station.path);
      return { ...station, count: here.length, stops: here.some((snag) => snag.level === 'stop') };
    });
  });
}
