import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { beforeItCloses, byDay } from '@firm-line/core/stations/fit/gates';
import { provingTests } from '@firm-line/core/stations/prove';
import { floorView } from '@firm-line/core/stations/fit/tasks';
import {
  freshId,
  GATE,
  GATE_LOOK_KEYS,
  type Gate,
  type GateLook,
  type Ref,
  GATE_LOOKED,
} from '@firm-line/core/plan';
import { viewPlan } from '@firm-line/core/plan/results';
import { EmptyState } from '../../kit/empty-state';
import { Jump } from '../../session/jump';
import { PlanStore } from '../../session/plan-store';
import { FieldOf } from '../../kit/fields/field';
import { today } from '../../kit/today';

const STATION: Partial<Record<Ref['kind'], string>> = {
  port: 'measure',
  point: 'measure',
  line: 'route',
};

/** For each gate, what must be done while it is open: what is still open in the plan, and the work of Fit behind it. */
@Component({
  selector: 'fl-closes-page',
  imports: [EmptyState, FieldOf],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block overflow-auto p-4 print:overflow-visible print:p-0' },
  template: `
    <div class="flex flex-wrap items-center gap-3">
      <h2 class="mr-auto text-2xl font-bold">Before it closes</h2>
      <button type="button" class="btn print:hidden" (click)="add()">Add a gate</button>
      <button type="button" class="btn print:hidden" [disabled]="!gates().length" (click)="print()">
        Print the list
      </button>
    </div>
    @for (gate of gates(); track gate.id) {
      <section
        class="card mt-4 p-5 print:break-inside-avoid print:border-0 print:p-0"
        [attr.aria-label]="gate.name"
      >
        <div class="flex flex-wrap items-end gap-4">
          <fl-field
            class="min-w-48 flex-1"
            [of]="fields.name"
            label="What closes"
            [field]="'closes-name-' + gate.id"
            [value]="gate.name"
            (changed)="change(gate.id, { name: $event })"
          />
          <fl-field
            [of]="fields.on"
            [field]="'on-' + gate.id"
            [value]="gate.on"
            (changed)="change(gate.id, { on: $event ?? null })"
          />
          <fl-field
            [of]="fields.closed"
            [value]="gate.closed"
            (changed)="change(gate.id, { closed: $event })"
          />
        </div>
        <p class="mt-2 text-sm text-ink-soft">{{ gate.says }}</p>
        <ul class="mt-2">
          @for (task of gate.tasks; track task.id) {
            <li class="flex min-h-11 items-center gap-3 border-t border-rule py-1">
              <span
                class="w-5 text-center font-bold"
                [class]="task.done ? 'text-ok' : 'text-copper'"
                aria-hidden="true"
                >{{ task.done ? '✓' : '○' }}</span
              >
              <span class="min-w-0 flex-1"
                >{{ task.text
                }}<span class="sr-only">{{ task.done ? ': done' : ': open' }}</span></span
              >
              @if (task.station; as station) {
                <button
                  type="button"
                  class="link print:hidden"
                  [attr.aria-label]="'Show ' + task.text"
                  (click)="go(station, task.place)"
                >
                  Show
                </button>
              }
            </li>
          } @empty {
            <li class="border-t border-rule py-2 text-ink-soft">
              No lines or joints are behind this gate. Set what it closes on the Vehicle page, under
              Gates.
            </li>
          }
        </ul>
        <div class="mt-3 grid gap-x-4 gap-y-2 md:grid-cols-2">
          @for (look of looks; track look) {
            <fl-field
              [of]="looked[look]"
              [field]="'look-' + look + '-' + gate.id"
              [value]="gate.looked?.[look] ?? ''"
              (changed)="lookedAt(gate.id, look, $event ?? '')"
            />
          }
        </div>
      </section>
    } @empty {
      <fl-empty-state
        heading="No gate yet"
        text="A gate is a step that closes access: bed on, dash in, floor down. Add one with its date to see what must be done before."
      >
        <button type="button" class="btn-main" (click)="add()">Add a gate</button>
      </fl-empty-state>
    }
  `,
})
export class ClosesPage {
  protected readonly fields = GATE.fields;
  protected readonly looked = GATE_LOOKED.fields;
  private readonly store = inject(PlanStore);
  private readonly jump = inject(Jump);
  protected readonly looks = GATE_LOOK_KEYS;
  protected readonly gates = computed(() => {
    const view = viewPlan(this.store.plan());
    const floor = floorView(view);
    // Joints were held once their circuits were, as they are now.
    const held = new Set(
      provingTests(view).flatMap(({ hold, state }) =>
        hold && state === 'done' ? hold.circuitId : [],
      ),
    );
    return this.store
      .plan()
      .gates.toSorted(byDay)
      .map((gate) => {
        const fitted = floor.filter(({ task }) => task.gate?.id === gate.id);
        const tasks = [
          ...beforeItCloses(view, gate).flatMap(({ id, kind, text, place, circuitIds }) =>
            kind === 'run'
              ? []
              : [
                  {
                    id,
                    text,
                    place,
                    done: circuitIds?.every((of) => held.has(of)) ?? false,
                    station: STATION[place.kind] ?? null,
                  },
                ],
          ),
          ...fitted.map(({ task, state }) => ({
            id: task.id,
            text: task.name,
            place: task.place,
            done: state === 'done',
            station: 'fit',
          })),
        ];
        const left = tasks.filter(({ done }) => !done).length;
        return {
          ...gate,
          tasks,
          says: gate.closed
            ? 'Closed: the remaining work waits until it is opened again.'
            : this.says(left, gate.on ?? null),
        };
      });
  });
  private says(left: number, on: string | null): string {
    const what =
      left === 0 ? 'Nothing left to do' : left === 1 ? '1 task left' : `${left} tasks left`;
    if (!on) return `${what} before it closes; no date set.`;
    const days = Math.round((Date.parse(on) - Date.parse(today())) / 86_400_000);
    return days < 0
      ? `${what}; was due ${-days === 1 ? 'yesterday' : `${-days} days ago`}.`
      : `${what}, ${days === 0 ? 'today' : days === 1 ? 'by tomorrow' : `in ${days} days`}.`;
  }

  protected add(): void {
    const plan = this.store.plan();
    const gate: Gate = {
      id: freshId(plan, 'gate'),
      name: 'Bed on',
      minMm: [1500, -800, 400],
      maxMm: [3300, 800, 900],
      closed: false,
    };
    this.store.apply({ edit: 'addGate', with: { gate } });
  }
  protected change(id: string, patch: Partial<Omit<Gate, 'id'>>): void {
    this.store.apply({ edit: 'changeGate', with: { id, patch } });
  }
  protected lookedAt(id: string, look: GateLook, text: string): void {
    const gate = this.store.plan().gates.find((one) => one.id === id)!;
    this.change(id, { looked: { ...gate.looked, [look]: text } });
  }
  protected go(station: string, place: Ref): void {
    this.jump.to(station, place);
  }
  protected print(): void {
    window.print();
  }
}
