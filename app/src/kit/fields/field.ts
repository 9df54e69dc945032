import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import {
  bare,
  choiceName,
  isDay,
  isUnlikely,
  labelOf,
  toldOf,
  unitOf,
  unitSymbol,
  type AnyField,
  type Field,
  type NumberLimits,
  type TextLimits,
} from '@firm-line/core/plan';
import { formatLengthUnit } from '@firm-line/core/lib/units';
import type { Vec3 } from '@firm-line/core/lib/vec';
import { DISPLAY_UNITS } from '../units';
import { CheckField } from './check-field';
import { DateField } from './date-field';
import { doubtWords } from './doubt';
import { LengthField } from './length-field';
import { NumberField } from './number-field';
import { OptionalNumberField } from './optional-number-field';
import { SelectField, type Choice } from './select-field';
import { TextField } from './text-field';
import { VectorField } from './vector-field';
import { YesNoField } from './yes-no-field';

let nextId = 0;

/** Whether nothing may stand in a field: null or not there. */
const mayBeEmpty = (field: AnyField): boolean =>
  field.type === 'nullable' || field.type === 'optional';
/** What stands for nothing: null where the field knows it. */
const emptyOf = (field: AnyField): null | undefined =>
  field.type === 'nullable' ? null : field.type === 'optional' ? emptyOf(field.of) : undefined;

/**
 * A field of a record as the model describes it: label, unit, limits, choices and what an empty one means come from there.
 * What a page says besides (another label, a hint, what can be chosen now) comes before that.
 */
@Component({
  selector: 'fl-field',
  imports: [
    CheckField,
    DateField,
    LengthField,
    NumberField,
    OptionalNumberField,
    SelectField,
    TextField,
    VectorField,
    YesNoField,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block', '[class.contents]': "control() === 'vector'" },
  template: `
    @switch (control()) {
      @case ('length') {
        <fl-length-field
          [label]="words()"
          [bare]="bare()"
          [hint]="says()"
          [limits]="limits()"
          [digits]="digits()"
          [sold]="sold()"
          [valueMm]="figure()"
          (changed)="take($event)"
        />
      }
      @case ('number') {
        <fl-number-field
          [label]="words()"
          [bare]="bare()"
          [hint]="says()"
          [limits]="limits()"
          [value]="figure()"
          (changed)="take($event)"
        />
      }
      @case ('optional') {
        <fl-optional-number-field
          [label]="words()"
          [bare]="bare()"
          [unit]="unit() === 'length' ? 'length' : 'number'"
          [hint]="says()"
          [limits]="limits()"
          [digits]="digits()"
          [none]="empty() ?? 'not known'"
          [value]="maybeFigure()"
          (changed)="take($event)"
        />
      }
      @case ('choice') {
        <fl-select-field
          [field]="field()"
          [label]="words()"
          [bare]="bare()"
          [disabled]="disabled()"
          [options]="choices()"
          [none]="noChoice()"
          [value]="maybeText()"
          (changed)="take($event || null)"
        />
      }
      @case ('check') {
        <fl-check-field [label]="words()" [checked]="isOn()" (changed)="take($event)" />
      }
      @case ('yes-no') {
        <fl-yes-no-field
          [field]="field()"
          [label]="words()"
          [yes]="names()['yes']!"
          [no]="names()['no']!"
          [none]="empty() ?? 'not checked'"
          [value]="maybeFlag()"
          (changed)="take($event)"
        />
      }
      @case ('date') {
        <fl-date-field
          [field]="field()"
          [label]="words()"
          [value]="maybeText()"
          (changed)="take($event)"
        />
      }
      @case ('vector') {
        <fl-vector-field
          [labels]="axes()"
          [limits]="limits()"
          [valueMm]="vector()"
          (changed)="take($event)"
        />
      }
      @default {
        <fl-text-field
          [field]="field()"
          [label]="words()"
          [bare]="bare()"
          [hint]="says()"
          [mono]="mono()"
          [placeholder]="placeholder()"
          [offers]="offers()"
          [limits]="textLimits()"
          [value]="maybeText() ?? ''"
          (changed)="take($event || (canBeEmpty() ? null : $event))"
        />
      }
    }
    @if (doubt(); as asked) {
      <p class="mt-1 text-sm" role="status" data-test="doubt">{{ asked }}</p>
    }
  `,
})
export class FieldOf<T> {
  private readonly units = inject(DISPLAY_UNITS);
  readonly of = input.required<Field<T>>();
  readonly value = input.required<T | null | undefined>();
  /** Id of the line itself. */
  readonly field = input(`field-${nextId++}`);
  /** In place of the model's label, without the unit. */
  readonly label = input<string | null>(null);
  readonly bare = input(false);
  readonly disabled = input(false);
  readonly hint = input<string | null>(null);
  readonly placeholder = input('');
  readonly mono = input(false);
  readonly offers = input<readonly string[]>([]);
  /** What can be chosen, where that is not what the model names. */
  readonly options = input<readonly Choice[] | null>(null);
  /** In place of what the model says of nothing. */
  readonly none = input<string | null>(null);
  /** What the three figures of a place are called. */
  readonly axes = input<readonly string[]>(['x, aft', 'y, right', 'z, up']);
  readonly changed = output<T>();

  private readonly inner = computed(() => bare(this.of()));
  private readonly told = computed(() => toldOf(this.of()));
  protected readonly canBeEmpty = computed(() => mayBeEmpty(this.of()));
  protected readonly unit = computed(() => unitOf(this.of()));
  protected readonly words = computed(() => labelOf(this.of(), this.label()));
  protected readonly says = computed(() => this.hint() ?? this.told().help ?? '');
  protected readonly empty = computed(() => this.none() ?? this.told().none ?? null);
  protected readonly digits = computed(() => this.told().digits ?? 1);
  protected readonly sold = computed(() => this.told().sold ?? false);
  protected readonly names = computed(() => this.told().names ?? {});
  protected readonly control = computed(() => {
    const field = this.inner();
    switch (field.type) {
      case 'number':
        if (this.canBeEmpty() || (this.value() ?? null) === null) return 'optional';
        return this.unit() === 'length' ? 'length' : 'number';
      case 'oneOf':
      case 'ref':
        return 'choice';
      case 'flag':
        return this.canBeEmpty() && field.names ? 'yes-no' : 'check';
      case 'tuple':
        return 'vector';
      default:
        return isDay(field) ? 'date' : 'text';
    }
  });
  protected readonly limits = computed((): NumberLimits => {
    const field = this.inner();
    const numbers = (field.type === 'tuple' ? field.of[0]! : field) as NumberLimits;
    const { usual } = this.told();
    if (!usual) return numbers;
    const { type, whole = false } = numbers;
    return { type, least: usual[0], most: usual[1], whole };
  });
  protected readonly textLimits = computed(() => this.inner() as TextLimits);
  protected readonly choices = computed((): readonly Choice[] => {
    const field = this.inner();
    const values = field.type === 'oneOf' ? field.of : [];
    return this.options() ?? values.map((of) => [String(of), choiceName(this.of(), of)] as const);
  });
  protected readonly noChoice = computed(() =>
    this.canBeEmpty() ? (this.empty() ?? 'none') : this.none(),
  );
  protected readonly figure = computed(() => this.value() as number);
  protected readonly maybeFigure = computed(() => this.value() as number | null | undefined);
  protected readonly maybeText = computed(() => (this.value() ?? null) as string | null);
  protected readonly maybeFlag = computed(() => (this.value() ?? null) as boolean | null);
  /** Asked of a figure that is taken as it is, and hardly ever read. */
  protected readonly doubt = computed(() => {
    const value = this.value();
    if (typeof value !== 'number' || !isUnlikely(this.of(), value)) return null;
    const unit = this.unit();
    const shown = (figure: number): string =>
      unit === 'length'
        ? formatLengthUnit(figure, this.units(), 1)
        : `${figure}${unit ? ` ${unitSymbol(unit)}` : ''}`;
    const [least, most] = this.told().likely!;
    return doubtWords(shown(value), shown(least), shown(most));
  });
  protected readonly isOn = computed(() => this.value() === true);
  protected readonly vector = computed(() => this.value() as Vec3);

  protected take(value: unknown): void {
    this.changed.emit((value === null ? emptyOf(this.of()) : value) as T);
  }
}
