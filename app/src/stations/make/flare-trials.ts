import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { isProven, scraps } from '@firm-line/core/stations/make/making';
import { type LineView, type Trial } from '@firm-line/core/plan';
import { FLARES, tubeById, tubeLabel, type FlareForm } from '@firm-line/core/trade/stock';
import { Disclosure } from '../../kit/disclosure';
import { PlanStore } from '../../session/plan-store';

/** What goes wrong with a flare, and what is changed for the next. Common practice. */
const FAULTS: readonly (readonly [what: string, mend: string])[] = [
  ['split', 'grip less tube; never anneal; seamed or hard tube splits again, so change the tube'],
  [
    'off center',
    'square the end again, deburr, and center the punch in the bore before pulling down',
  ],
  ['too narrow', 'let a little more tube out of the clamp, and pull down to the stop'],
  ['tube slipped', 'clean and dry the clamp, tighten harder, use the right size jaws'],
  ['bore closed', 'deburr inside; stop the first stage of the double flare earlier'],
  ['nut forgotten', 'tick the nut before the flare: the card locks the flare until then'],
];

/** Test pieces and scrapped ends: what to look at, what to change, and how often what went wrong with this tool and tube. */
@Component({
  selector: 'fl-flare-trials',
  imports: [Disclosure],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <fl-disclosure class="card px-5" [summary]="summary()" [startsOpen]="wanted().length > 0">
      <div class="border-t border-rule py-4">
        <p class="text-sm">
          Check every flare: fills the seat, even all round, concentric, not split, bore open,
          height to the tool’s sheet.
        </p>
        @for (flare of flares(); track flare.id) {
          <div class="mt-3 border-t border-rule pt-2">
            <p class="font-semibold">{{ flare.name }}, {{ tube() }}</p>
            <p class="text-sm text-ink-soft">
              {{
                flare.proven
                  ? 'The test piece was good.'
                  : 'No good test piece yet. Make one first.'
              }}
            </p>
            <div class="mt-2 flex flex-wrap gap-2">
              <button
                type="button"
                class="btn"
                [attr.aria-label]="'Test piece good: ' + flare.name"
                (click)="tried(flare.id, 'test', true, '')"
              >
                Test piece good
              </button>
              @for (fault of faults; track fault[0]) {
                <button
                  type="button"
                  class="btn"
                  [attr.aria-label]="fault[0] + ': ' + flare.name"
                  [title]="fault[1]"
                  (click)="tried(flare.id, 'end', false, fault[0])"
                >
                  {{ fault[0] }}
                </button>
              }
            </div>
          </div>
        }
        @if (mend(); as text) {
          <p class="mt-3 rounded-lg bg-copper-pale px-3 py-2 text-sm" role="status">{{ text }}</p>
        }
        @if (lost().length) {
          <h3 class="mt-3 font-semibold">Scrapped so far</h3>
          <ul class="text-sm">
            @for (one of lost(); track $index) {
              <li class="border-t border-rule py-1">{{ one }}</li>
            }
          </ul>
        }
      </div>
    </fl-disclosure>
  `,
})
export class FlareTrials {
  private readonly store = inject(PlanStore);
  readonly view = input.required<LineView>();
  protected readonly faults = FAULTS;
  protected readonly tube = computed(() => tubeLabel(this.view().tube));
  protected readonly flares = computed(() => {
    const { line, bench, tube } = this.view();
    return [...new Set([line.ends.a.flare, line.ends.b.flare])].map((id) => ({
      id,
      name: FLARES[id].name,
      proven: isProven(bench, id, tube),
    }));
  });
  protected readonly wanted = computed(() => this.flares().filter(({ proven }) => !proven));
  protected readonly lost = computed(() =>
    scraps(this.view().bench).map(
      ({ flare, tubeId, why, count }) =>
        `${count} × ${why || 'not said'}: ${FLARES[flare].name.toLowerCase()}, ${tubeLabel(tubeById(tubeId)!)}`,
    ),
  );
  protected readonly summary = computed(() => {
    const count = (this.view().bench.trials ?? []).filter(({ good }) => !good).length;
    const test = this.wanted().length ? 'Test piece first' : 'Flares';
    return `${test}${count ? `, ${count} scrapped` : ''}`;
  });
  /** What to change after the last piece that was not good. */
  protected readonly mend = computed(() => {
    const last = (this.view().bench.trials ?? []).at(-1);
    const fault = last && !last.good ? FAULTS.find(([what]) => what === last.why) : undefined;
    return fault ? `After “${fault[0]}”: ${fault[1]}.` : null;
  });

  protected tried(flare: FlareForm, piece: Trial['piece'], good: boolean, why: string): void {
    const trial: Trial = {
      at: new Date().toISOString(),
      flare,
      tubeId: this.view().tube.id,
      piece: good ? piece : this.wanted().some(({ id }) => id === flare) ? 'test' : 'end',
      good,
      why,
    };
    this.store.apply({ edit: 'recordTrial', with: { trial } });
  }
}
