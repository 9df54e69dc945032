import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { plugsFor } from '@firm-line/core/trade/ends';
import { type Bench, type Part, type Port, type Ref, isActuated } from '@firm-line/core/plan';
import { newLine } from '@firm-line/core/plan/edits/new-line';
import { galleriesOf, brakesLostByLeakAt, planNetwork } from '@firm-line/core/plan/network';
import { ADAPTERS } from '@firm-line/core/trade/stock';
import { SnagRow } from '../../pieces/snag-row';
import { PlanStore } from '../../session/plan-store';
import { Selection } from '../../session/selection';
import { Jump } from '../../session/jump';
import { PartFiguresForm } from './part-figures-form';
import { PartPurposeForm } from './part-purpose-form';

/** What closes a spare port. */
function plugWords({ fitting }: Port, bench: Bench): string {
  if (!fitting) return 'Enter thread and seat to see which plug fits.';
  const [plug] = plugsFor(fitting.half, [...ADAPTERS, ...bench.adapters]);
  return plug ? `${plug.name} plugs this port.` : 'No plug in the catalog fits this port.';
}

/** The chosen part: what each of its ports is joined to, and joining one to another. */
@Component({
  selector: 'fl-part-panel',
  imports: [PartFiguresForm, PartPurposeForm, SnagRow],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="flex items-start gap-2">
      <h2 class="mr-auto text-2xl font-bold">{{ part().name }}</h2>
      <button type="button" class="btn" (click)="remove()">Delete</button>
    </div>
    @for (snag of snags(); track $index) {
      <fl-snag-row class="mt-1" [snag]="snag" [named]="true" />
    }
    <ul class="mt-2">
      @for (row of rows(); track row.port.id) {
        <li class="border-t border-rule py-2" [attr.data-port]="row.port.id">
          <div class="flex items-center gap-2">
            <span class="mr-auto"
              ><strong>{{ row.port.name }}</strong>
              <span class="ml-1 text-sm text-ink-soft">{{ row.port.role }}</span></span
            >
            <button
              type="button"
              class="link px-2"
              (click)="jump.to('measure', { kind: 'port', id: row.port.id })"
              [attr.aria-label]="'Measure ' + row.port.name"
            >
              Measure
            </button>
          </div>
          @if (row.joined; as joined) {
            <div class="flex flex-wrap items-center gap-2 text-sm">
              <span class="mr-auto">{{ joined.words }}</span>
              <button
                type="button"
                class="link px-2"
                (click)="jump.to('route', joined.ref)"
                [attr.aria-label]="'Route ' + joined.name"
              >
                Route
              </button>
              @if (joined.ref.kind === 'line') {
                <button
                  type="button"
                  class="link px-2"
                  (click)="removeLine(joined.ref.id)"
                  [attr.aria-label]="'Remove ' + joined.name"
                >
                  Remove
                </button>
              }
            </div>
          } @else if (row.port.role === 'bleeder') {
            <p class="text-sm text-ink-soft">Fluid leaves here when the part is bled.</p>
          } @else {
            <form
              class="mt-1 flex gap-2"
              (submit)="$event.preventDefault(); join(row.port, other.value)"
            >
              <select
                #other
                class="field min-w-0 flex-1"
                [attr.aria-label]="'Join ' + row.port.name + ' to'"
              >
                <option value="">Open: join to…</option>
                @for (free of row.free; track free.id) {
                  <option [value]="free.id">{{ free.name }}</option>
                }
              </select>
              <button type="submit" class="btn px-3">Join</button>
            </form>
            @if (row.plug) {
              <p class="mt-1 text-sm text-ink-soft" data-test="plug">{{ row.plug }}</p>
            }
          }
        </li>
      }
    </ul>
    @if (leaks().length) {
      <section
        class="mt-3 border-t border-rule pt-2 text-sm"
        aria-label="Effect of a leak"
        data-test="lost"
      >
        @for (leak of leaks(); track leak.at) {
          <p class="py-0.5">
            <strong>{{ leak.at }}</strong> {{ leak.words }}
          </p>
        }
      </section>
    }
    <fl-part-purpose-form [part]="part()" />
    <fl-part-figures-form [part]="part()" />
  `,
})
export class PartPanel {
  private readonly store = inject(PlanStore);
  private readonly selection = inject(Selection);
  protected readonly jump = inject(Jump);
  readonly part = input.required<Part>();

  protected readonly snags = computed(() => {
    const ports = new Set(this.part().ports.map((port) => port.id));
    return this.store
      .laidOutSnags()
      .filter(({ place }) => place.kind === 'port' && ports.has(place.id));
  });
  /** What one leak takes and what is left, for each of its galleries where it has several. */
  protected readonly leaks = computed(() => {
    const { plan } = this.store.view();
    const network = planNetwork(plan);
    const galleries = galleriesOf(this.part()).filter(
      ([first]) => first && network.index.has(first.id),
    );
    const names = (parts: readonly Part[]): string => parts.map(({ name }) => name).join(', ');
    return galleries.flatMap(([first]) => {
      const gone = brakesLostByLeakAt(network, plan.parts, first!.id);
      const left = plan.parts.filter((part) => isActuated(part) && !gone.includes(part));
      const words = `${names(gone)} ${gone.length > 1 ? 'are' : 'is'} lost; ${left.length ? `${names(left)} ${left.length > 1 ? 'are' : 'is'} left` : 'nothing is left'}.`;
      return gone.length
        ? [{ at: galleries.length > 1 ? `If ${first!.name} leaks:` : 'If this part leaks:', words }]
        : [];
    });
  });
  protected readonly rows = computed(() => {
    const view = this.store.view();
    // What each port is joined by: a line, or a hose that is screwed to it.
    const held = new Map<string, { name: string; words: string; ref: Ref }>();
    const hold = (
      portId: string | null | undefined,
      kind: 'line' | 'hose',
      id: string,
      name: string,
      to: string,
    ): void => {
      if (portId) held.set(portId, { name, words: `${name}${to}`, ref: { kind, id } });
    };
    for (const { ends, id, name } of view.plan.hoses)
      for (const { portId, through } of [ends.a, ends.b])
        if (!through) hold(portId, 'hose', id, name, ', a hose');
    for (const { line, ports } of view.lines)
      for (const [at, far] of [
        [ports.a, ports.b],
        [ports.b, ports.a],
      ] as const)
        hold(
          at?.port.id,
          'line',
          line.id,
          line.name,
          ` to ${far ? `${far.part.name}, ${far.port.name}` : 'an open end'}`,
        );
    const open = [...view.ports.values()].filter(
      ({ part, port }) =>
        part.id !== this.part().id &&
        !held.has(port.id) &&
        port.role !== 'bleeder' &&
        port.role !== 'spare',
    );
    return this.part().ports.map((port) => {
      return {
        port,
        joined: held.get(port.id) ?? null,
        plug: port.role === 'spare' ? plugWords(port, this.store.plan().bench) : '',
        free: open.map((o) => ({ id: o.port.id, name: `${o.part.name}, ${o.port.name}` })),
      };
    });
  });

  /** A line between two ports, in the circuit of the lines that meet at either part already. */
  protected join(from: Port, otherId: string): void {
    const [plan, view] = [this.store.plan(), this.store.view()];
    const other = view.ports.get(otherId);
    if (!other) return;
    const parts = new Set([this.part().id, other.part.id]);
    const beside = view.lines.find((v) =>
      [v.ports.a, v.ports.b].some((p) => p && parts.has(p.part.id) && p.part.kind !== 'master'),
    );
    const circuitId = beside?.line.circuitId ?? plan.circuits[0]!.id;
    const [a, b] = from.role === 'inlet' ? [other.port, from] : [from, other.port];
    const line = newLine(plan, a, b, circuitId, (beside?.line.name ?? 'L').slice(0, 1));
    if (this.store.apply({ edit: 'addLine', with: { line } })) this.selection.chooseLine(line.id);
  }
  protected removeLine(lineId: string): void {
    this.store.apply({ edit: 'removeLine', with: { id: lineId } });
  }
  protected remove(): void {
    this.store.apply({ edit: 'removePart', with: { id: this.part().id } });
  }
}
