import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { cableFit, type CableReadings } from '@firm-line/core/physics/wheel-ends';
import { figure } from '@firm-line/core/lib/faults';
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
  'Shoes or pads set first, by the foot brake: the cable is never what takes up their play.',
  'A lever on a caliper: the piston is brought out by the lever, again and again, until the pads touch; only then the cable goes on.',
  'Shoes backed off until the drum just turns free.',
  'Cable hooked in, no slack at the levers and nothing drawn: each lever lies on its stop.',
  'Twenty hard pulls; the cable beds in and the slack is measured again.',
  'Let go: each wheel turns free at once.',
] as const;
const ELECTRIC_STEPS = [
  'It may stay on: before its plug is drawn or its battery goes, put it into its service position by the scan tool, or by its sheet.',
  'To move at all it needs its control unit, its wheel sensors, its supply through its own fuse, and often its codes learnt.',
  'Never wind its motor back with a press or a supply held to its pins unless its sheet says so.',
  'Held on a slope by a wedge until it was seen to hold and to let go.',
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
            none="not pulled yet"
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
    <section class="card mt-4 p-5" aria-label="A new cable">
      <h3 class="font-bold">Another cable</h3>
      @for (draft of drafts(); track draft.no) {
        <fl-readings-form
          class="mt-2"
          [fields]="fields"
          [keys]="readingKeys"
          [value]="null"
          (changed)="add($event)"
        />
      }
      <p class="mt-2 text-sm text-ink-soft">With all five it is added, and said whether it fits.</p>
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
          none="not tried"
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
    const found = viewPlan(plan).works.parking;
    return found && plan.parking?.by === 'lever'
      ? `By Size: ${figure(plan.parking.handN)} N at the hand make ${figure(found.cableN, 0)} N in the cable, and press each shoe’s lever with ${figure(found.shoeN, 0)} N.`
      : 'Force from hand to shoe is reckoned in Size, under Parking: nothing stands there yet.';
  });
  protected readonly pushrod = computed(() => this.sheet.wheelEnds().play);
  private full(mm: number): string {
    return formatLengthUnit(mm, this.units(), 0);
  }

  private wordsOf(cable: Cable): string {
    const { outerOverMm, innerOverMm, fault } = cableFit(cable);
    const said = {
      'outer-short': `${this.full(-outerOverMm)} too short for its way: it does not reach its stops.`,
      'outer-long': `${this.full(outerOverMm)} too long for its way: it hangs. A shorter one, or stops further apart.`,
      'inner-short': `Its inner is ${this.full(-innerOverMm)} short: the brake is on before the lever moves.`,
      'inner-long': `Its inner has ${this.full(innerOverMm)} too much; the adjuster takes up ${this.full(cable.adjustMm)}.`,
    };
    if (fault) return said[fault];
    return `It fits: ${this.full(outerOverMm)} longer than its way, ${this.full(innerOverMm)} for the adjuster.${cable.slackAfterMm === null ? ' Twenty pulls, then its slack again.' : cable.slackAfterMm > cable.adjustMm ? ' After twenty pulls it has more slack than its adjuster takes up.' : ''}`;
  }
  protected readonly playWords = computed(() => {
    const { coldMm, hotMm, valveHolds } = this.pushrod();
    const words = [];
    if (coldMm === null)
      words.push(
        'Cold, then hot after a drive: a rod without play holds the port shut and the brakes drag on.',
      );
    else if (coldMm === 0 || hotMm === 0)
      words.push(
        `No play ${coldMm === 0 ? 'cold' : 'hot'}: the master’s port may stay shut, pressure builds up and the brakes drag. Shorten the rod.`,
      );
    else if (hotMm !== null && hotMm < coldMm / 2)
      words.push(
        'Heat takes up more than half of its play: look whether it drags after a long descent.',
      );
    else words.push(hotMm === null ? 'Measure it again hot.' : 'Play is there cold and hot.');
    if (valveHolds === false)
      words.push('The valve lets the vacuum go: a new one, or the help is gone with the engine.');
    if (valveHolds === null)
      words.push('Engine off after a minute: two or three helped pushes must be left.');
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
