import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import {
  factsOf,
  figuresOf,
  makesPressure,
  PART_FIGURES,
  type Part,
  type PartFact,
  type PartFigure,
} from '@firm-line/core/plan';
import { galleriesOf } from '@firm-line/core/plan/network';
import { CheckField } from '../../kit/fields/check-field';
import { OptionalNumberField } from '../../kit/fields/optional-number-field';
import { PlanStore } from '../../session/plan-store';
import { SelectField } from '../../kit/fields/select-field';
import { Disclosure } from '../../kit/disclosure';

const FIGURE_NAMES: Record<PartFigure, string> = {
  ratingMPa: 'Rated pressure',
  levelMm: 'Fluid level over the ground, at its lowest mark',
  reservoirMl: 'Fluid between its two marks',
  freePlayMm: 'Free play of the pushrod',
  residualMPa: 'Residual pressure',
};
const FACT_NAMES: Record<PartFact, string> = {
  cupExpanders: 'Its cups have expanders',
  thinFluid: 'Its sheet asks for fluid of low viscosity',
  copied: 'Its purpose is not known: kept as it was',
};

/** What a part's sheet says of it: rating, fluid level, free play, residual pressure, the fluid its seals are made for. */
@Component({
  selector: 'fl-part-figures-form',
  imports: [CheckField, Disclosure, SelectField, OptionalNumberField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <fl-disclosure class="mt-3 border-t border-rule" summary="What its sheet says">
      <div class="grid grid-cols-2 items-end gap-3">
        @for (figure of figures(); track figure.key) {
          <fl-optional-number-field
            [label]="figure.label"
            [unit]="figure.unit"
            [least]="figure.least"
            [most]="figure.most"
            [value]="part().figures[figure.key]"
            (changed)="set(figure.key, $event)"
          />
        }
        @for (outlet of outlets(); track outlet.id) {
          <fl-optional-number-field
            [label]="'Residual valve built in at ' + outlet.name + ', MPa'"
            none="none"
            [most]="1"
            [value]="outlet.residualMPa"
            (changed)="setResidual(outlet.id, $event)"
          />
        }
        @for (fact of facts(); track fact.key) {
          <fl-check-field
            class="col-span-2"
            [label]="fact.name"
            [checked]="part().facts?.[fact.key] ?? false"
            (changed)="setFact(fact.key, $event)"
          />
        }
        <fl-select-field
          field="part-family"
          label="Seals made for"
          [options]="families"
          [value]="part().family"
          none="not known"
          (changed)="setFamily($event)"
        />
      </div>
      @if (galleries().length > 1 || part().ports.length > 2) {
        <fieldset class="mt-3 border-t border-rule pt-2" data-test="passages">
          <legend class="sr-only">Inner passages</legend>
          <p class="font-semibold">Which ports are connected inside</p>
          <p class="text-sm text-ink-soft">
            Ports of one gallery share their fluid.
            {{
              part().passages
                ? 'As you set it down.'
                : 'As such a part mostly has it: its sheet decides.'
            }}
          </p>
          <div class="mt-1 grid grid-cols-2 gap-3">
            @for (port of part().ports; track port.id) {
              <fl-select-field
                [field]="'gallery-' + port.id"
                [label]="port.name"
                [options]="galleryNames()"
                [value]="galleryOf(port.id)"
                none="shut off"
                (changed)="setGallery(port.id, $event)"
              />
            }
          </div>
          @if (part().passages) {
            <button type="button" class="link" (click)="clearPassages()">
              As such a part mostly has it
            </button>
          }
        </fieldset>
      }
      <p class="mt-2 text-sm text-ink-soft">0.0138 MPa is 2 psi, 0.069 MPa is 10 psi.</p>
    </fl-disclosure>
  `,
})
export class PartFiguresForm {
  protected readonly families = [
    ['glycol', 'glycol (DOT 3, 4, 5.1)'],
    ['silicone', 'silicone (DOT 5)'],
    ['mineral', 'mineral oil'],
  ] as const;
  private readonly store = inject(PlanStore);
  readonly part = input.required<Part>();
  protected readonly figures = computed(() =>
    figuresOf(this.part().kind).map((key) => {
      const { unit, least, most } = PART_FIGURES[key];
      const name = FIGURE_NAMES[key];
      return unit === 'length'
        ? ({ key, label: name, unit, least, most } as const)
        : ({ key, label: `${name}, ${unit}`, unit: 'number', least, most } as const);
    }),
  );
  protected readonly facts = computed(() =>
    factsOf(this.part().kind).map((key) => ({ key, name: FACT_NAMES[key] })),
  );
  protected readonly outlets = computed(() =>
    makesPressure(this.part()) ? this.part().ports.filter((port) => port.role === 'outlet') : [],
  );

  protected readonly galleries = computed(() =>
    galleriesOf(this.part()).map((ports) => ports.map(({ id }) => id)),
  );
  /** One more than there are, so that a port can be given its own. */
  protected readonly galleryNames = computed(() =>
    Array.from(
      { length: Math.min(this.galleries().length + 1, this.part().ports.length) },
      (_, i) => [String(i), `gallery ${i + 1}`] as const,
    ),
  );
  protected galleryOf(portId: string): string | null {
    const at = this.galleries().findIndex((ids) => ids.includes(portId));
    return at < 0 ? null : String(at);
  }
  protected setGallery(portId: string, to: string): void {
    const rest = this.galleries().map((ids) => ids.filter((id) => id !== portId));
    const passages =
      to === ''
        ? rest
        : [...rest, ...(Number(to) < rest.length ? [] : [[]])].map((ids, i) =>
            i === Number(to) ? [...ids, portId] : ids,
          );
    this.change({ passages: passages.filter((ids) => ids.length) });
  }
  protected clearPassages(): void {
    this.change({ passages: undefined });
  }
  protected set(key: PartFigure, value: number | null): void {
    const { [key]: _, ...rest } = this.part().figures;
    this.change({ figures: value === null ? rest : { ...rest, [key]: value } });
  }
  protected setFact(key: PartFact, yes: boolean): void {
    this.change({ facts: { ...this.part().facts, [key]: yes } });
  }
  protected setFamily(value: string): void {
    this.change({ family: (value || null) as Part['family'] });
  }
  protected setResidual(id: string, value: number | null): void {
    this.store.apply({ edit: 'changePort', with: { id, patch: { residualMPa: value ?? 0 } } });
  }
  private change(patch: Partial<Omit<Part, 'id'>>): void {
    this.store.apply({ edit: 'changePart', with: { id: this.part().id, patch } });
  }
}
