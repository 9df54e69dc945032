import { ChangeDetectionStrategy, Component, inject, input, output } from '@angular/core';
import { figure } from '@firm-line/core/lib/faults';
import type { BendRow } from '@firm-line/core/stations/make/making';
import { formatLength } from '@firm-line/core/lib/units';
import { DISPLAY_UNITS } from '../../kit/units';
import { TurnDial } from '../../kit/turn-dial';

/** Bend by bend: where the mark is drawn, how far it is turned and dialled, and what the tape says after it. */
@Component({
  selector: 'fl-bend-table',
  imports: [TurnDial],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <table class="mt-2 w-full text-left print:text-sm" data-test="bends">
      <thead class="align-bottom text-sm text-ink-soft">
        <tr>
          <th class="py-1 pr-3 font-normal">Bend</th>
          <th class="pr-3 font-normal">Mark<br />from cut end A</th>
          <th class="pr-3 font-normal">Rotation<br />bender · tube</th>
          <th class="pr-3 font-normal">Dial<br />for angle</th>
          <th class="pr-3 font-normal">End {{ tapeEnd() }} square to<br />new straight</th>
          <th class="pr-3 font-normal">End {{ tapeEnd() }}<br />over the bench</th>
          <th class="font-normal">Tip<br />to tip</th>
        </tr>
      </thead>
      <tbody class="font-mono">
        @for (row of rows(); track row.node) {
          <tr class="border-t border-rule" [class.bg-copper-pale]="row.bend === shown()">
            <td class="py-1 pr-3 font-sans font-bold">
              <button
                type="button"
                class="min-h-tap min-w-12 print:min-h-0"
                [attr.aria-label]="'Show bend ' + (row.bend + 1)"
                (click)="show.emit(row.bend)"
              >
                {{ row.bend + 1 }}
              </button>
            </td>
            <td class="pr-3 text-xl print:text-base">{{ mm(row.drawMarkMm, 1) }}</td>
            <td class="pr-3">
              @if (row.clamped !== rows()[0]!.clamped) {
                <span class="block font-sans text-sm font-semibold"
                  >{{ row.clamped.toUpperCase() }} in the clamp</span
                >
              }
              @if (row.rotateDeg !== null) {
                <span class="flex items-center gap-2"
                  ><fl-turn-dial [deg]="row.rotateDeg" sizeClass="size-9 print:size-5" /><span
                    >{{ deg(row.rotateDeg) }} · {{ deg(tubeTurn(row.rotateDeg)) }}</span
                  ></span
                >
              } @else {
                <span class="font-sans text-sm">sets the plane</span>
              }
            </td>
            <td class="pr-3">
              <span class="text-xl print:text-base">{{ row.dialDeg.toFixed(1) }}°</span
              ><span class="block text-sm print:ml-2 print:inline"
                >for {{ row.bendDeg.toFixed(1) }}°</span
              >
            </td>
            <td class="pr-3">{{ row.reading ? mm(row.reading.endToBendMm, 1) : '–' }}</td>
            <td class="pr-3">{{ row.reading ? mm(row.reading.heightMm, 1) : '–' }}</td>
            <td>{{ row.reading ? mm(row.reading.tipToTipMm, 1) : '–' }}</td>
          </tr>
        }
      </tbody>
    </table>
  `,
})
export class BendTable {
  private readonly units = inject(DISPLAY_UNITS);
  readonly rows = input.required<readonly BendRow[]>();
  /** The end that the tape is held to. */
  readonly tapeEnd = input.required<string>();
  /** The bend that is looked at. */
  readonly shown = input.required<number>();
  readonly show = output<number>();

  protected tubeTurn(rotateDeg: number): number {
    return rotateDeg === 0 || rotateDeg === 180 ? rotateDeg : -rotateDeg;
  }
  protected mm(mm: number, digits = 0): string {
    return formatLength(mm, this.units(), digits);
  }
  protected deg(value: number): string {
    return `${figure(value)}°`;
  }
}
