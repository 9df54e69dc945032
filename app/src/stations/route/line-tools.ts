import { mapVec, type Vec3 } from '@firm-line/core/lib/vec';
import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import {
  laidTemplate,
  RAIL_SIDES,
  type EditCall,
  type LineView,
  type TemplateBend,
} from '@firm-line/core/plan';
import { placeClips } from '@firm-line/core/plan/layout/place-clips';
import { InputError } from '@firm-line/core/lib/faults';
import { formatLengthUnit } from '@firm-line/core/lib/units';
import { LengthField } from '../../kit/fields/length-field';
import { NumberField } from '../../kit/fields/number-field';
import { PlanStore } from '../../session/plan-store';
import { Selection } from '../../session/selection';
import { Disclosure } from '../../kit/disclosure';

const NAMED_WAYS: Record<string, Vec3> = {
  up: [0, 0, 1],
  down: [0, 0, -1],
  left: [0, -1, 0],
  right: [0, 1, 0],
};

/** What can be done to the chosen line at one stroke: step aside, follow a rail, hold, mirror, cut, copy a template. */
@Component({
  selector: 'fl-line-tools',
  imports: [Disclosure, LengthField, NumberField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <fl-disclosure
      class="border-b border-rule px-4 py-1"
      data-test="line-tools"
      summary="Change the line…"
    >
      @if (fault(); as text) {
        <p class="fault" role="alert">{{ text }}</p>
      }
      <div class="flex flex-wrap gap-2 py-1">
        <button type="button" class="btn px-3" (click)="hold()">Place clips</button>
        <button
          type="button"
          class="btn px-3"
          (click)="run({ edit: 'swapEnds', with: { id: id() } })"
        >
          Swap ends
        </button>
        <button
          type="button"
          class="btn px-3"
          (click)="run({ edit: 'mirrorLine', with: { id: id() } })"
        >
          Mirror
        </button>
      </div>
      <fieldset class="border-t border-rule py-2">
        <legend class="label pr-2">From corner to corner</legend>
        <div class="grid grid-cols-2 gap-2">
          <fl-number-field
            label="From (0 is end A)"
            [most]="last()"
            [value]="from()"
            (changed)="from.set($event)"
          />
          <fl-number-field
            [label]="'To (' + last() + ' is end B)'"
            [most]="last()"
            [value]="toNode()"
            (changed)="to.set($event)"
          />
        </div>
        <div class="mt-1 flex flex-wrap items-end gap-2">
          <button
            type="button"
            class="btn px-3"
            (click)="run({ edit: 'straighten', with: { id: id(), from: from(), to: toNode() } })"
          >
            Straighten
          </button>
          <select #rail class="field basis-full" aria-label="Rail to follow">
            @for (one of rails(); track one.id) {
              <option [value]="one.id">{{ one.name }}</option>
            }
          </select>
          <select #side class="field" aria-label="Side of the rail">
            @for (one of sides; track one) {
              <option [value]="one">{{ one }}</option>
            }
          </select>
          <button
            type="button"
            class="btn px-3"
            [disabled]="!rails().length"
            (click)="follow(rail.value, side.value)"
          >
            Follow it
          </button>
        </div>
      </fieldset>
      <fieldset class="border-t border-rule py-2">
        <legend class="label pr-2">Change the move to corner {{ move() }}</legend>
        <div class="grid grid-cols-3 gap-2">
          <fl-number-field
            label="Move to corner"
            [least]="1"
            [most]="last()"
            [value]="move()"
            (changed)="moveAt.set($event)"
          />
          <fl-length-field
            label="Rise"
            [leastMm]="1"
            [valueMm]="riseMm()"
            (changed)="riseMm.set($event)"
          />
          <fl-number-field
            label="Bend, °"
            [least]="1"
            [most]="90"
            [value]="bendDeg()"
            (changed)="bendDeg.set($event)"
          />
        </div>
        <div class="mt-1 flex flex-wrap items-end gap-2">
          <select #way class="field" aria-label="Step direction">
            @for (one of ways; track one) {
              <option [value]="one">{{ one }}</option>
            }
          </select>
          <button type="button" class="btn px-3" (click)="step(way.value, null)">Add offset</button>
          <button type="button" class="btn px-3" (click)="step(way.value, 100)">Add saddle</button>
          <button type="button" class="btn px-3" (click)="split('union')">Add union here</button>
          <button type="button" class="btn px-3" (click)="split('bulkhead')">
            Add bulkhead here
          </button>
        </div>
      </fieldset>
      <fieldset class="border-t border-rule py-2">
        <legend class="label pr-2">Copy a wire template or old line</legend>
        <label class="label block" for="template-bends"
          >Feed, rotation and angle of each bend, then the tail</label
        >
        <textarea
          #field
          id="template-bends"
          class="field w-full font-mono"
          rows="3"
          placeholder="45 0 90&#10;220 180 30&#10;160"
          [value]="template()"
          (input)="template.set(field.value)"
        ></textarea>
        <p class="text-sm" [class.fault]="laid().fault" data-test="template">{{ laid().words }}</p>
        <div class="mt-1 flex flex-wrap items-end gap-2">
          <fl-number-field
            class="w-32"
            label="Leg to adjust"
            [least]="1"
            [most]="20"
            [value]="leg()"
            (changed)="leg.set($event)"
          />
          <button type="button" class="btn px-3" [disabled]="!laid().bends" (click)="lay('made')">
            Apply these bends
          </button>
          <button type="button" class="btn px-3" [disabled]="!laid().bends" (click)="lay('kept')">
            Use as the kept line
          </button>
        </div>
      </fieldset>
    </fl-disclosure>
  `,
})
export class LineTools {
  private readonly store = inject(PlanStore);
  private readonly selection = inject(Selection);
  readonly view = input.required<LineView>();
  protected readonly sides = RAIL_SIDES;
  protected readonly ways = Object.keys(NAMED_WAYS);
  protected readonly fault = signal<string | null>(null);
  protected readonly from = signal(0);
  protected readonly to = signal<number | null>(null);
  protected readonly moveAt = signal<number | null>(null);
  protected readonly riseMm = signal(40);
  protected readonly bendDeg = signal(30);
  protected readonly template = signal('');
  protected readonly leg = signal(1);
  protected readonly id = computed(() => this.view().line.id);
  protected readonly last = computed(() => Math.max(this.view().nodesMm.length - 1, 1));
  protected readonly toNode = computed(() => Math.min(this.to() ?? this.last(), this.last()));
  protected readonly move = computed(() =>
    Math.min(this.moveAt() ?? this.selection.node() ?? 1, this.last()),
  );
  protected readonly rails = computed(() =>
    this.store.plan().things.filter((thing) => thing.holds && thing.shape.kind === 'bar'),
  );

  /** What the template says, and by how much it misses the far port. */
  protected readonly laid = computed(
    (): {
      words: string;
      fault: boolean;
      bends: readonly TemplateBend[] | null;
      tailMm: number;
    } => {
      const nothing = { bends: null, tailMm: 0 };
      const rows = this.template()
        .trim()
        .split(/\n+/)
        .filter(Boolean)
        .map((row) =>
          row
            .trim()
            .split(/[\s,;]+/)
            .map(Number),
        );
      if (!rows.length)
        return {
          ...nothing,
          words: 'One bend per row. The last row is the straight after the last bend.',
          fault: false,
        };
      const bad = rows.findIndex(
        (row, i) =>
          row.some((v) => !Number.isFinite(v)) || row.length !== (i === rows.length - 1 ? 1 : 3),
      );
      if (bad >= 0)
        return {
          ...nothing,
          words: `Row ${bad + 1} needs ${bad === rows.length - 1 ? 'one figure, the tail' : 'three figures: feed, rotation, angle'}.`,
          fault: true,
        };
      const bends = rows.slice(0, -1).map(([feedMm, rotateDeg, bendDeg]) => ({
        feedMm: feedMm!,
        rotateDeg: rotateDeg!,
        bendDeg: bendDeg!,
      }));
      const tailMm = rows.at(-1)![0]!;
      try {
        const { misclosureMm } = laidTemplate(
          this.view(),
          bends,
          tailMm,
          Math.min(this.leg() - 1, bends.length),
        );
        const by = misclosureMm.map((v) => formatLengthUnit(v, this.store.units(), 1));
        return {
          bends,
          tailMm,
          fault: false,
          words: `Laid from end A the template misses end B by ${formatLengthUnit(Math.hypot(...misclosureMm), this.store.units(), 1)} (x ${by[0]}, y ${by[1]}, z ${by[2]}); leg ${this.leg()} takes up the difference.`,
        };
      } catch (error) {
        if (!(error instanceof InputError)) throw error;
        return { ...nothing, words: error.message, fault: true };
      }
    },
  );

  protected run(call: EditCall): void {
    this.fault.set(null);
    this.store.apply(call);
  }
  protected hold(): void {
    this.fault.set(null);
    try {
      const clipsMm = placeClips(this.store.plan(), this.view()).map((at) => Math.round(at));
      this.run({ edit: 'changeLine', with: { id: this.id(), patch: { clipsMm } } });
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      this.fault.set(error.message);
    }
  }
  protected follow(thingId: string, text: string): void {
    const side = RAIL_SIDES.find((one) => one === text)!;
    this.run({
      edit: 'followRail',
      with: { id: this.id(), from: this.from(), to: this.toNode(), thingId, side, standoffMm: 15 },
    });
  }
  protected step(way: string, topMm: number | null): void {
    const riseMm = mapVec(NAMED_WAYS[way]!, (v) => v * this.riseMm());
    this.run({
      edit: 'stepAside',
      with: { id: this.id(), index: this.move() - 1, riseMm, bendDeg: this.bendDeg(), topMm },
    });
  }
  protected split(by: 'union' | 'bulkhead'): void {
    this.run({ edit: 'splitLine', with: { id: this.id(), index: this.move() - 1, by } });
  }
  protected lay(origin: 'made' | 'kept'): void {
    const { bends, tailMm } = this.laid();
    if (bends)
      this.run({
        edit: 'layTemplate',
        with: {
          id: this.id(),
          bends,
          tailMm,
          takeUp: Math.min(this.leg() - 1, bends.length),
          origin,
        },
      });
  }
}
