import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import {
  boltThrough,
  shims,
  type ShimsResult,
  type StackBolt,
} from '@firm-line/core/physics/wheel-ends';
import { InputError } from '@firm-line/core/lib/faults';
import {
  CALIPER_FIT,
  CLEARANCES,
  STACK_BOLT,
  type CaliperFit,
  type Clearance,
  SHIMS,
} from '@firm-line/core/plan';
import { formatLengthUnit } from '@firm-line/core/lib/units';
import { DISPLAY_UNITS } from '../../kit/units';
import { CaliperSection } from './caliper-section';
import { ReadingsForm } from './readings-form';
import { FieldOf } from '../../kit/fields/field';

type BoltReading = keyof StackBolt;

/** A caliper over its disc: gaps as measured, the shims out of the box, the bolt behind them, and what is looked at. */
@Component({
  selector: 'fl-caliper-form',
  imports: [CaliperSection, FieldOf, ReadingsForm],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'card block p-5', role: 'group', '[attr.aria-label]': 'name()' },
  template: `
    <h3 class="text-xl font-bold">{{ name() }}</h3>
    <div class="mt-3 grid gap-3 sm:grid-cols-3">
      <fl-field
        [of]="fields.innerGapMm"
        [value]="fit().innerGapMm"
        (changed)="put({ innerGapMm: $event })"
      />
      <fl-field
        [of]="fields.outerGapMm"
        [value]="fit().outerGapMm"
        (changed)="put({ outerGapMm: $event })"
      />
      <fl-field
        [of]="fields.stackMm"
        [value]="fit().stackMm"
        (changed)="put({ stackMm: $event })"
      />
      <fl-field
        [of]="fields.moves"
        [field]="'moves-' + fit().key"
        [value]="fit().moves"
        (changed)="put({ moves: $event })"
      />
    </div>
    @if (fit().innerGapMm !== null && fit().outerGapMm !== null) {
      <fl-caliper-section
        class="mt-3 block h-40"
        [innerGapMm]="fit().innerGapMm!"
        [outerGapMm]="fit().outerGapMm!"
        [offMm]="off()"
      />
    }
    <p class="label mt-3">Shims in the box</p>
    @for (one of fit().box; track $index; let i = $index) {
      <div class="mt-1 flex items-end gap-3">
        <fl-field
          class="w-32"
          [of]="shimFields.thicknessMm"
          [value]="one.thicknessMm"
          (changed)="shim(i, { thicknessMm: $event })"
        />
        <fl-field
          class="w-24"
          [of]="shimFields.count"
          [value]="one.count"
          (changed)="shim(i, { count: $event })"
        />
        <button
          type="button"
          class="btn px-3"
          [attr.aria-label]="'Remove shims ' + (i + 1)"
          (click)="unshim(i)"
        >
          ×
        </button>
      </div>
    }
    <button
      type="button"
      class="btn mt-2"
      [disabled]="fit().box.length >= 8"
      (click)="shim(fit().box.length, {})"
    >
      Add a thickness
    </button>
    <p class="mt-3 rounded-lg bg-paper px-4 py-3 text-lg" role="status" data-test="shims">
      {{ words() }}
    </p>
    @if (found(); as result) {
      @if (result.ok && result.stackMm !== fit().fittedMm) {
        <button type="button" class="btn-main mt-2" (click)="put({ fittedMm: result.stackMm })">
          Fit this stack
        </button>
      }
    }
    <p class="label mt-4">Bolt with this stack</p>
    <fl-readings-form
      [fields]="boltFields"
      [keys]="boltKeys"
      [value]="bolt()"
      (changed)="put({ bolt: boltOf($event) })"
    />
    @if (fit().bolt) {
      <p class="mt-2" role="status" data-test="bolt">{{ boltWords() }}</p>
    }
    <div class="mt-4 grid gap-3 sm:grid-cols-3">
      <fl-field
        [of]="fields.padOverMm"
        [hint]="padHint()"
        none="not checked"
        [value]="fit().padOverMm"
        (changed)="put({ padOverMm: $event })"
      />
      <fl-field
        [of]="fields.disc"
        [field]="'disc-' + fit().key"
        none="not checked"
        [value]="fit().disc"
        (changed)="put({ disc: $event || null })"
      />
    </div>
    <p class="label mt-4">Clearances, through travel and lock</p>
    <div class="grid gap-3 sm:grid-cols-3">
      @for (pair of pairs; track pair) {
        <fl-field
          [of]="clearances[pair]"
          [field]="pair + '-' + fit().key"
          [value]="fit().clears[pair]"
          (changed)="setClear(pair, $event)"
        />
      }
    </div>
  `,
})
export class CaliperForm {
  protected readonly fields = CALIPER_FIT.fields;
  protected readonly shimFields = SHIMS.fields;
  private readonly units = inject(DISPLAY_UNITS);
  readonly name = input.required<string>();
  readonly fit = input.required<CaliperFit>();
  readonly changed = output<CaliperFit>();
  protected readonly boltFields = STACK_BOLT.fields;
  protected readonly boltKeys = [
    'lengthMm',
    'gripMm',
    'washerMm',
    'needMm',
    'depthMm',
    'shankMm',
  ] as const;
  protected readonly bolt = computed(
    () => this.fit().bolt as Readonly<Partial<Record<BoltReading, number | null>>> | null,
  );
  protected readonly boltOf = (
    read: Readonly<Record<BoltReading, number | null>> | null,
  ): StackBolt | null => read && ({ ...read, shankMm: read.shankMm ?? 0 } as StackBolt);
  protected readonly gap = CALIPER_FIT.fields.stackMm;
  protected readonly pairs = Object.keys(CLEARANCES) as Clearance[];
  protected readonly clearances = CALIPER_FIT.fields.clears.fields;
  protected setClear(pair: Clearance, isClear: boolean | null): void {
    this.put({ clears: { ...this.fit().clears, [pair]: isClear } });
  }

  private readonly answer = computed((): ShimsResult | string | null => {
    const { innerGapMm, outerGapMm, stackMm, moves, box, bolt } = this.fit();
    if (innerGapMm === null || outerGapMm === null) return null;
    try {
      return shims({ innerGapMm, outerGapMm, stackMm, moves, shimsMm: box, bolt });
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      return error.message;
    }
  });
  protected readonly found = computed(() => {
    const answer = this.answer();
    return answer && typeof answer !== 'string' ? answer : null;
  });
  /** How far it stands off the middle as it was measured; outwards is more. */
  protected readonly off = computed(() => {
    const { innerGapMm, outerGapMm } = this.fit();
    return innerGapMm === null || outerGapMm === null ? 0 : (outerGapMm - innerGapMm) / 2;
  });
  private full(mm: number): string {
    return formatLengthUnit(mm, this.units(), 2);
  }
  protected readonly words = computed(() => {
    const answer = this.answer();
    if (answer === null) return 'Enter both gaps to find the offset from the middle.';
    if (typeof answer === 'string') return answer;
    const { wantMm, stackMm, shims: taken, offMm, ok } = answer;
    const wanted = `${this.full(Math.max(wantMm, 0))} of shims needed`;
    if (!this.fit().box.length && wantMm > 0.25)
      return `${wanted}: enter all the shims you have, including the ones fitted.`;
    const list =
      taken
        .map(({ thicknessMm, count }) => `${count} of ${this.full(thicknessMm)}`)
        .join(' and ') || 'none';
    return `${wanted}: ${list}, together ${this.full(stackMm)}, ${this.full(Math.abs(offMm))} off center: ${ok ? 'good' : 'no closer stack in the box'}.${this.fit().fittedMm === null ? '' : ` ${this.full(this.fit().fittedMm!)} fitted now.`}`;
  });
  protected readonly boltWords = computed(() => {
    const { bolt, fittedMm } = this.fit();
    const stackMm = fittedMm ?? this.found()?.stackMm ?? null;
    if (!bolt || stackMm === null) return 'Choose a stack to see the thread engagement.';
    const { engagementMm, boltFault, boltMm } = boltThrough(bolt, stackMm);
    const range = `One of ${this.full(boltMm.least)}${boltMm.most === null ? ' or more' : ` to ${this.full(boltMm.most)}`} is right.`;
    const fault = {
      short: 'too short',
      shank: 'seats on its plain shank and clamps nothing',
      bottoms: 'bottoms in the hole',
    };
    return boltFault
      ? `Wrong: ${fault[boltFault]}. ${range}`
      : `${this.full(engagementMm)} of thread engaged. ${range}`;
  });
  protected readonly padHint = computed(() => {
    const over = this.fit().padOverMm;
    if (over === null) return '';
    return over > 0.5
      ? `The pad stands ${this.full(over)} above the disc edge. Add radial shims of that thickness, or a ridge wears into the pad.`
      : over < -3
        ? 'The pad sits low, so part of the disc is never swept.'
        : 'Level with the disc edge: good.';
  });

  protected put(patch: Partial<CaliperFit>): void {
    const {
      key,
      innerGapMm,
      outerGapMm,
      stackMm,
      moves,
      box,
      bolt,
      fittedMm,
      padOverMm,
      disc,
      clears,
    } = this.fit();
    this.changed.emit({
      key,
      innerGapMm,
      outerGapMm,
      stackMm,
      moves,
      box,
      bolt,
      fittedMm,
      padOverMm,
      disc,
      clears,
      ...patch,
    });
  }
  protected shim(i: number, patch: Partial<CaliperFit['box'][number]>): void {
    const { box } = this.fit();
    this.put({
      box:
        i < box.length
          ? box.map((one, k) => (k === i ? { ...one, ...patch } : one))
          : [...box, { thicknessMm: 0.5, count: 1, ...patch }],
    });
  }
  protected unshim(i: number): void {
    this.put({ box: this.fit().box.filter((_, k) => k !== i) });
  }
}
