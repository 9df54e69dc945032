import { byAxis, mapVec, type Vec3 } from '@firm-line/core/lib/vec';
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { Thing } from '@firm-line/core/shape/obstacles';
import { newThing } from '@firm-line/core/shape/obstacles/fresh';
import { freshId, type Part, type TurnAxis } from '@firm-line/core/plan';
import { VectorField } from '../../kit/fields/vector-field';
import { PlanStore } from '../../session/plan-store';
import { Jump } from '../../session/jump';

const BODY_MM = 40;
const NOWHERE: Vec3 = [0, 0, 0];
const TURNS: readonly (readonly [TurnAxis, string])[] = [
  ['upright', 'Turn, seen from above'],
  ['across', 'Turn, seen from the side'],
  ['fore', 'Turn, seen from behind'],
];

/** A part as a whole: moved and turned with its ports, its body and its lines. */
@Component({
  selector: 'fl-part-place',
  imports: [VectorField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <h4 class="mt-3 font-semibold">Move the whole part</h4>
    <div class="mt-1 grid max-w-md grid-cols-3 gap-2">
      <fl-vector-field [labels]="labels" [valueMm]="nowhere" (changed)="move($event)" />
    </div>
    <div class="mt-2 flex flex-wrap gap-2">
      @for (turn of turns; track turn[0]) {
        <button type="button" class="btn px-3" (click)="quarter(turn[0])">{{ turn[1] }}</button>
      }
      @for (body of bodies(); track body.id) {
        <button
          type="button"
          class="btn px-3"
          (click)="jump.to('measure', { kind: 'thing', id: body.id })"
        >
          Select body
        </button>
      } @empty {
        <button type="button" class="btn px-3" (click)="addBody('block')">Add body: box</button>
        <button type="button" class="btn px-3" (click)="addBody('pipe')">Add body: cylinder</button>
      }
    </div>
    <p class="mt-1 text-sm text-ink-soft">
      Ports, body and line ends move too. A turn is 90° about the first port. Taped positions become
      estimates. Lines keep clear of a body, and heat is checked against it.
    </p>
  `,
})
export class PartPlace {
  private readonly store = inject(PlanStore);
  protected readonly jump = inject(Jump);
  readonly part = input.required<Part>();
  protected readonly labels = ['Move aft by', 'Move right by', 'Move up by'];
  protected readonly nowhere = NOWHERE;
  protected readonly turns = TURNS;
  protected readonly bodies = computed(() =>
    this.store.plan().things.filter(({ partId }) => partId === this.part().id),
  );

  protected move(byMm: Vec3): void {
    this.store.apply({ edit: 'movePart', with: { id: this.part().id, byMm } });
  }
  protected quarter(turn: TurnAxis): void {
    this.store.apply({
      edit: 'movePart',
      with: { id: this.part().id, byMm: NOWHERE, turn, quarters: 1 },
    });
  }
  /** Round its ports to begin with: a guess. */
  protected addBody(kind: 'block' | 'pipe'): void {
    const plan = this.store.plan();
    const { ports } = this.store.view();
    const at = this.part()
      .ports.filter(({ role }) => role !== 'bleeder')
      .map(({ id }) => ports.get(id)!.fixed.atMm);
    const each = (of: typeof Math.min): Vec3 =>
      byAxis((axis) => of(...at.map((p) => p[axis]!), ...(at.length ? [] : [0])));
    const [low, high] = [each(Math.min), each(Math.max)];
    const grown = (v: Vec3, by: number): Vec3 => mapVec(v, (n) => n + by);
    const middle = mapVec(low, (v, i) => (v + high[i]!) / 2);
    const shape: Thing['shape'] =
      kind === 'block'
        ? { kind, minMm: grown(low, -BODY_MM / 2), maxMm: grown(high, BODY_MM / 2) }
        : {
            kind,
            pathMm: [
              [low[0] - BODY_MM, middle[1], middle[2]],
              [high[0] + BODY_MM, middle[1], middle[2]],
            ],
            diameterMm: BODY_MM,
          };
    const id = freshId(plan, 'thing');
    const thing: Thing = {
      ...newThing(id, `${this.part().name}, body`, 'body'),
      shape,
      partId: this.part().id,
    };
    if (this.store.apply({ edit: 'addThing', with: { thing } }))
      this.jump.to('measure', { kind: 'thing', id });
  }
}
