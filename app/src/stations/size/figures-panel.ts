import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import {
  fieldAt,
  figureAt,
  labelOf,
  PLAN,
  type EstimatedFigures,
  type Field,
} from '@firm-line/core/plan';
import { FieldOf } from '../../kit/fields/field';
import { PlanStore } from '../../session/plan-store';
import { type FigureAction, type FigureGroup } from './figures';

/** Every figure of a sheet as a field; an estimate is marked until it is typed over. */
@Component({
  selector: 'fl-figures-panel',
  imports: [FieldOf],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (group of rows(); track group.name) {
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
                  figure.isOpen ? 'rounded-lg bg-copper-pale p-1 [&_.label]:text-ink' : 'p-1'
                "
              >
                <fl-field
                  [of]="figure.field"
                  [label]="figure.label"
                  [value]="figure.value"
                  (changed)="set(figure.path, $event)"
                />
                @if (figure.isOpen) {
                  <button
                    type="button"
                    class="min-h-tap px-1 text-sm font-semibold underline"
                    (click)="set(figure.path, figure.value)"
                    [attr.aria-label]="'Confirm: ' + figure.name"
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

  protected readonly rows = computed(() =>
    this.groups().map((group) => ({
      ...group,
      figures: group.figures.map((one) => this.row(one)),
    })),
  );
  private row({ path, label }: FigureGroup['figures'][number]) {
    const place = `${this.of()}.${path}`.split('.');
    const field = fieldAt(PLAN, place, this.store.plan()) as Field<number>;
    const isOpen = this.sheet().open.includes(path);
    const name = label ?? labelOf({ ...field, unit: 'length' });
    return {
      path,
      name,
      label: isOpen ? `△ estimate: ${name}` : name,
      isOpen,
      field: { digits: 3, ...field },
      value: figureAt(this.sheet(), path) as number,
    };
  }
  protected set(path: string, to: unknown): void {
    this.store.apply({ edit: 'setFigure', with: { of: this.of(), path, to } });
  }
  protected act({ path, to, open = [] }: FigureAction): void {
    this.store.apply({ edit: 'setFigure', with: { of: this.of(), path, to, open } });
  }
}
