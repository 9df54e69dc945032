import { ChangeDetectionStrategy, Component, computed, inject, resource } from '@angular/core';
import { viewPlan } from '@firm-line/core/plan/results';
import { fluidOfWork } from '@firm-line/core/stations/fill';
import { isMade } from '@firm-line/core/stations/make/making';
import { FLARES, hoseById, hoseFittingById } from '@firm-line/core/trade/stock';
import { formatLengthUnit } from '@firm-line/core/lib/units';
import { EmptyState } from '../../kit/empty-state';
import { PlanStore } from '../../session/plan-store';

interface Tag {
  readonly code: string;
  readonly title: string;
  readonly lines: readonly string[];
  /** What find anything takes: the plan's id and the code. */
  readonly text: string;
}

/** A tag for every line and an order sheet for every hose, and all lines on one page. */
@Component({
  selector: 'fl-tags-page',
  imports: [EmptyState],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block p-5 print:p-0' },
  template: `
    <div class="flex flex-wrap items-end gap-3 print:hidden">
      <h2 class="mr-auto text-2xl font-bold">Tags and line map</h2>
      <button type="button" class="btn" [disabled]="!tags().length" (click)="print()">Print</button>
    </div>
    @if (tags().length) {
      <p class="mt-1 text-sm text-ink-soft print:hidden">
        Cut the tags apart and tie one to each line. The QR code holds plan and line code as text.
        Scan or type it into Find anything.
      </p>
      <ul
        class="mt-3 grid gap-3 sm:grid-cols-2 xl:grid-cols-3 print:grid-cols-2 print:gap-0"
        aria-label="Tags"
      >
        @for (tag of tags(); track tag.text) {
          <li
            class="card flex items-start gap-4 p-4 print:break-inside-avoid print:rounded-none print:border print:border-dashed"
          >
            <div class="min-w-0 flex-1">
              <p class="text-3xl font-bold">{{ tag.code }}</p>
              <p class="font-semibold">{{ tag.title }}</p>
              @for (line of tag.lines; track $index) {
                <p class="text-sm">{{ line }}</p>
              }
            </div>
            @if (codes.value()?.get(tag.text); as d) {
              <svg
                viewBox="0 0 1 1"
                class="size-24 shrink-0"
                role="img"
                [attr.aria-label]="'Code of ' + tag.text"
              >
                <rect width="1" height="1" fill="#fff" />
                <path [attr.d]="d" fill="#000" />
              </svg>
            }
          </li>
        }
      </ul>
      <section class="card mt-5 p-5 print:break-before-page" aria-label="Line map">
        <h2 class="h2">Line map</h2>
        <table class="w-full text-left">
          <thead class="text-sm text-ink-soft">
            <tr>
              <th class="py-1 pr-3 font-normal">Line</th>
              <th class="pr-3 font-normal">From</th>
              <th class="pr-3 font-normal">To</th>
              <th class="pr-3 font-normal">Circuit</th>
              <th class="pr-3 text-right font-normal">Length</th>
              <th class="font-normal">State</th>
            </tr>
          </thead>
          <tbody>
            @for (row of map(); track row.id) {
              <tr class="border-t border-rule">
                <td class="py-1 pr-3 font-bold">{{ row.code }}</td>
                <td class="pr-3">{{ row.from }}</td>
                <td class="pr-3">{{ row.to }}</td>
                <td class="pr-3">{{ row.circuit }}</td>
                <td class="pr-3 text-right font-mono">{{ row.length }}</td>
                <td>{{ row.state }}</td>
              </tr>
            }
          </tbody>
        </table>
      </section>
    } @else {
      <fl-empty-state
        heading="No line yet"
        text="Print a tag for each line and hose: code, ends, fluid and length. Add a line in Route first."
      />
    }
  `,
})
export class TagsPage {
  private readonly store = inject(PlanStore);
  private full(mm: number): string {
    return formatLengthUnit(mm, this.store.units());
  }
  protected readonly tags = computed((): Tag[] => {
    const plan = this.store.plan();
    const works = new Map(plan.circuits.map(({ id, work }) => [id, work]));
    const view = viewPlan(plan);
    const fluidOf = (circuitId: string): string => {
      const work = works.get(circuitId);
      return work ? fluidOfWork(view, work).name : '';
    };
    const lines = this.store.view().lines.map(({ line, card, ports, nuts }): Tag => ({
      code: line.name,
      title: line.title,
      text: `${plan.id} ${line.name}`,
      lines: [
        ...(['a', 'b'] as const).map(
          (end) =>
            `${end.toUpperCase()}: ${ports[end] ? `${ports[end].part.name}, ${ports[end].port.name}` : 'open'}; ${FLARES[line.ends[end].flare].name.toLowerCase()}, ${nuts[end].name}`,
        ),
        `${card ? this.full(card.stockCutMm) : 'no length yet'}; ${fluidOf(line.circuitId)}`,
      ],
    }));
    const hoses = plan.hoses.map((hose): Tag => {
      const ends = (['a', 'b'] as const).map((end) => {
        const { fittingId, half } = hose.ends[end];
        return `${end.toUpperCase()}: ${hoseFittingById(fittingId)!.name}${half ? `, ${half.thread} ${half.gender}` : ''}`;
      });
      return {
        code: hose.name,
        title: hose.title,
        text: `${plan.id} ${hose.name}`,
        lines: [
          `Order sheet: ${hoseById(hose.stockId)!.name}, ${this.full(hose.orderMm)} between the seats’ faces`,
          ...ends,
          `${hose.service === 'feed' ? 'feed' : 'pressure'}; ${fluidOf(hose.circuitId)}`,
        ],
      };
    });
    return [...lines, ...hoses];
  });
  /** Squares of the tags as paths in a unit box. */
  protected readonly codes = resource({
    params: () =>
      this.tags()
        .map(({ text }) => text)
        .join('\n'),
    loader: async ({ params }) => {
      // The package is one object in the built app, and its own names where it is loaded as it is.
      const qr = await import('qrcode/lib/core/qrcode.js');
      const create = qr.create ?? qr.default.create;
      return new Map(
        params
          .split('\n')
          .filter(Boolean)
          .map((text) => {
            const { modules } = create(text, { errorCorrectionLevel: 'M' });
            const n = modules.size + 8;
            const cells = Array.from({ length: modules.size ** 2 }, (_, i) => i).filter(
              (i) => modules.data[i],
            );
            return [
              text,
              cells
                .map(
                  (i) =>
                    `M${((i % modules.size) + 4) / n} ${(Math.floor(i / modules.size) + 4) / n}h${1 / n}v${1 / n}h${-1 / n}z`,
                )
                .join(''),
            ] as const;
          }),
      );
    },
  });
  protected readonly map = computed(() => {
    const circuits = new Map(this.store.plan().circuits.map(({ id, name }) => [id, name]));
    return this.store.view().lines.map((view) => ({
      id: view.line.id,
      code: view.line.name,
      from: view.ports.a ? `${view.ports.a.part.name}, ${view.ports.a.port.name}` : 'open',
      to: view.ports.b ? `${view.ports.b.part.name}, ${view.ports.b.port.name}` : 'open',
      circuit: circuits.get(view.line.circuitId) ?? '',
      length: view.card ? this.full(view.card.developedMm) : '–',
      state:
        view.line.origin === 'kept'
          ? 'kept'
          : view.line.origin === 'bought'
            ? 'bought'
            : isMade(view)
              ? 'made'
              : view.line.ticks.length
                ? 'begun'
                : 'to make',
    }));
  });
  protected print(): void {
    window.print();
  }
}
