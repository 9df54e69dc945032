import { ChangeDetectionStrategy, Component, inject, viewChild } from '@angular/core';
import {
  UNIT_KINDS,
  type ShownUnits,
  type UnitKind,
  type UnitSystem,
} from '@firm-line/core/lib/units';
import { CheckField } from '../kit/fields/check-field';
import { SelectField } from '../kit/fields/select-field';
import { PlanStore } from '../session/plan-store';
import { HINTS, HintsSeen } from '../pieces/hints';
import { STATIONS } from '../stations/registry';
import { stationKey } from './station-key';
import { Keys } from './keys';
import { Dialog } from '../kit/dialog';
import { Theme, type ThemeChoice } from '../kit/theme';
import { Toggle, type ToggleChoice } from '../kit/toggle';

export const KEYS: readonly (readonly [string, string])[] = [
  [`1 – ${stationKey(STATIONS.length - 1).name}`, 'Go to a station'],
  ['/', 'Find anything'],
  ['.', 'Go to the next snag'],
  ['s', 'Show all snags'],
  ['u', 'Metric or inch units'],
  ['Ctrl z', 'Undo'],
  ['Shift Ctrl z', 'Redo'],
  ['m', 'Type a move (in Route)'],
  ['f', 'Full screen on or off (3-D view)'],
  ['b', 'Collapse or open the side panel'],
  ['v', 'Fit the vehicle to the view'],
  ['?', 'Show this list'],
];

@Component({
  selector: 'fl-key-list',
  imports: [CheckField, Dialog, SelectField, Toggle],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <fl-dialog
      #dialog
      label="Keys and settings"
      [light]="true"
      look="w-[min(34rem,94vw)] max-h-[92dvh] overflow-auto p-5"
    >
      <div class="flex items-center justify-between">
        <h2 class="h2">Keys and settings</h2>
        <button type="button" class="btn" (click)="dialog.close()">Close</button>
      </div>
      <div class="mt-2 flex flex-wrap items-center gap-3 border-t border-rule pt-2">
        <span class="mr-auto">Theme</span>
        <fl-toggle
          label="Theme"
          [options]="themes"
          [value]="theme.choice()"
          (changed)="theme.choose($event)"
        />
      </div>
      @if (store.isOpen()) {
        <section class="mt-2 border-t border-rule pt-2" aria-label="Units">
          <div class="flex flex-wrap items-center gap-3">
            <h3 class="mr-auto font-bold">Units</h3>
            <fl-toggle
              label="Units"
              [options]="presets"
              [value]="store.units()"
              (changed)="choose($event, {})"
            />
          </div>
          <div class="mt-2 grid grid-cols-2 gap-x-3 gap-y-2 sm:grid-cols-3">
            @for (one of kinds; track one.kind) {
              <fl-select-field
                [field]="'unit-' + one.kind"
                [label]="one.name"
                [options]="one.options"
                [value]="store.shownUnits()[one.kind]"
                (changed)="chooseOne(one.kind, $event)"
              />
            }
          </div>
          <p class="mt-1 text-sm text-ink-soft">
            Every field accepts any unit, such as 60 mph, 130 ft or 1500 psi. Charts, cards and the
            pack use MPa, N and mm.
          </p>
        </section>
      }
      <fl-check-field
        class="mt-2 border-t border-rule"
        label="Use single-key shortcuts (Ctrl z always works)"
        [checked]="keysOf.single()"
        (changed)="keysOf.setSingle($event)"
      />
      <dl class="mt-2">
        @for (key of keys; track key[0]) {
          <div class="flex border-t border-rule py-2">
            <dt class="w-32 font-mono font-semibold">{{ key[0] }}</dt>
            <dd>{{ key[1] }}</dd>
          </div>
        }
      </dl>
      <section class="mt-2 border-t border-rule pt-2" aria-label="First steps">
        <div class="flex items-center gap-3">
          <h3 class="mr-auto font-bold">First steps</h3>
          @if (hints.seen().length) {
            <button type="button" class="btn" (click)="hints.showAgain()">
              Show first steps again
            </button>
          }
        </div>
        <ul class="list-disc pl-5 text-sm">
          @for (hint of allHints; track hint) {
            <li>{{ hint }}</li>
          }
        </ul>
      </section>
    </fl-dialog>
  `,
})
export class KeyList {
  private readonly dialog = viewChild.required<Dialog>('dialog');
  protected readonly keys = KEYS;
  protected readonly hints = inject(HintsSeen);
  protected readonly allHints = Object.values(HINTS).flat();
  protected readonly keysOf = inject(Keys);
  protected readonly theme = inject(Theme);
  protected readonly store = inject(PlanStore);
  protected readonly presets = [
    { value: 'metric', name: 'metric' },
    { value: 'inch', name: 'inch' },
  ] as const satisfies readonly ToggleChoice<UnitSystem>[];
  protected readonly kinds = (Object.keys(UNIT_KINDS) as UnitKind[]).map((kind) => ({
    kind,
    name: UNIT_KINDS[kind].name,
    options: UNIT_KINDS[kind].units.map((unit) => [unit, unit] as const),
  }));
  protected readonly themes = [
    { value: 'system', name: 'same as system' },
    { value: 'light', name: 'light' },
    { value: 'dark', name: 'dark' },
  ] as const satisfies readonly ToggleChoice<ThemeChoice>[];
  /** A preset, with those that are chosen beside it. */
  protected choose(units: UnitSystem, ownUnits: Partial<ShownUnits>): void {
    this.store.apply({ edit: 'setUnits', with: { units, ownUnits } });
  }
  protected chooseOne(kind: UnitKind, unit: string): void {
    const { ownUnits } = this.store.plan();
    this.choose(this.store.units(), { ...ownUnits, [kind]: unit });
  }
  open(): void {
    this.dialog().show();
  }
}
