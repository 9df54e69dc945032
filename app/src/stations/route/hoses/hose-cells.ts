import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { figure } from '@firm-line/core/lib/faults';
import { rubs, type HoseState, type HoseView } from '@firm-line/core/stations/route';
import { worstOf, type Pose } from '@firm-line/core/shape/rod';
import { formatLength } from '@firm-line/core/lib/units';
import { PlanStore } from '../../../session/plan-store';
import { VERDICT_SIGNS, VERDICT_WORDS } from './hose-words';
import { Words } from '../../../kit/words';

const ROWS = [
  [1, 'Bump'],
  [0, 'Ride'],
  [-1, 'Droop'],
] as const;
const SIDES = [-1, 0, 1] as const;

/** The verdict of every state as cells, bump on top and the locks side by side; one tap goes to a state. */
@Component({
  selector: 'fl-hose-cells',
  imports: [Words],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <table
      class="w-full table-fixed border-separate border-spacing-1 text-center"
      data-test="hose-cells"
    >
      <caption class="sr-only">
        Verdict and smallest radius in each state
      </caption>
      @if (sides().length > 1) {
        <thead>
          <tr class="text-sm text-ink-soft">
            <th class="w-14" scope="col"><span class="sr-only">Travel</span></th>
            @for (side of sides(); track side.at) {
              <th scope="col" class="font-semibold">{{ side.name }}</th>
            }
          </tr>
        </thead>
      }
      <tbody>
        @for (row of rows(); track row.name) {
          <tr>
            <th scope="row" class="w-14 text-left text-sm font-semibold">
              <fl-words [text]="row.name" />
            </th>
            @for (cell of row.cells; track cell.key) {
              <td class="p-0">
                @if (cell.state; as state) {
                  <button
                    type="button"
                    class="min-h-tap w-full rounded-lg border-2 px-1 text-sm leading-tight"
                    [class]="cell.look"
                    [class.border-ink]="cell.worst"
                    [class.border-transparent]="!cell.worst"
                    [title]="cell.title"
                    [attr.aria-label]="cell.title"
                    (click)="picked.emit(state.pose)"
                  >
                    <span aria-hidden="true" class="mr-1 font-bold">{{ cell.sign }}</span>
                    <span class="font-mono">{{ cell.radius }}</span>
                    @if (cell.word) {
                      <span class="block text-xs">{{ cell.word }}</span>
                    }
                  </button>
                }
              </td>
            }
          </tr>
        }
      </tbody>
    </table>
    <p class="mt-1 text-xs text-ink-soft">
      Smallest bend radius in each state. The worst state is outlined.
    </p>
  `,
})
export class HoseCells {
  private readonly store = inject(PlanStore);
  readonly view = input.required<HoseView>();
  readonly picked = output<Pose>();

  protected readonly sides = computed(() => {
    const { steer, kind, rollDeg } = this.view().hose.motion;
    const names = steer
      ? [`${figure(-steer.lockDeg[0])}° left`, 'straight', `${figure(steer.lockDeg[1])}° right`]
      : kind === 'axle' && rollDeg > 0
        ? [`${figure(rollDeg)}° roll`, 'level', `${figure(rollDeg)}° roll`]
        : null;
    return names
      ? SIDES.map((at, i) => ({ at, name: names[i]! }))
      : [{ at: 0 as const, name: 'straight' }];
  });
  protected readonly rows = computed(() => {
    const { states, worst, hose } = this.view();
    const rows = hose.motion.kind === 'still' ? ([[0, 'Clearance']] as const) : ROWS;
    return rows.map(([heave, name]) => ({
      name,
      cells: this.sides().map((side) => {
        const here = states.filter(({ cell }) => cell[0] === heave && cell[1] === side.at);
        const state = worstOf(here);
        return { key: side.at, state, ...(state ? this.cell(state, here.includes(worst!)) : CELL) };
      }),
    }));
  });
  private cell(state: HoseState, worst: boolean): typeof CELL {
    const radius =
      state.minRadiusMm === null
        ? state.shape
          ? 'straight'
          : '–'
        : formatLength(state.minRadiusMm, this.store.units());
    const touching = rubs(state);
    const word = state.verdict === 'ok' ? (touching ? 'rubs' : '') : VERDICT_WORDS[state.verdict];
    return {
      worst,
      radius,
      word,
      sign: touching && state.verdict === 'ok' ? '!' : VERDICT_SIGNS[state.verdict],
      look:
        state.verdict === 'ok'
          ? touching
            ? 'bg-caution text-sheet'
            : 'bg-fluid-pale text-ink'
          : 'bg-stop text-sheet',
      title: `${state.name}: ${word || VERDICT_WORDS.ok}, smallest radius ${radius}`,
    };
  }
}
const CELL = { worst: false, radius: '', word: '', sign: '', look: '', title: '' };
