import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import type { Part } from '@firm-line/core/plan';
import { LAYOUTS } from '@firm-line/core/proposals/layouts';
import { PanelLayout } from '../../kit/panel-layout';
import { AddPart } from '../../pieces/add-part';
import { Hints } from '../../pieces/hints';
import { PlanStore } from '../../session/plan-store';
import { Selection } from '../../session/selection';
import { CircuitDrawing } from './circuit-drawing';
import { PartPanel } from './part-panel';
import { EmptyState } from '../../kit/empty-state';

@Component({
  selector: 'fl-plumb-station',
  imports: [EmptyState, Hints, CircuitDrawing, PartPanel, AddPart],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: {
    class: 'flex min-h-0 flex-1 flex-col',
    '[class]': "room.full() ? 'h-dvh' : 'lg:h-[calc(100dvh-4.3rem)] lg:flex-none'",
  },
  template: `
    <h1 class="sr-only">Plumb</h1>
    @if (store.view(); as view) {
      <div
        class="grid min-h-0 flex-1 lg:grid-rows-[minmax(0,1fr)]"
        [class]="room.alone() ? '' : 'lg:grid-cols-[1fr_20rem]'"
      >
        <section class="flex min-h-[32rem] min-w-0 flex-col lg:min-h-0" aria-label="The circuits">
          <ul class="flex flex-wrap gap-x-6 gap-y-1 px-4 pt-3 text-sm" aria-label="Circuits">
            @for (circuit of circuits(); track circuit.id) {
              <li class="flex items-center gap-2">
                <span
                  class="h-1.5 w-8 rounded"
                  [class]="
                    { fluid: 'bg-fluid', copper: 'bg-copper', slate: 'bg-slate' }[circuit.ink]
                  "
                ></span
                >{{ circuit.name }}
              </li>
            }
            <li class="flex items-center gap-2">
              <svg viewBox="-6 -10 12 12" class="size-4" aria-hidden="true">
                <path d="M-4 0 0 -9 4 0z" class="fill-fluid stroke-ink" /></svg
              >has a bleeder
            </li>
          </ul>
          @if (view.plan.parts.length) {
            <fl-circuit-drawing
              class="min-h-0 flex-1"
              [partId]="part()?.id ?? null"
              [lineId]="lineId()"
              (picked)="choose($event)"
            >
              @if (!room.full()) {
                <button
                  type="button"
                  class="bar-btn max-lg:hidden"
                  (click)="room.toggleFolded()"
                  title="Collapse or open the panel (b)"
                >
                  {{ room.folded() ? 'Panel' : 'Collapse' }}
                </button>
              }
            </fl-circuit-drawing>
          } @else {
            <fl-empty-state
              heading="No parts yet"
              text="This page draws the circuits and shows what one leak would lose. Start from a layout, or add parts and join their ports."
            />
          }
        </section>
        <aside
          class="min-h-0 overflow-auto border-rule bg-sheet p-4 lg:border-l"
          [class.hidden]="room.alone()"
          aria-label="Selected part"
          tabindex="0"
        >
          <fl-hints station="plumb" />
          @if (part(); as chosen) {
            <fl-part-panel [part]="chosen" />
          }
          <h2 class="h2 mt-5">Add a part</h2>
          <fl-add-part (added)="choose($event.id)" />
          <h2 class="h2 mt-5">Start from a layout</h2>
          <p class="text-sm text-ink-soft">
            The layout is added to the plan. Every position in it is an estimate until you measure
            it.
          </p>
          <form
            class="my-1 flex flex-wrap gap-2"
            (submit)="$event.preventDefault(); start(layout.value)"
          >
            <select #layout class="field w-full" aria-label="Layout">
              @for (option of layouts; track option.id) {
                <option [value]="option.id">{{ option.name }}</option>
              }
            </select>
            <button type="submit" class="btn px-3">Add layout</button>
          </form>
          <p class="mt-5 text-sm text-ink-soft">
            The part makers’ sheets and local rules come first. Never swap the feed and pressure
            ports of a master cylinder. A hydraulic handbrake is no parking brake.
          </p>
        </aside>
      </div>
    }
  `,
})
export class PlumbStation {
  protected readonly store = inject(PlanStore);
  protected readonly selection = inject(Selection);
  protected readonly room = inject(PanelLayout);
  protected readonly layouts = LAYOUTS;

  /** The part of the chosen port, else the first. */
  protected readonly part = computed((): Part | null => {
    const { ports, plan } = this.store.view();
    const [ref, target] = [this.selection.ref(), this.selection.target()];
    const chosen = ref?.kind === 'part' ? plan.parts.find(({ id }) => id === ref.id) : undefined;
    return chosen ?? (target && ports.get(target.id)?.part) ?? plan.parts[0] ?? null;
  });

  /** Circuits that have lines. */
  protected readonly circuits = computed(() =>
    this.store
      .plan()
      .circuits.filter((circuit) =>
        this.store.plan().lines.some((line) => line.circuitId === circuit.id),
      ),
  );
  protected readonly lineId = computed(() => this.selection.line()?.line.id ?? null);

  protected choose(partId: string): void {
    this.selection.choose({ kind: 'part', id: partId });
  }
  protected start(id: string): void {
    const plan = this.store.plan();
    const drawn = LAYOUTS.find((layout) => layout.id === id)!.draw(plan);
    const added = <T extends { id: string }>(after: readonly T[], before: readonly T[]): T[] =>
      after.filter((item) => !before.some((old) => old.id === item.id));
    const parts = added(drawn.parts, plan.parts);
    this.store.apply({
      edit: 'addLayout',
      with: {
        parts,
        circuits: added(drawn.circuits, plan.circuits),
        lines: added(drawn.lines, plan.lines),
        hoses: added(drawn.hoses, plan.hoses),
      },
    });
    if (parts[0]) this.choose(parts[0].id);
  }
}
