import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { cableFit, type CableReadings } from '@firm-line/core/physics/wheel-ends';
import { CABLE, type Cable, type PushrodPlay, PUSHROD_PLAY } from '@firm-line/core/plan';
import { viewPlan } from '@firm-line/core/plan/results';
import { formatLengthUnit } from '@firm-line/core/lib/units';
import { DISPLAY_UNITS } from '../../kit/units';
import { PlanStore } from '../../session/plan-store';
import { WheelEndsFacade } from './wheel-ends-facade';
import { filled, ReadingsForm } from './readings-form';
import { FieldOf } from '../../kit/fields/field';

/** Steps that are done in this order, the maker's sheet before them. Common practice. */
const LEVER_STEPS = [
  'Adjust the shoes or pads with the foot brake first. Never take up their play with the cable.',
  'Caliper lever: work the lever until the pads touch the disc. Only then hook on the cable.',
  'Back off the shoes until the drum just turns freely.',
  'Hook in the cable: no slack, no tension, each lever on its stop.',
  'Pull hard twenty times to bed in the cable, then measure the slack again.',
  'Release: each wheel turns freely at once.',
] as const;
const ELECTRIC_STEPS = [
  'An electric brake can stay on. Before you pull its plug or disconnect the battery, set the service position with a scan tool or by the maker’s sheet.',
  'The motor needs its control unit, wheel sensors and fused supply, and often coding.',
  'Never press the piston back, or power the motor pins directly, unless the maker’s sheet says so.',
  'Chock the vehicle until the brake is seen to hold and to release.',
] as const;

type Reading = keyof CableReadings;
type Read = Readonly<Record<Reading, number | null>> | null;
const READINGS = [
  'wayMm',
  'outerMm',
  'freeMm',
  'needMm',
  'adjustMm',
] as const satisfies readonly Reading[];

/** The parking brake's cables and the order of its work; free play of pedal and pushrod. */
@Component({
  selector: 'fl-parking-page',
  imports: [FieldOf, ReadingsForm],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block p-5' },
  template: `
    <h2 class="text-2xl font-bold">Parking brake</h2>
    @for (cable of cables(); track cable.id) {
      <section class="card mt-4 p-5" [attr.aria-label]="cable.name">
        <div class="grid gap-3 sm:grid-cols-3">
          <fl-field
            [of]="fields.name"
            label="Cable"
            [field]="'cable-' + cable.id"
            [value]="cable.name"
            (changed)="change(cable.id, { name: $event })"
          />
          <fl-field
            [of]="fields.hand"
            [field]="'cable-hand-' + cable.id"
            [value]="cable.hand"
            (changed)="change(cable.id, { hand: $event })"
          />
          <fl-field
            [of]="fields.slackAfterMm"
            none="not measured yet"
            [value]="cable.slackAfterMm"
            (changed)="change(cable.id, { slackAfterMm: $event })"
          />
        </div>
        <fl-readings-form
          class="mt-3"
          [fields]="fields"
          [keys]="readingKeys"
          [value]="cable.read"
          (changed)="readings(cable.id, $event)"
        />
        <p class="mt-3 rounded-lg bg-paper px-4 py-2" role="status" data-test="cable">
          {{ cable.words }}
        </p>
        <button type="button" class="btn mt-2" (click)="remove(cable.id)">
          Remove {{ cable.name }}
        </button>
      </section>
    }
    <section class="card mt-4 p-5" aria-label="Add a cable">
      <h3 class="font-bold">Add another cable</h3>
      @for (draft of drafts(); track draft.no) {
        <fl-readings-form
          class="mt-2"
          [fields]="fields"
          [keys]="readingKeys"
          [value]="null"
          (changed)="add($event)"
        />
      }
      <p class="mt-2 text-sm text-ink-soft">Fill in all five. We then check the fit.</p>
    </section>
    <div class="mt-6 grid gap-6 lg:grid-cols-2">
      <section aria-label="By lever and cable">
        <h3 class="text-lg font-bold">By lever and cable</h3>
        <ol class="mt-1 list-decimal pl-5">
          @for (step of lever; track $index) {
            <li class="py-1">{{ step }}</li>
          }
        </ol>
        <p class="mt-2" data-test="lever-force">{{ force() }}</p>
      </section>
      <section aria-label="Electric">
        <h3 class="text-lg font-bold">Electric</h3>
        <ul class="mt-1 list-disc pl-5">
          @for (step of electric; track $index) {
            <li class="py-1">{{ step }}</li>
          }
        </ul>
      </section>
    </div>
    <h2 class="mt-8 text-2xl font-bold">Pedal and pushrod</h2>
    <div class="card mt-3 p-5">
      <div class="grid gap-3 sm:grid-cols-3">
        <fl-field
          [of]="play.coldMm"
          none="not measured"
          [value]="pushrod().coldMm"
          (changed)="setPlay({ coldMm: $event })"
        />
        <fl-field
          [of]="play.hotMm"
          none="not measured"
          [value]="pushrod().hotMm"
          (changed)="setPlay({ hotMm: $event })"
        />
        <fl-field
          [of]="play.valveHolds"
          field="valve-holds"
          none="not tested"
          [value]="pushrod().valveHolds"
          (changed)="setPlay({ valveHolds: $event })"
        />
      </div>
      <p class="mt-3 rounded-lg bg-paper px-4 py-2" role="status" data-test="play">
        {{ playWords() }}
      </p>
    </div>
  `,
})
export class ParkingPage {
  protected readonly fields = CABLE.fields;
  protected readonly play = PUSHROD_PLAY.fields;
  private readonly sheet = inject(WheelEndsFacade);
  private readonly store = inject(PlanStore);
  private readonly units = inject(DISPLAY_UNITS);
  protected readonly lever = LEVER_STEPS;
  protected readonly electric = ELECTRIC_STEPS;
  protected readonly readingKeys = READINGS;
  protected readonly cables = computed(() =>
    this.sheet.wheelEnds().cables.map((cable) => ({
      ...cable,
      read: cable as CableReadings as Readonly<Record<Reading, number>>,
      words: this.wordsOf(cable),
    })),
  );
  /** A form of its own for each that is added, so that it begins empty. */
  protected readonly drafts = computed(() => [{ no: this.cables().length }]);
  /** What Size says of hand, cable and shoe. */
  protected readonly force = computed(() => {
    const plan = this.store.plan();
    const { force } = this.store.quantities();
    const found = viewPlan(plan).works.parking;
    return found && plan.parking?.by === 'lever'
      ? `From Size: ${force(plan.parking.handN)} at the lever gives ${force(found.cableN)} in the cable and ${force(found.shoeN)} at each shoe lever.`
      : 'Enter the parking brake in Size to see the force at the shoes.';
  });
  protected readonly pushrod = computed(() => this.sheet.wheelEnds().play);
  private full(mm: number): string {
    return formatLengthUnit(mm, this.units(), 0);
  }

  /** What its rule says of a cable; of one that it is silent about, how it fits. */
  private wordsOf(cable: Cable): string {
    const [wrong] = this.sheet.said('cable-length', cable.id);
    if (wrong) return wrong;
    const { outerOverMm, innerOverMm } = cableFit(cable);
    return `The cable fits: ${this.full(outerOverMm)} longer than the path, ${this.full(innerOverMm)} left for the adjuster.${cable.slackAfterMm === null ? ' Pull twenty times, then measure the slack again.' : ''}`;
  }
  protected readonly playWords = computed(() => {
    const { coldMm, hotMm, valveHolds } = this.pushrod();
    const words = this.sheet.said('pushrod-play');
    if (coldMm === null) words.push('Check cold, then hot after a drive.');
    else if (coldMm > 0 && hotMm !== 0)
      words.push(
        hotMm === null
          ? 'Measure again hot.'
          : hotMm < coldMm / 2
            ? 'Heat takes up more than half the free play. Check for dragging brakes after a long descent.'
            : 'Free play cold and hot: good.',
      );
    if (valveHolds === null)
      words.push('One minute after switching off, two or three assisted strokes must be left.');
    return words.join(' ');
  });

  protected add(read: Read): void {
    const { cables } = this.sheet.wheelEnds();
    if (read)
      this.sheet.apply({
        edit: 'addCable',
        with: {
          cable: {
            ...filled(read),
            id: this.sheet.freshId('cable'),
            name: `Cable ${cables.length + 1}`,
            hand: 'either',
            slackAfterMm: null,
          },
        },
      });
  }
  protected readings(id: string, read: Read): void {
    if (read) this.change(id, filled(read));
  }
  protected change(id: string, patch: Partial<Omit<Cable, 'id'>>): void {
    this.sheet.apply({ edit: 'changeCable', with: { id, patch } });
  }
  protected remove(id: string): void {
    this.sheet.apply({ edit: 'removeCable', with: { id } });
  }
  protected setPlay(patch: Partial<PushrodPlay>): void {
    this.sheet.apply({ edit: 'changePushrodPlay', with: { patch } });
  }
}
