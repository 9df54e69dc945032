import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { beforeItCloses, byDay } from '@firm-line/core/stations/fit/gates';
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
import { CheckField } from '../../kit/fields/check-field';
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

/** For each gate, what must be done while it is open. */
@Component({
  selector: 'fl-closes-page',
  imports: [CheckField, EmptyState, FieldOf],
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
            <li class="flex items-center gap-3 border-t border-rule">
              <fl-check-field
                class="min-w-0 flex-1"
                [label]="task.text"
                [checked]="task.done"
                (changed)="tick(gate.id, task.id, $event)"
              />
              @if (task.goes) {
                <button
                  type="button"
                  class="link print:hidden"
                  [attr.aria-label]="'Show ' + task.text"
                  (click)="go(task.place)"
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
    return this.store
      .plan()
      .gates.toSorted(byDay)
      .map((gate) => {
        const tasks = beforeItCloses(view, gate).map((task) => ({
          ...task,
          done: (gate.done ?? []).includes(task.id),
          goes: STATION[task.place.kind] !== undefined,
        }));
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
  protected tick(id: string, task: string, done: boolean): void {
    const gate = this.store.plan().gates.find((one) => one.id === id)!;
    const others = (gate.done ?? []).filter((one) => one !== task);
    this.change(id, { done: done ? [...others, task] : others });
  }
  protected go(place: Ref): void {
    this.jump.to(STATION[place.kind]!, place);
  }
  protected print(): void {
    window.print();
  }
}
