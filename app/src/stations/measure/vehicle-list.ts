import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  output,
  signal,
} from '@angular/core';
import {
  NATURE_NAMES,
  THING_KINDS,
  THING_SPECS,
  type Thing,
} from '@firm-line/core/shape/obstacles';
import { newThing } from '@firm-line/core/shape/obstacles/fresh';
import { CLIP_SETTINGS, freshId, GATE, type Gate } from '@firm-line/core/plan';
import { type Vec3 } from '@firm-line/core/lib/vec';
import { Meshes } from '../../storage/meshes';
import { PlanStore } from '../../session/plan-store';
import { Disclosure } from '../../kit/disclosure';
import { VectorField } from '../../kit/fields/vector-field';
import { ListRow } from '../../kit/list-row';
import { FieldOf } from '../../kit/fields/field';
import { FileField } from '../../kit/fields/file-field';

const DRAWN_KINDS = THING_KINDS.filter((kind) => kind !== 'mesh');

/** What a line meets on the vehicle: rails, axles, exhaust, zones; the gates that close access; how lines are held. */
@Component({
  selector: 'fl-vehicle-list',
  imports: [FileField, Disclosure, FieldOf, ListRow, VectorField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <h2 class="h2">On the vehicle</h2>
    <form class="my-1 flex gap-2" (submit)="$event.preventDefault(); add(kind.value)">
      <select #kind class="field min-w-0 flex-1" aria-label="Kind of item">
        @for (one of kinds; track one) {
          <option [value]="one">{{ specs[one].name }}</option>
        }
      </select>
      <button type="submit" class="btn px-3">Add</button>
    </form>
    <fl-disclosure class="mb-2" summary="Add a scan or model…">
      <div class="flex gap-2 py-1">
        <select #units class="field min-w-0 flex-1" aria-label="Units of the file">
          <option value="1">in millimeters</option>
          <option value="25.4">in inches</option>
          <option value="1000">in meters</option>
        </select>
        <fl-file-field
          [label]="reading() ? 'Reading…' : 'Choose mesh file'"
          accept=".glb,.gltf,.stl,.obj"
          [disabled]="reading()"
          (picked)="bring($event[0]!, +units.value)"
        />
      </div>
      @if (fault(); as text) {
        <p class="fault" role="alert">{{ text }}</p>
      }
      <p class="text-sm text-ink-soft">
        glTF, STL or OBJ. Stored in this browser. Clearances to it are checked.
      </p>
    </fl-disclosure>
    <ul>
      @for (thing of things(); track thing.id) {
        <li class="border-t border-rule">
          <button
            [flListRow]="thing.id === chosen()"
            [attr.data-thing]="thing.id"
            (click)="picked.emit(thing.id)"
          >
            <span class="flex-1">{{ thing.name }}</span><span class="text-sm text-ink">{{
              thing.says
            }}</span>
          </button>
        </li>
      } @empty {
        <li class="py-2 text-sm text-ink-soft">
          Start with the rails and members that lines are clipped to, then anything hot or moving.
          Clearances, clips and route finding use these.
        </li>
      }
    </ul>
    <h2 class="h2 mt-5">Gates</h2>
    <p class="text-sm text-ink-soft">
      A gate is a step that closes access: bed on, dash in. Joints inside must be finished before.
    </p>
    @for (gate of gates(); track gate.id) {
      <div class="flex items-center gap-2 border-t border-rule py-1">
        <fl-field
          class="min-w-0 flex-1"
          [of]="gateFields.name"
          [label]="'Name of gate ' + gate.name"
          [field]="'gate-' + gate.id"
          [bare]="true"
          [value]="gate.name"
          (changed)="changeGate(gate.id, { name: $event })"
        />
        <fl-field
          [of]="gateFields.closed"
          [value]="gate.closed"
          (changed)="changeGate(gate.id, { closed: $event })"
        />
        <button
          type="button"
          class="btn px-3"
          [attr.aria-label]="'Delete gate ' + gate.name"
          (click)="removeGate(gate.id)"
        >
          ×
        </button>
      </div>
      <fl-disclosure class="pb-2" summary="Area closed">
        @for (side of sides; track side.key) {
          <div class="grid grid-cols-3 gap-1">
            <fl-vector-field
              [labels]="side.labels"
              [valueMm]="gate[side.key]"
              (changed)="changeGate(gate.id, side.of($event))"
            />
          </div>
        }
      </fl-disclosure>
    }
    <button type="button" class="btn mt-1" (click)="addGate()">Add a gate</button>
    @if (holding(); as held) {
      <h2 class="h2 mt-5">Clip settings</h2>
      <p class="text-sm text-ink-soft">
        Starting limits are common practice. Set the vibration of your own vehicle.
      </p>
      <div class="grid grid-cols-2 gap-2">
        <fl-field
          [of]="fields.frameHz"
          [value]="held.frameHz"
          (changed)="hold({ frameHz: $event })"
        />
        <fl-field
          [of]="fields.engineHz"
          [value]="held.engineHz"
          (changed)="hold({ engineHz: $event })"
        />
        <fl-field [of]="fields.margin" [value]="held.margin" (changed)="hold({ margin: $event })" />
        <fl-field [of]="fields.nearMm" [value]="held.nearMm" (changed)="hold({ nearMm: $event })" />
        <fl-field
          [of]="fields.maxSpanMm"
          [value]="held.maxSpanMm"
          (changed)="hold({ maxSpanMm: $event })"
        />
        <fl-field [of]="fields.endMm" [value]="held.endMm" (changed)="hold({ endMm: $event })" />
        <fl-field
          [of]="fields.reachMm"
          [value]="held.reachMm"
          (changed)="hold({ reachMm: $event })"
        />
      </div>
    }
  `,
})
export class VehicleList {
  protected readonly gateFields = GATE.fields;
  protected readonly fields = CLIP_SETTINGS.fields;
  private readonly store = inject(PlanStore);
  private readonly meshes = inject(Meshes);
  protected readonly reading = signal(false);
  protected readonly fault = signal<string | null>(null);
  readonly chosen = input.required<string | null>();
  readonly picked = output<string>();
  protected readonly kinds = DRAWN_KINDS;
  protected readonly specs = THING_SPECS;
  protected readonly sides = [
    { key: 'minMm', labels: ['from x', 'from y', 'from z'], of: (minMm: Vec3) => ({ minMm }) },
    { key: 'maxMm', labels: ['to x', 'to y', 'to z'], of: (maxMm: Vec3) => ({ maxMm }) },
  ] as const;
  protected readonly things = computed(() =>
    this.store.plan().things.map(({ id, name, nature, travel, holds }) => ({
      id,
      name,
      says:
        nature === 'solid'
          ? holds
            ? 'holds clips'
            : 'solid'
          : `${NATURE_NAMES[nature]}${travel ? ', travels' : ''}`,
    })),
  );
  protected readonly gates = computed(() => this.store.plan().gates);
  protected readonly holding = computed(() => this.store.plan().clipSettings ?? null);

  protected add(text: string): void {
    const kind = DRAWN_KINDS.find((one) => one === text)!;
    const plan = this.store.plan();
    const same = plan.things.filter((thing) => thing.kind === kind).length;
    const { name } = THING_SPECS[kind];
    const thing = newThing(freshId(plan, 'thing'), same ? `${name} ${same + 1}` : name, kind);
    if (this.store.apply({ edit: 'addThing', with: { thing } })) this.picked.emit(thing.id);
  }
  /** Reads a mesh in the background and sets it down; a file that cannot be taken changes nothing. */
  protected async bring(file: File, scale: number): Promise<void> {
    this.fault.set(null);
    this.reading.set(true);
    try {
      const { digest } = await this.meshes.import(file);
      const plan = this.store.plan();
      const { nature, keepMm, holds } = THING_SPECS.mesh;
      const thing: Thing = {
        id: freshId(plan, 'thing'),
        name: file.name.slice(0, 80),
        kind: 'mesh',
        shape: { kind: 'mesh', digest, scale, atMm: [0, 0, 0] },
        nature,
        keepMm,
        holds,
        surfaceC: null,
        travel: null,
      };
      if (this.store.apply({ edit: 'addThing', with: { thing } })) this.picked.emit(thing.id);
    } catch (error) {
      this.fault.set((error as Error).message);
    } finally {
      this.reading.set(false);
    }
  }
  protected addGate(): void {
    const plan = this.store.plan();
    const gate = {
      id: freshId(plan, 'gate'),
      name: 'Bed on',
      minMm: [1500, -800, 400],
      maxMm: [3300, 800, 900],
      closed: false,
    } as const;
    this.store.apply({ edit: 'addGate', with: { gate } });
  }
  protected changeGate(id: string, patch: Partial<Omit<Gate, 'id'>>): void {
    this.store.apply({ edit: 'changeGate', with: { id, patch } });
  }
  protected removeGate(id: string): void {
    this.store.apply({ edit: 'removeGate', with: { id } });
  }
  protected hold(patch: Partial<NonNullable<ReturnType<typeof this.holding>>>): void {
    this.store.apply({ edit: 'changeClipSettings', with: { patch } });
  }
}
