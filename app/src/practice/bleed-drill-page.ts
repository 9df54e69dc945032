import { ChangeDetectionStrategy, Component, computed, signal } from '@angular/core';
import {
  BleedDrill,
  drillVehicle,
  type DrillAct,
  type DrillScore,
} from '@firm-line/core/stations/fill';

/** A vehicle to bleed: which corner, how, how often; the air is seen as it moves. */
@Component({
  selector: 'fl-bleed-drill',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <div class="mx-auto grid max-w-5xl gap-4 p-4 lg:grid-cols-[1fr_24rem]">
      <section class="card p-4" aria-label="The vehicle">
        <h2 class="h2">Dry lines, from above</h2>
        <p class="text-sm text-ink-soft">
          Teal is fluid, hollow is air. Tap a wheel, then pump. The master cylinder is at the top; a
          long line may run over a hump.
        </p>
        <svg
          viewBox="0 0 320 340"
          class="mx-auto block w-full max-w-md"
          role="img"
          [attr.aria-label]="drawn().words"
        >
          @for (pipe of drawn().pipes; track pipe.id) {
            <path
              [attr.d]="pipe.d"
              class="fill-none stroke-fluid"
              [attr.stroke-width]="pipe.wide ? 9 : 6"
              stroke-linecap="butt"
            />
            @for (slug of pipe.slugs; track $index) {
              <path
                [attr.d]="pipe.d"
                class="fill-none stroke-sheet"
                [attr.stroke-width]="pipe.wide ? 5 : 3"
                pathLength="1"
                [attr.stroke-dasharray]="slug.to - slug.from + ' 2'"
                [attr.stroke-dashoffset]="-slug.from"
              />
            }
          }
          <rect x="86" y="36" width="48" height="24" rx="6" class="fill-ink" />
          <text x="110" y="53" text-anchor="middle" class="fill-sheet text-sm font-semibold">
            Master
          </text>
          @for (corner of drawn().corners; track corner.id) {
            <rect
              [attr.x]="corner.x - 22"
              [attr.y]="corner.y - 22"
              width="44"
              height="44"
              rx="8"
              class="stroke-ink"
              [class]="corner.id === at() ? 'fill-fluid-pale' : 'fill-sheet'"
              stroke-width="2"
            />
            <text
              [attr.x]="corner.x"
              [attr.y]="corner.y + 6"
              text-anchor="middle"
              class="fill-ink text-lg font-bold"
            >
              {{ corner.id }}
            </text>
            <text
              [attr.x]="corner.x"
              [attr.y]="corner.y + 36"
              text-anchor="middle"
              class="fill-ink-soft text-xs"
            >
              {{ corner.air }}
            </text>
          }
        </svg>
      </section>
      <section class="card p-4" aria-label="Your turn">
        <h2 class="h2">Which wheel?</h2>
        <div class="mt-1 grid grid-cols-2 gap-2">
          @for (corner of drawn().corners; track corner.id) {
            <button
              type="button"
              class="min-h-14"
              [class]="corner.id === at() ? 'btn-dark min-h-14' : 'btn min-h-14'"
              [attr.aria-pressed]="corner.id === at()"
              [disabled]="score() !== null"
              (click)="at.set(corner.id)"
            >
              {{ corner.name }}
            </button>
          }
        </div>
        <dl class="mt-4 grid grid-cols-3 gap-2">
          <div>
            <dt class="label">Reservoir</dt>
            <dd
              class="font-mono text-2xl"
              [class.text-stop]="drawn().reservoirMl < 30"
              data-test="drill-reservoir"
            >
              {{ drawn().reservoirMl }} mL
            </dd>
          </div>
          <div>
            <dt class="label">Fluid used</dt>
            <dd class="font-mono text-2xl">{{ drawn().spentMl }} mL</dd>
          </div>
          <div>
            <dt class="label">Strokes</dt>
            <dd class="font-mono text-2xl" data-test="drill-strokes">{{ drawn().strokes }}</dd>
          </div>
        </dl>
        <p class="mt-2 min-h-6 font-semibold" role="status" data-test="drill-out">{{ came() }}</p>
        @if (score(); as score) {
          <div class="mt-2" data-test="drill-score">
            <p
              class="text-lg font-bold"
              [class]="
                score.leftMl > score.best.leftMl + 0.5 || score.ranDry ? 'text-stop' : 'text-ok'
              "
            >
              {{ score.words }}
            </p>
            <p class="mt-1">
              {{ score.leftMl.toFixed(1) }} mL of air left, {{ score.spentMl.toFixed(0) }} mL used
              in {{ score.strokes }} strokes. The usual method (farthest first, bleeder closed
              before each return) leaves {{ score.best.leftMl.toFixed(1) }} mL and uses
              {{ score.best.spentMl.toFixed(0) }} mL in {{ score.best.strokes }} strokes.
            </p>
            <button type="button" class="btn-main mt-3" (click)="fresh()">Another vehicle</button>
          </div>
        } @else {
          <div class="mt-2 grid gap-2">
            @for (one of acts; track one.act) {
              <button
                type="button"
                [class]="one.act === 'stroke' ? 'btn-main min-h-16 text-lg' : 'btn'"
                (click)="act(one.act)"
              >
                {{ one.name }}
              </button>
            }
            <button type="button" class="btn" (click)="score.set(drill().score())">
              Check the result
            </button>
          </div>
        }
        <p class="mt-3 text-sm text-ink-soft">
          The simulation moves fluid and air as slugs. Air rises by bore and slope. Foam is not
          modelled. Judge a real pedal with your foot.
        </p>
      </section>
    </div>
  `,
})
export class BleedDrillPage {
  protected readonly acts: readonly { readonly act: DrillAct; readonly name: string }[] = [
    { act: 'stroke', name: 'Pedal down, close, pedal up' },
    { act: 'stroke-open', name: 'Pedal down and up, left open under fluid' },
    { act: 'gravity', name: 'Let 6 mL drain by gravity' },
    { act: 'wait', name: 'Wait a minute' },
    { act: 'top-up', name: 'Top up the reservoir' },
  ];
  protected readonly drill = signal(new BleedDrill(drillVehicle(Math.random)));
  protected readonly at = signal('RR');
  protected readonly came = signal('');
  protected readonly score = signal<DrillScore | null>(null);
  private readonly turn = signal(0);
  protected readonly drawn = computed(() => {
    this.turn();
    const { sim, vehicle, reservoirMl, spentMl, strokes } = this.drill();
    const { pipes, bleeders } = vehicle.network;
    return {
      words: `From above: ${sim.airMl.toFixed(0)} mL of air`,
      pipes: pipes.map(({ id, from, to, boreMm }, i) => ({
        id,
        wide: boreMm > 4,
        d: `M${vehicle.at[from]!.join(' ')}L${vehicle.at[to]!.join(' ')}`,
        slugs: sim.slugsOf(i),
      })),
      corners: bleeders.map(({ id, at }) => ({
        id,
        name: vehicle.names[id]!,
        x: vehicle.at[at]![0],
        y: vehicle.at[at]![1],
        air: sim.heldAt(at) > 0.05 ? `air ${sim.heldAt(at).toFixed(1)} mL` : 'fluid',
      })),
      reservoirMl: Math.round(reservoirMl),
      spentMl: Math.round(spentMl),
      strokes,
    };
  });

  protected act(act: DrillAct): void {
    const { airMl, fluidMl } = this.drill().act(act, this.at());
    const went = airMl + fluidMl;
    this.came.set(
      act === 'wait'
        ? 'One minute passes. Air rises.'
        : act === 'top-up'
          ? 'The reservoir is full.'
          : went <= 0
            ? 'No flow. The reservoir is too low for gravity.'
            : airMl < 0.02
              ? 'Clear.'
              : fluidMl < 0.02
                ? 'Only air came out.'
                : 'Bubbles.',
    );
    this.turn.update((n) => n + 1);
  }
  protected fresh(): void {
    this.drill.set(new BleedDrill(drillVehicle(Math.random)));
    this.score.set(null);
    this.came.set('');
    this.turn.update((n) => n + 1);
  }
}
