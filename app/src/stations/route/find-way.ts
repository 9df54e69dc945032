import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  output,
  untracked,
} from '@angular/core';
import type { LineView } from '@firm-line/core/plan';
import type { FoundWay } from '@firm-line/core/proposals/routes';
import { formatLengthUnit } from '@firm-line/core/lib/units';
import type { Vec3 } from '@firm-line/core/lib/vec';
import { LevelSign } from '../../kit/level-sign';
import { PlanStore } from '../../session/plan-store';
import { Selection } from '../../session/selection';
import { WayFinder } from '../../worker/way-finder';

const SKETCH = { width: 96, height: 72 };

/** Ways for the chosen line side by side: what each is like, what the rules say of it, and one tap to take it. */
@Component({
  selector: 'fl-find-way',
  imports: [LevelSign],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <section class="card px-4 py-2" aria-label="Find a route" (mouseleave)="show(null)">
      <div class="flex flex-wrap items-center gap-3">
        <h2 class="h2">Route for {{ view().line.name }}</h2>
        <label class="label" for="way-pitch">Grid</label>
        <select #pitch id="way-pitch" class="field">
          <option value="40">40 mm, quick</option>
          <option value="20">20 mm, finer</option>
        </select>
        @if (finder.busy()) {
          <progress
            class="h-3 w-32 accent-fluid"
            max="1"
            [value]="finder.share()"
            aria-label="Search progress"
          ></progress>
          <button type="button" class="btn" (click)="finder.cancel()">Cancel</button>
        } @else {
          <button
            type="button"
            class="btn-main"
            (click)="look(+pitch.value)"
            [disabled]="!joined()"
          >
            {{ found().length ? 'Search again' : 'Find routes' }}
          </button>
        }
        <button type="button" class="btn ml-auto" (click)="close()">Close</button>
      </div>
      @if (!joined()) {
        <p class="mt-2 text-sm">
          A route runs between two ports. First join both ends of this line, under Line details.
        </p>
      }
      @if (finder.message(); as text) {
        <p class="fault mt-2" role="alert">{{ text }}</p>
      }
      @if (found().length) {
        <ol class="mt-2 grid gap-2 md:grid-cols-3">
          @for (way of found(); track $index; let i = $index) {
            <li
              class="grid grid-cols-[6rem_1fr] gap-x-3 rounded-lg border border-rule bg-sheet p-2"
              (mouseenter)="show(way)"
              (focusin)="show(way)"
              [attr.data-way]="i"
            >
              <svg
                [attr.viewBox]="'0 0 ' + sketch.width + ' ' + sketch.height"
                class="h-18 w-24"
                role="img"
                [attr.aria-label]="'Route ' + (i + 1) + ' from above and from the left'"
              >
                <path
                  [attr.d]="drawn(way)"
                  class="fill-none stroke-copper"
                  stroke-width="2"
                  stroke-linejoin="round"
                />
              </svg>
              <div class="text-sm leading-snug">
                <p class="font-semibold">{{ i + 1 }}. {{ way.why }}</p>
                @if (way.nearest; as near) {
                  <p>Closest: {{ length(near.distanceMm) }} to {{ near.name }}.</p>
                }
                @for (snag of way.snags; track $index) {
                  <p class="mt-1 flex items-start gap-2">
                    <fl-level-sign [level]="snag.level" />{{ snag.text }}
                  </p>
                } @empty {
                  <p class="text-ok">No Route snags.</p>
                }
              </div>
              <button type="button" class="btn-main col-span-2 mt-1 self-end" (click)="take(way)">
                Use this route
              </button>
            </li>
          }
        </ol>
      }
      <p class="mt-1 text-sm leading-snug text-ink-soft">
        Routes run along and across the vehicle, close to the frame, and clear everything entered in
        Measure. Anything not entered is not avoided: check on the vehicle before you bend.
      </p>
    </section>
  `,
})
export class FindWay {
  private readonly store = inject(PlanStore);
  private readonly selection = inject(Selection);
  protected readonly finder = inject(WayFinder);
  readonly view = input.required<LineView>();
  readonly ghost = output<readonly Vec3[] | null>();
  readonly closed = output();
  protected readonly sketch = SKETCH;
  protected readonly joined = computed(
    () => this.view().ports.a !== null && this.view().ports.b !== null,
  );
  protected readonly found = computed(() => this.finder.foundFor(this.view().line.id) ?? []);

  constructor() {
    // Ways hold for the line and the plan that they were found in.
    effect(() => {
      if (this.finder.isStale({ id: this.view().line.id, plan: this.store.plan() }))
        untracked(() => this.forget());
    });
  }

  protected look(pitchMm: number): void {
    const [plan, lineId] = [this.store.plan(), this.view().line.id];
    this.finder.look({ plan, lineId, pitchMm }, { id: lineId, plan });
  }
  private forget(): void {
    this.finder.cancel();
    this.show(null);
  }
  protected close(): void {
    this.forget();
    this.closed.emit();
  }
  protected take(way: FoundWay): void {
    this.show(null);
    if (!this.store.apply(...way.calls)) return;
    this.selection.chooseNode(null);
    this.closed.emit();
  }
  private nodes(way: FoundWay): readonly Vec3[] {
    const { nodesMm } = this.view();
    return [nodesMm[0]!, ...way.cornersMm, nodesMm.at(-1)!];
  }
  protected show(way: FoundWay | null): void {
    this.ghost.emit(way && this.nodes(way));
  }
  protected length(mm: number): string {
    return formatLengthUnit(mm, this.store.units());
  }

  /** The way from above, and under it from the left, at one scale. */
  protected drawn(way: FoundWay): string {
    const nodes = this.nodes(way);
    const range = (axis: 0 | 1 | 2): [number, number] => {
      const values = nodes.map((p) => p[axis]);
      return [Math.min(...values), Math.max(...values)];
    };
    const [x, y, z] = [range(0), range(1), range(2)];
    const tall = y[1] - y[0] + z[1] - z[0] + 1;
    const scale = Math.min((SKETCH.width - 12) / (x[1] - x[0] + 1), (SKETCH.height - 24) / tall);
    const path = (up: (p: Vec3) => number): string =>
      nodes
        .map(
          (p, i) => `${i ? 'L' : 'M'}${(6 + (p[0] - x[0]) * scale).toFixed(1)} ${up(p).toFixed(1)}`,
        )
        .join('');
    const side = 18 + (y[1] - y[0]) * scale;
    return path((p) => 6 + (y[1] - p[1]) * scale) + path((p) => side + (z[1] - p[2]) * scale);
  }
}
