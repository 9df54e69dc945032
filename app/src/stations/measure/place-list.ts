import { ChangeDetectionStrategy, Component, computed, inject, output } from '@angular/core';
import { figure } from '@firm-line/core/lib/faults';
import { newPort, type Part, type ResolvedPosition, type Target } from '@firm-line/core/plan';
import { formatLength } from '@firm-line/core/lib/units';
import { AddPart } from '../../pieces/add-part';
import { PlanStore } from '../../session/plan-store';
import { Selection } from '../../session/selection';
import { newPoint } from './new-point';
import { PlaceRow } from './place-row';

const HOW = { guessed: 'guess', typed: 'typed', sheet: 'sheet', taped: 'taped' } as const;

/** Datums, points, parts and ports, each with how sure it is. */
@Component({
  selector: 'fl-place-list',
  imports: [PlaceRow, AddPart],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="flex items-center justify-between">
      <h2 class="h2">Datums and points</h2>
      <button type="button" class="btn px-3" (click)="addPoint()">Add point</button>
    </div>
    <ul class="mt-1">
      @for (row of points(); track row.target.id) {
        <li><fl-place-row [row]="row" (chosen)="choose($event)" /></li>
      } @empty {
        <li class="py-2 text-sm text-ink-soft">
          Start here. Add three or more points on the frame whose positions you know and where a
          tape can hook. Everything else is taped from these datums.
        </li>
      }
    </ul>
    <h2 class="h2 mt-5">Parts and ports</h2>
    <fl-add-part (added)="added($event)" />
    @for (part of parts(); track part.id) {
      <h3 class="mt-2 px-2 text-sm font-bold">{{ part.name }}</h3>
      <ul>
        @for (row of part.ports; track row.target.id) {
          <li class="pl-3"><fl-place-row [row]="row" (chosen)="choose($event)" /></li>
        } @empty {
          <li class="flex items-center gap-2 py-1 pl-3 text-sm">
            <span class="flex-1 text-ink-soft">No ports left.</span>
            <button
              type="button"
              class="btn px-3"
              (click)="addPort(part.id)"
              [attr.aria-label]="'Add a port to ' + part.name"
            >
              Add a port
            </button>
            <button
              type="button"
              class="btn px-3"
              (click)="removePart(part.id)"
              [attr.aria-label]="'Delete ' + part.name"
            >
              Delete
            </button>
          </li>
        }
      </ul>
    } @empty {
      <p class="border-t border-rule py-2 text-sm text-ink-soft">
        Then add the parts that lines will join: master cylinder, tees, hose brackets at the wheels.
      </p>
    }
  `,
})
export class PlaceList {
  private readonly store = inject(PlanStore);
  private readonly selection = inject(Selection);
  readonly chosen = output<Target>();

  private sure(fixed: ResolvedPosition, how: keyof typeof HOW): { sure: string; open: boolean } {
    if (fixed.fault) return { sure: '△ not located', open: true };
    if (fixed.survey && fixed.survey.suspect !== null) return { sure: '△ read again', open: true };
    const most = 2 * Math.max(...fixed.sigmaMm);
    const shown =
      this.store.units() === 'metric'
        ? figure(most, most < 10 ? 1 : 0)
        : formatLength(most, 'inch');
    return {
      sure: `${how === 'guessed' ? '△ ' : ''}${HOW[how]} ±${shown}`,
      open: how === 'guessed',
    };
  }
  protected readonly points = computed(() =>
    [...this.store.view().points.values()].map(({ point, fixed }) => ({
      target: { kind: 'point', id: point.id } as const,
      name: point.name,
      ...this.sure(fixed, point.known.how),
    })),
  );
  protected readonly parts = computed(() => {
    const view = this.store.view();
    return (view?.plan.parts ?? []).map((part) => ({
      id: part.id,
      name: part.name,
      ports: part.ports.map((port) => ({
        target: { kind: 'port', id: port.id } as const,
        name: port.name,
        ...this.sure(view!.ports.get(port.id)!.fixed, port.known.how),
      })),
    }));
  });
  protected choose(target: Target): void {
    this.selection.chooseTarget(target);
    this.chosen.emit(target);
  }
  protected added(part: Part): void {
    const [port] = part.ports;
    if (port) this.choose({ kind: 'port', id: port.id });
  }
  protected addPort(partId: string): void {
    const port = newPort(this.store.plan());
    if (this.store.apply({ edit: 'addPort', with: { partId, port } }))
      this.choose({ kind: 'port', id: port.id });
  }
  protected removePart(id: string): void {
    this.store.apply({ edit: 'removePart', with: { id } });
  }
  protected addPoint(): void {
    const point = newPoint(this.store.plan());
    this.store.apply({ edit: 'addPoint', with: { point } });
    this.choose({ kind: 'point', id: point.id });
  }
}
