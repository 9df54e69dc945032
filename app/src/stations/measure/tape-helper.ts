import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { figure } from '@firm-line/core/lib/faults';
import type { ResolvedPosition } from '@firm-line/core/plan';
import { bestHooks, predictedSigmaMm, type Hook } from '@firm-line/core/shape/taping';
import { formatLengthUnit } from '@firm-line/core/lib/units';
import { PlanStore } from '../../session/plan-store';

const PICTURE = 112;

/** Which datums fix a place best, said and drawn before the tape is pulled. */
@Component({
  selector: 'fl-tape-helper',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    @if (best(); as choice) {
      <div class="mt-2 flex flex-wrap items-center gap-4 rounded-lg bg-paper px-3 py-2">
        <svg
          [attr.viewBox]="'0 0 ' + px + ' ' + px"
          class="size-28 shrink-0"
          role="img"
          aria-label="The tapes from above"
        >
          @for (ray of rays(); track ray.name) {
            <line
              [attr.x1]="center"
              [attr.y1]="center"
              [attr.x2]="ray.x"
              [attr.y2]="ray.y"
              [class]="ray.taken ? 'stroke-ink' : 'stroke-fluid'"
              stroke-width="1.6"
              stroke-dasharray="4 3"
            />
            <text
              [attr.x]="ray.x"
              [attr.y]="ray.y + 4"
              text-anchor="middle"
              class="fill-ink stroke-paper text-[13px] font-semibold"
              stroke-width="3"
              paint-order="stroke"
            >
              {{ ray.name }}
            </text>
          }
          <rect
            [attr.x]="center - 5"
            [attr.y]="center - 5"
            width="10"
            height="10"
            class="fill-ink"
          />
        </svg>
        <div class="min-w-48 flex-1">
          <p>{{ words() }}</p>
          <button type="button" class="btn mt-1" (click)="taken.emit(choice.ids)">
            {{ choice.ids.length > 1 ? 'Add these tapes' : 'Add this tape' }}
          </button>
        </div>
      </div>
    } @else if (!hooks().length) {
      <p class="mt-2 text-sm text-ink-soft">
        First add three or more points on the frame where a tape can hook.
      </p>
    }
  `,
})
export class TapeHelper {
  private readonly store = inject(PlanStore);
  readonly fixed = input.required<ResolvedPosition>();
  /** Points that may serve. */
  readonly datums = input.required<readonly { readonly id: string; readonly name: string }[]>();
  /** Datums that are taped from already, or are about to be. */
  readonly from = input.required<readonly string[]>();
  readonly taken = output<readonly string[]>();
  protected readonly px = PICTURE;
  protected readonly center = PICTURE / 2;

  protected readonly hooks = computed((): readonly (Hook & { readonly name: string })[] => {
    const { points } = this.store.view();
    return this.datums().map(({ id, name }) => {
      const { atMm, sigmaMm } = points.get(id)!.fixed;
      return { id, name: name.split(',')[0]!.slice(0, 10), atMm, sigmaMm: Math.max(...sigmaMm) };
    });
  });
  private readonly own = computed(() => this.hooks().filter(({ id }) => this.from().includes(id)));
  protected readonly best = computed(() => {
    const own = this.own();
    return bestHooks(this.fixed().atMm, this.hooks(), own.length >= 3 ? 1 : 3 - own.length, own);
  });
  private mm(sigmaMm: number): string {
    const two = 2 * sigmaMm;
    return this.store.units() === 'metric'
      ? `±${figure(two, 1)} mm`
      : `±${formatLengthUnit(two, 'inch')}`;
  }
  protected readonly words = computed(() => {
    const { ids, sigmaMm } = this.best()!;
    const own = this.own();
    const names = ids.map((id) => this.hooks().find((one) => one.id === id)!.name);
    const listed =
      names.length > 1 ? `${names.slice(0, -1).join(', ')} and ${names.at(-1)}` : names[0];
    if (own.length >= 3)
      return `One more tape, from ${listed}: ${this.mm(predictedSigmaMm(this.fixed().atMm, own))} becomes ${this.mm(sigmaMm)}, and a misreading shows up.`;
    const then = bestHooks(
      this.fixed().atMm,
      this.hooks(),
      1,
      this.hooks().filter(({ id }) => ids.includes(id) || own.some((one) => one.id === id)),
    );
    const fourth = then
      ? ` A fourth from ${this.hooks().find(({ id }) => id === then.ids[0])!.name}: ${this.mm(then.sigmaMm)}.`
      : '';
    return `Best from ${listed}: ${this.mm(sigmaMm)} on the least certain axis.${fourth}`;
  });
  /** The way to each tape's datum, from above, front up. */
  protected readonly rays = computed(() => {
    const shown = [
      ...this.own().map((one) => ({ one, taken: true })),
      ...this.best()!.ids.map((id) => ({
        one: this.hooks().find((hook) => hook.id === id)!,
        taken: false,
      })),
    ];
    const [x, y] = this.fixed().atMm;
    return shown.map(({ one, taken }) => {
      const [dx, dy] = [one.atMm[1] - y, one.atMm[0] - x];
      const long = Math.hypot(dx, dy) || 1;
      const r = this.center - 14;
      return {
        name: one.name,
        taken,
        x: this.center + (dx / long) * r,
        y: this.center + (dy / long) * r,
      };
    });
  });
}
