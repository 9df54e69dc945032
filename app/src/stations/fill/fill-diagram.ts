import { CIRCUIT_STROKES } from '../../kit/circuit-ink';
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { AirNow } from '@firm-line/core/stations/fill';
import type { BleedView } from '@firm-line/core/plan/results';
import { add, scale, ZERO, type Vec3 } from '@firm-line/core/lib/vec';
import { PlanStore } from '../../session/plan-store';

const BOX = { w: 320, h: 340, pad: 46 };

const mean = (points: readonly Vec3[]): Vec3 =>
  scale(points.reduce(add, ZERO), 1 / Math.max(points.length, 1));

/** The vehicle from above, front up, with the bleeders numbered in their order. */
@Component({
  selector: 'fl-fill-diagram',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg
      viewBox="0 0 320 340"
      class="mx-auto block w-full max-w-80"
      role="img"
      [attr.aria-label]="words()"
    >
      <text x="160" y="16" text-anchor="middle" class="fill-ink-soft text-lg">front</text>
      @for (line of drawn().lines; track $index) {
        <path
          [attr.d]="line.d"
          [class]="'fill-none ' + line.stroke"
          stroke-width="5"
          stroke-linejoin="round"
        />
        @for (slug of line.slugs; track $index) {
          <path
            [attr.d]="line.d"
            class="fill-none stroke-sheet"
            stroke-width="2.5"
            pathLength="1"
            [attr.stroke-dasharray]="slug.to - slug.from + ' 2'"
            [attr.stroke-dashoffset]="-slug.from"
          />
        }
      }
      @for (dot of drawn().dots; track $index) {
        <circle [attr.cx]="dot[0]" [attr.cy]="dot[1]" r="8" class="fill-ink" />
      }
      @for (box of drawn().boxes; track box.id) {
        <rect
          [attr.x]="box.x - 20"
          [attr.y]="box.y - 20"
          width="40"
          height="40"
          rx="8"
          [class]="
            'stroke-ink ' +
            (box.state === 'now'
              ? 'fill-fluid'
              : box.state === 'done'
                ? 'fill-fluid-pale'
                : 'fill-sheet')
          "
          stroke-width="2"
        />
        <text
          [attr.x]="box.x"
          [attr.y]="box.y + 8"
          text-anchor="middle"
          [class]="'text-xl font-bold ' + (box.state === 'now' ? 'fill-sheet' : 'fill-ink')"
        >
          {{ box.number }}
        </text>
        @if (box.first && box.airMl >= 0.05) {
          <text
            [attr.x]="box.x"
            [attr.y]="box.y < 170 ? box.y - 26 : box.y + 38"
            text-anchor="middle"
            class="fill-ink-soft text-lg"
          >
            air {{ box.airMl.toFixed(1) }} mL
          </text>
        }
      }
      @for (master of drawn().masters; track master.name) {
        <rect
          [attr.x]="master.x - 14"
          [attr.y]="master.y - 13"
          width="28"
          height="26"
          rx="6"
          class="fill-ink"
        />
        <text
          [attr.x]="master.x"
          [attr.y]="master.y + 6"
          text-anchor="middle"
          class="fill-sheet text-lg font-semibold"
        >
          M
        </text>
      }
    </svg>
  `,
})
export class FillDiagram {
  private readonly store = inject(PlanStore);
  readonly bleeding = input.required<readonly BleedView[]>();
  /** In a run: the bleeder at hand, those that are done, and where the air is. */
  readonly now = input<string | null>(null);
  readonly done = input<readonly string[]>([]);
  readonly air = input<AirNow | null>(null);
  protected readonly words = computed(
    () =>
      `From above: ${this.drawn().boxes.length} bleeders${this.air() ? `, ${this.air()!.airMl.toFixed(0)} mL of air, estimated` : ''}`,
  );
  /** Air in each line, by its id. */
  private readonly slugs = computed(() => {
    const air = this.air();
    const net = this.bleeding().length === 1 ? this.bleeding()[0]!.net : null;
    return new Map(
      air && net ? net.pipes.map(({ id }, i) => [id, air.pipes[i] ?? []] as const) : [],
    );
  });
  private heldAt(work: BleedView, portId: string): number {
    const at = work.net?.bleeders.find((bleeder) => bleeder.portId === portId)?.at;
    return this.air()?.places.find((place) => place.at === at)?.ml ?? 0;
  }
  /** What of the plan it is drawn from: a tap in a run leaves it alone. */
  private readonly shown = computed(
    () => {
      const { lines, ports, circuits, plan } = this.store.view();
      return { lines, ports, circuits, parts: plan.parts };
    },
    {
      equal: (a, b) =>
        a.lines === b.lines &&
        a.ports === b.ports &&
        a.circuits === b.circuits &&
        a.parts === b.parts,
    },
  );
  private readonly laid = computed(() => {
    const { lines: every, ports: portViews, circuits, parts } = this.shown();
    const lines = every.filter((line) => line.nodesMm.length);
    const ports = [...portViews.values()].filter(({ port }) => port.role !== 'bleeder');
    const all = [...ports.map((p) => p.fixed.atMm), ...lines.flatMap((line) => line.nodesMm)];
    const range = (axis: 0 | 1): [number, number] =>
      all.length
        ? [Math.min(...all.map((p) => p[axis])), Math.max(...all.map((p) => p[axis]))]
        : [0, 1];
    const [x, y] = [range(0), range(1)];
    const at = (p: readonly [number, number, number]): [number, number] => [
      BOX.pad + ((p[1] - y[0]) / Math.max(y[1] - y[0], 1)) * (BOX.w - 2 * BOX.pad),
      BOX.pad + ((p[0] - x[0]) / Math.max(x[1] - x[0], 1)) * (BOX.h - 2 * BOX.pad),
    ];
    const placeOf = (partId: string): [number, number] =>
      at(mean(ports.filter(({ part }) => part.id === partId).map((p) => p.fixed.atMm)));
    const joined = (kinds: readonly string[]): [number, number][] =>
      parts
        .filter((part) => kinds.includes(part.kind) && part.ports.length)
        .map((part) => placeOf(part.id));
    return {
      lines: lines.map((line) => ({
        id: line.line.id,
        stroke: CIRCUIT_STROKES[circuits.get(line.line.circuitId)!.ink],
        d: line.nodesMm.map((p, i) => `${i ? 'L' : 'M'}${at(p).join(' ')}`).join(''),
      })),
      boxes: this.bleeding().flatMap((work) => {
        const drawn = new Map<string, number>();
        return (work.result?.order ?? []).map((step, i) => {
          const partId = work.bleeders.find((b) => b.port.id === step.id)!.part.id;
          const [bx, by] = placeOf(partId);
          // Of two bleeders on a part the second stands beside the first, inwards.
          const nth = drawn.get(partId) ?? 0;
          drawn.set(partId, nth + 1);
          return {
            id: step.id,
            work,
            number: `${work.work === 'clutch' ? 'C' : ''}${i + 1}`,
            x: bx + nth * (bx < BOX.w / 2 ? 44 : -44),
            y: by,
            first: nth === 0,
          };
        });
      }),
      dots: joined(['tee', 'block', 'bracket']),
      // Masters that stand side by side are drawn side by side.
      masters: joined(['master', 'actuator']).reduce<{ name: number; x: number; y: number }[]>(
        (list, [mx, my], i) => {
          const beside = list.find((m) => Math.hypot(m.x - mx, m.y - my) < 31);
          return [...list, { name: i, x: beside ? beside.x - 31 : mx, y: my }];
        },
        [],
      ),
    };
  });
  protected readonly drawn = computed(() => {
    const laid = this.laid();
    return {
      ...laid,
      lines: laid.lines.map((line) => ({ ...line, slugs: this.slugs().get(line.id) ?? [] })),
      boxes: laid.boxes.map((box) => ({
        ...box,
        state: box.id === this.now() ? 'now' : this.done().includes(box.id) ? 'done' : 'open',
        airMl: this.heldAt(box.work, box.id),
      })),
    };
  });
}
