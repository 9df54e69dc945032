import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import {
  TEST_WORDS,
  wireVerdict,
  WIRE_JOBS,
  WIRE_NAMES,
  WIRE_TESTS,
  WIRE_VOLTS,
  type WireJob,
  type WireTest,
} from '@firm-line/core/physics/wheel-ends';
import { WIRE, type Wire } from '@firm-line/core/plan';
import { EmptyState } from '../../kit/empty-state';
import { OptionalNumberField } from '../../kit/fields/optional-number-field';
import { PlanStore } from '../../session/plan-store';
import { WheelEndsFacade } from './wheel-ends-facade';
import { SupplyCard } from './supply-card';
import { FieldOf } from '../../kit/fields/field';

const NO_VOLTS: Wire['volts'] = { rest: null, half: null, full: null, pulled: null };

/** Wires of a trailer's actuator: what each does, its color and terminal as found, and what it reads. */
@Component({
  selector: 'fl-wires-page',
  imports: [EmptyState, FieldOf, OptionalNumberField, SupplyCard],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block p-5' },
  template: `
    <h2 class="text-2xl font-bold">Actuator wiring</h2>
    <p class="mt-1 max-w-prose">
      Measure volts to battery negative, with the actuator connected. Use a true-RMS meter: a
      pulsing controller reads low on an ordinary one.
    </p>
    @for (wire of wires(); track wire.id) {
      <section class="card mt-4 p-4" [attr.aria-label]="wire.name" [attr.data-wire]="wire.job">
        <div class="grid gap-3 sm:grid-cols-4">
          <fl-field
            [of]="fields.job"
            [field]="'job-' + wire.id"
            [value]="wire.job"
            (changed)="change(wire.id, { job: $event })"
          />
          <fl-field
            [of]="fields.colour"
            [field]="'colour-' + wire.id"
            [value]="wire.colour"
            (changed)="change(wire.id, { colour: $event })"
          />
          <fl-field
            [of]="fields.terminal"
            [field]="'terminal-' + wire.id"
            [value]="wire.terminal"
            (changed)="change(wire.id, { terminal: $event })"
          />
          <button
            type="button"
            class="btn self-end"
            [attr.aria-label]="'Remove ' + wire.name"
            (click)="remove(wire.id)"
          >
            Remove
          </button>
        </div>
        <div class="mt-3 grid grid-cols-2 gap-3 sm:grid-cols-4">
          @for (test of wire.tests; track test.test) {
            <div>
              <fl-optional-number-field
                [label]="'V ' + test.words"
                none="—"
                [limits]="limits"
                [value]="wire.volts[test.test]"
                (changed)="read(wire, test.test, $event)"
              />
              <p
                class="text-sm"
                [class]="
                  test.verdict === 'low' || test.verdict === 'high'
                    ? 'font-semibold text-stop'
                    : 'text-ink-soft'
                "
                [attr.data-test]="'volts-' + test.test"
              >
                {{ test.said }}
              </p>
            </div>
          }
        </div>
      </section>
    } @empty {
      <fl-empty-state
        heading="No wires yet"
        text="This table checks the wires of an electric actuator: supply, ground, brake signal, breakaway and often stop lamps."
      />
    }
    <div class="mt-4 flex flex-wrap gap-3">
      @if (!wires().length) {
        <button type="button" class="btn-main" (click)="begin()">Start the table</button>
      }
      <button type="button" class="btn" (click)="add('signal')">Add a wire</button>
    </div>
    <fl-supply-card />
    <ul class="mt-4 max-w-prose list-disc pl-5">
      <li>
        Connect ground first, straight to battery negative and the frame, in wire as thick as the
        supply. Connect positive last.
      </li>
      <li>
        Fit a self-resetting breaker in the supply, close to the battery, rated by the actuator’s
        sheet.
      </li>
      <li>
        The breakaway needs its own charged battery, and a pin cable shorter than the safety chains.
      </li>
      <li>
        Match actuator to brakes: a drum actuator makes about {{ quantities().pressure(7, 0) }}, a
        disc actuator about {{ quantities().pressure(11, 0) }}. The wrong one does not brake, or
        bursts a hose.
      </li>
    </ul>
  `,
})
export class WiresPage {
  protected readonly fields = WIRE.fields;
  protected readonly quantities = inject(PlanStore).quantities;
  private readonly sheet = inject(WheelEndsFacade);
  protected readonly words = { least: 0, most: 80 };
  protected readonly limits = WIRE.fields.volts.fields.rest.of;
  protected readonly wires = computed(() =>
    this.sheet.wheelEnds().wires.map((wire) => ({
      ...wire,
      name: `${WIRE_NAMES[wire.job]}${wire.colour ? `, ${wire.colour}` : ''}`,
      tests: WIRE_TESTS.map((test) => {
        const range = WIRE_VOLTS[wire.job][test];
        const volts = wire.volts[test];
        const verdict = volts === null ? null : wireVerdict(wire.job, test, volts);
        const wants = range ? `${range.least} to ${range.most} V` : 'no limit';
        return {
          test,
          words: TEST_WORDS[test],
          verdict,
          said:
            verdict === 'good' ? `good, ${wants}` : verdict ? `too ${verdict}: ${wants}` : wants,
        };
      }),
    })),
  );

  protected begin(): void {
    for (const job of WIRE_JOBS) this.add(job);
  }
  protected add(job: WireJob): void {
    const id = this.sheet.freshId('wire');
    this.sheet.apply({
      edit: 'addWire',
      with: { wire: { id, job, colour: '', terminal: '', volts: NO_VOLTS } },
    });
  }
  protected change(id: string, patch: Partial<Omit<Wire, 'id'>>): void {
    this.sheet.apply({ edit: 'changeWire', with: { id, patch } });
  }
  protected read({ id, volts }: Wire, test: WireTest, value: number | null): void {
    this.change(id, { volts: { ...volts, [test]: value } });
  }
  protected remove(id: string): void {
    this.sheet.apply({ edit: 'removeWire', with: { id } });
  }
}
