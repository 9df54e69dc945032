import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import {
  factsOf,
  figuresOf,
  makesPressure,
  PART_FIGURES,
  type Part,
  type PartFact,
  type PartFigure,
  PART_FACTS,
  PART,
  PORT,
} from '@firm-line/core/plan';
import { galleriesOf } from '@firm-line/core/plan/network';
import { PlanStore } from '../../session/plan-store';
import { SelectField } from '../../kit/fields/select-field';
import { Disclosure } from '../../kit/disclosure';
import { FieldOf } from '../../kit/fields/field';

/** What a part's sheet says of it: rating, fluid level, free play, residual pressure, the fluid its seals are made for. */
@Component({
  selector: 'fl-part-figures-form',
  imports: [Disclosure, FieldOf, SelectField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <fl-disclosure class="mt-3 border-t border-rule" summary="Figures from the maker’s sheet">
      <div class="grid grid-cols-2 items-end gap-3">
        @for (figure of figures(); track figure) {
          <fl-field
            [of]="figureFields[figure]"
            [value]="part().figures[figure]"
            (changed)="set(figure, $event ?? null)"
          />
        }
        @for (outlet of outlets(); track outlet.id) {
          <fl-field
            [of]="portFields.residualMPa"
            [label]="'Residual valve built in at ' + outlet.name"
            [value]="outlet.residualMPa"
            (changed)="setResidual(outlet.id, $event ?? null)"
          />
        }
        @for (fact of facts(); track fact) {
          <fl-field
            class="col-span-2"
            [of]="factFields[fact]"
            [value]="part().facts?.[fact] ?? false"
            (changed)="setFact(fact, $event ?? false)"
          />
        }
        <fl-field
          [of]="partFields.family"
          field="part-family"
          [value]="part().family"
          (changed)="setFamily($event ?? '')"
        />
      </div>
      @if (galleries().length > 1 || part().ports.length > 2) {
        <fieldset class="mt-3 border-t border-rule pt-2" data-test="passages">
          <legend class="sr-only">Inner passages</legend>
          <p class="font-semibold">Which ports are connected inside</p>
          <p class="text-sm text-ink-soft">
            Ports in one gallery share fluid.
            {{
              part().passages
                ? 'As you entered it.'
                : 'Typical for this kind of part. The maker’s sheet decides.'
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
              Use the typical passages
            </button>
          }
        </fieldset>
      }
      <p class="mt-2 text-sm text-ink-soft">Type 2 psi for calipers, 10 psi for drums.</p>
    </fl-disclosure>
  `,
})
export class PartFiguresForm {
  protected readonly figureFields = PART_FIGURES.fields;
  protected readonly factFields = PART_FACTS.fields;
  protected readonly partFields = PART.fields;
  protected readonly portFields = PORT.fields;
  private readonly store = inject(PlanStore);
  readonly part = input.required<Part>();
  protected readonly figures = computed(() => figuresOf(this.part().kind));
  protected readonly facts = computed(() => factsOf(this.part().kind));
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
  protected change(patch: Partial<Omit<Part, 'id'>>): void {
    this.store.apply({ edit: 'changePart', with: { id: this.part().id, patch } });
  }
}
