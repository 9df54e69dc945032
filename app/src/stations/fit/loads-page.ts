import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { PROOF_LOAD } from '@firm-line/core/physics/wheel-ends';
import { PROOF_LOAD_TAKEN, type ProofLoad } from '@firm-line/core/plan';
import { EmptyState } from '../../kit/empty-state';
import { WheelEndsFacade } from './wheel-ends-facade';
import { FieldOf } from '../../kit/fields/field';
import { PlanStore } from '../../session/plan-store';

/** Pedals and brackets that were welded or changed, loaded before a foot trusts them. */
@Component({
  selector: 'fl-loads-page',
  imports: [EmptyState, FieldOf],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block p-5' },
  template: `
    <h2 class="text-2xl font-bold">Proof loads</h2>
    <p class="mt-1 max-w-prose">
      Load a welded or modified pedal or bracket at the pad with {{ quantities().force(least) }}, in
      competition {{ quantities().force(competition) }}, for ten seconds, with a scale or a lever
      and weight. Measure a mark before and after. Keep your face out of line: a part that breaks
      flies.
    </p>
    @for (load of loads(); track load.id) {
      <section class="card mt-4 p-5" [attr.aria-label]="load.name">
        <div class="grid gap-3 sm:grid-cols-3">
          <fl-field
            [of]="fields.name"
            label="Part to load"
            [field]="'load-' + load.id"
            [value]="load.name"
            (changed)="change(load.id, { name: $event })"
          />
          <fl-field
            [of]="fields.wantedN"
            [value]="load.wantedN"
            (changed)="change(load.id, { wantedN: $event })"
          />
          <fl-field
            [of]="fields.loadN"
            none="not yet"
            [value]="load.loadN"
            (changed)="change(load.id, { loadN: $event })"
          />
          <fl-field
            [of]="fields.seconds"
            none="not yet"
            [value]="load.seconds"
            (changed)="change(load.id, { seconds: $event })"
          />
          <fl-field
            [of]="fields.beforeMm"
            none="not measured"
            [value]="load.beforeMm"
            (changed)="change(load.id, { beforeMm: $event })"
          />
          <fl-field
            [of]="fields.afterMm"
            none="not measured"
            [value]="load.afterMm"
            (changed)="change(load.id, { afterMm: $event })"
          />
          <fl-field
            [of]="fields.sound"
            [field]="'sound-' + load.id"
            [value]="load.sound"
            (changed)="change(load.id, { sound: $event })"
          />
        </div>
        <p class="mt-3 rounded-lg bg-paper px-4 py-2" role="status" data-test="load">
          {{ load.said }}
        </p>
        <button type="button" class="btn mt-2" (click)="remove(load.id)">
          Remove {{ load.name }}
        </button>
      </section>
    } @empty {
      <fl-empty-state
        heading="Nothing to load"
        text="Was a pedal, pedal box or foot-loaded bracket welded or modified? Test it under load before you trust it."
      />
    }
    <button type="button" class="btn mt-4" (click)="add()">Add a welded part</button>
  `,
})
export class LoadsPage {
  protected readonly quantities = inject(PlanStore).quantities;
  protected readonly fields = PROOF_LOAD_TAKEN.fields;
  private readonly sheet = inject(WheelEndsFacade);
  protected readonly least = PROOF_LOAD.leastN;
  protected readonly competition = PROOF_LOAD.competitionN;
  protected readonly loads = computed(() =>
    this.sheet.wheelEnds().loads.map((load) => ({
      ...load,
      said: this.sheet.said('proof-load', load.id)[0] ?? 'Passed.',
    })),
  );

  protected add(): void {
    this.sheet.apply({
      edit: 'addProofLoad',
      with: {
        proofLoad: {
          id: this.sheet.freshId('load'),
          name: `Pedal ${this.sheet.wheelEnds().loads.length + 1}`,
          wantedN: PROOF_LOAD.leastN,
          loadN: null,
          seconds: null,
          beforeMm: null,
          afterMm: null,
          sound: null,
        },
      },
    });
  }
  protected change(id: string, patch: Partial<Omit<ProofLoad, 'id'>>): void {
    this.sheet.apply({ edit: 'changeProofLoad', with: { id, patch } });
  }
  protected remove(id: string): void {
    this.sheet.apply({ edit: 'removeProofLoad', with: { id } });
  }
}
