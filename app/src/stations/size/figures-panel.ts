import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import { figureAt, type EstimatedFigures } from '@firm-line/core/plan';
import { LengthField } from '../../kit/fields/length-field';
import { NumberField } from '../../kit/fields/number-field';
import { PlanStore } from '../../session/plan-store';
import type { FigureAction, FigureGroup } from './figures';

/** Every figure of a sheet as a field; a guess is marked until it is typed over. */
@Component({
  selector: 'fl-figures-panel',
  imports: [LengthField, NumberField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (group of groups(); track group.name) {
      <section class="border-t border-rule py-3" [attr.aria-label]="group.name">
        <div class="flex flex-wrap items-center gap-2">
          <h3 class="mr-auto font-bold">{{ group.name }}</h3>
          @for (action of group.actions ?? []; track action.label) {
            <button type="button" class="btn px-3" (click)="act(action)">{{ action.label }}</button>
          }
        </div>
        @if (group.figures.length) {
          <div class="mt-1 grid grid-cols-2 items-end gap-3">
            @for (figure of group.figures; track figure.path) {
              <div
                [class]="
                  isOpen(figure.path) ? 'rounded-lg bg-copper-pale p-1 [&_.label]:text-ink' : 'p-1'
                "
              >
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
                    class="min-h-tap px-1 text-sm font-semibold underline"
                    (click)="set(figure.path, value(figure.path))"
                    [attr.aria-label]="'Confirm: ' + figure.label"
                  >
                    Confirm
                  </button>
                }
              </div>
            }
          </div>
        } @else {
          <p class="text-sm text-ink-soft">{{ group.none ?? 'None.' }}</p>
        }
      </section>
    }
  `,
})
export class FiguresPanel {
  private readonly store = inject(PlanStore);
  /** Where the sheet stands in the plan: `sizing`, `singles.0`. */
  readonly of = input.required<string>();
  readonly sheet = input.required<EstimatedFigures>();
  readonly groups = input.required<readonly FigureGroup[]>();

  protected value(path: string): number {
    return figureAt(this.sheet(), path) as number;
  }
  protected isOpen(path: string): boolean {
    return this.sheet().open.includes(path);
  }
  protected label(path: string, label: string): string {
    return this.isOpen(path) ? `△ guess: ${label}` : label;
  }
  protected set(path: string, to: unknown): void {
    this.store.apply({ edit: 'setFigure', with: { of: this.of(), path, to } });
  }
  protected act({ path, to, open = [] }: FigureAction): void {
    this.store.apply({ edit: 'setFigure', with: { of: this.of(), path, to, open } });
  }
}
