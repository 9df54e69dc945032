import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { figureAt, typicalBrake, withFigure, type Sizing } from '@firm-line/core/plan';
import { LengthField } from '../../kit/length-field';
import { NumberField } from '../../kit/number-field';
import { PlanStore } from '../../plan/plan-store';
import { figureGroups } from './figures';

const BOOSTER = { gain: 4, vacuumKPa: 65, diaphragmMm2: 35_000 };
const VALVE = { kneeMPa: 3, slope: 0.4 };

/** Every figure from foot to road as a field; a guess is marked until it is typed over. */
@Component({
  selector: 'fl-figures-panel',
  imports: [LengthField, NumberField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (group of groups(); track group.name) {
      <section class="border-t border-rule py-3" [attr.aria-label]="group.name">
        <div class="flex flex-wrap items-center gap-2">
          <h3 class="mr-auto font-bold">{{ group.name }}</h3>
          @switch (group.name) {
            @case ('Booster') {
              <button type="button" class="btn" (click)="set('booster', sizing().booster ? null : booster)">
                {{ sizing().booster ? 'Take it out' : 'Put one in' }}
              </button>
            }
            @case ('Rear valve') {
              <button type="button" class="btn" (click)="set('rearValve', sizing().rearValve ? null : valve)">
                {{ sizing().rearValve ? 'Take it out' : 'Put one in' }}
              </button>
            }
            @case ('Master') {
              <button type="button" class="btn" (click)="switchMaster()">
                {{ sizing().master.kind === 'tandem' ? 'Two masters and a bar' : 'One tandem master' }}
              </button>
            }
            @case ('Front brakes') {
              <button type="button" class="btn" (click)="switchBrake('front')">
                {{ sizing().front.kind === 'disc' ? 'Drums instead' : 'Discs instead' }}
              </button>
            }
            @case ('Rear brakes') {
              <button type="button" class="btn" (click)="switchBrake('rear')">
                {{ sizing().rear.kind === 'disc' ? 'Drums instead' : 'Discs instead' }}
              </button>
            }
          }
        </div>
        @if (group.figures.length) {
          <div class="mt-1 grid grid-cols-2 items-end gap-3">
            @for (figure of group.figures; track figure.path) {
              <div [class]="isOpen(figure.path) ? 'rounded-lg bg-copper-pale p-1 [&_.label]:text-ink' : 'p-1'">
                @if (figure.kind === 'length') {
                  <fl-length-field
                    [label]="label(figure.path, figure.label)"
                    [valueMm]="value(figure.path)"
                    [leastMm]="figure.least"
                    [mostMm]="figure.most"
                    [digits]="3"
                    (changed)="set(figure.path, $event)"
                  />
                } @else {
                  <fl-number-field
                    [label]="label(figure.path, figure.label)"
                    [value]="value(figure.path)"
                    [least]="figure.least"
                    [most]="figure.most"
                    (changed)="set(figure.path, $event)"
                  />
                }
                @if (isOpen(figure.path)) {
                  <button
                    type="button"
                    class="min-h-12 px-1 text-sm font-semibold underline"
                    (click)="set(figure.path, value(figure.path))"
                    [attr.aria-label]="'It is right: ' + figure.label"
                  >
                    It is right
                  </button>
                }
              </div>
            }
          </div>
        } @else {
          <p class="text-sm text-ink-soft">None.</p>
        }
      </section>
    }
  `,
})
export class FiguresPanel {
  private readonly store = inject(PlanStore);
  readonly sizing = input.required<Sizing>();
  protected readonly groups = computed(() => figureGroups(this.sizing()));
  protected readonly booster = BOOSTER;
  protected readonly valve = VALVE;

  protected value(path: string): number {
    return figureAt(this.sizing(), path) as number;
  }
  protected isOpen(path: string): boolean {
    return this.sizing().open.includes(path);
  }
  protected label(path: string, label: string): string {
    return this.isOpen(path) ? `△ guess: ${label}` : label;
  }
  protected set(path: string, to: unknown): void {
    this.store.apply({ edit: 'setFigure', with: { path, to } });
  }
  protected switchMaster(): void {
    const { master } = this.sizing();
    const { strokeMm, deadMm } = master;
    const to =
      master.kind === 'tandem'
        ? { kind: 'twin', frontBoreMm: master.boreMm, rearBoreMm: master.boreMm, frontShare: 0.5, strokeMm, deadMm }
        : { kind: 'tandem', boreMm: master.frontBoreMm, strokeMm, deadMm };
    this.set('master', to);
  }
  /** The other kind comes with typical figures, each marked as a guess. */
  protected switchBrake(axle: 'front' | 'rear'): void {
    const { brake, open } = typicalBrake(this.sizing()[axle].kind === 'disc' ? 'drum' : 'disc', axle);
    const changed = withFigure(this.sizing(), axle, brake);
    this.store.apply({ edit: 'setSizing', with: { sizing: { ...changed, open: [...changed.open, ...open] } } });
  }
}
