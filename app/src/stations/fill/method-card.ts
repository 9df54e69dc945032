import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { methodsFor } from '@firm-line/core/stations/fill';
import { FILL_TOOLS, type FillMethod, type FillTool, FILLING } from '@firm-line/core/plan';
import { CheckField } from '../../kit/fields/check-field';
import { Notices } from '../../kit/notices';
import { PlanStore } from '../../session/plan-store';
import { FillFacade } from './fill-facade';
import { FieldOf } from '../../kit/fields/field';

/** How fluid is moved: by how many, with what; what each method is good for and what it lacks. */
@Component({
  selector: 'fl-method-card',
  imports: [CheckField, FieldOf],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'card block p-5', role: 'region', 'aria-label': 'Method' },
  template: `
    <h2 class="h2">Bleeding method</h2>
    <div class="mt-2 flex flex-wrap items-end gap-x-6 gap-y-2">
      <fl-field
        class="w-28"
        [of]="fields.people"
        [value]="sheet.filling().people"
        (changed)="sheet.set({ people: $event })"
      />
      <fl-check-field
        label="Used master cylinder: half strokes only, the ridge in the bore tears the cups"
        [checked]="sheet.filling().usedMaster"
        (changed)="sheet.set({ usedMaster: $event })"
      />
      <fl-check-field
        label="Fill later: lines come off again for paint, welding or a gate"
        [checked]="sheet.filling().when === 'later'"
        (changed)="sheet.set({ when: $event ? 'later' : 'now' })"
      />
    </div>
    <fieldset class="mt-3">
      <legend class="label">Tools at hand</legend>
      <div class="mt-1 flex flex-wrap gap-2">
        @for (tool of tools; track tool) {
          <button
            type="button"
            [class]="has(tool) ? 'btn-dark' : 'btn'"
            [attr.aria-pressed]="has(tool)"
            (click)="toggle(tool)"
          >
            {{ tool }}{{ has(tool) ? ' ✓' : '' }}
          </button>
        }
      </div>
    </fieldset>
    <ul class="mt-4" aria-label="Methods">
      @for (view of views(); track view.method.id) {
        <li class="border-t border-rule py-1">
          <button
            type="button"
            class="flex min-h-tap w-full flex-wrap items-center gap-x-3 rounded-lg px-2 text-left hover:bg-paper"
            [class.bg-fluid-pale]="view.method.id === sheet.method().id"
            [attr.aria-pressed]="view.method.id === sheet.method().id"
            [attr.data-method]="view.method.id"
            (click)="choose(view.method.id)"
          >
            <span class="font-semibold"
              >{{ view.method.name
              }}{{ view.method.id === sheet.method().id ? ': chosen' : '' }}</span
            >
            <span class="text-sm"
              ><span [class]="view.fits ? 'text-ok' : 'text-caution'" aria-hidden="true">{{
                view.fits ? '✓' : '▲'
              }}</span>
              {{ view.fits ? 'suitable' : view.lacks }}</span
            >
            <span class="basis-full text-sm">{{ view.method.right }} {{ view.method.beware }}</span>
          </button>
        </li>
      }
    </ul>
    <div class="mt-3 flex flex-wrap gap-2">
      @if (sheet.filling().method) {
        <button type="button" class="btn" (click)="sheet.set({ method: null })">
          Choose by people and tools
        </button>
      }
      <button type="button" class="btn" [disabled]="!missing().length" (click)="list()">
        {{
          missing().length
            ? 'Add missing tools to the list: ' + missing().join(', ')
            : 'All tools are here or on the list'
        }}
      </button>
    </div>
    <p class="mt-3 text-sm text-ink-soft">
      An anti-lock modulator can trap air that only a scan tool can bleed out. With no scan tool for
      it, note this in the log, and expect a soft pedal after the modulator first works. Methods are
      common practice; the makers’ sheets come first.
    </p>
  `,
})
export class MethodCard {
  protected readonly fields = FILLING.fields;
  protected readonly sheet = inject(FillFacade);
  private readonly store = inject(PlanStore);
  private readonly notices = inject(Notices);
  protected readonly tools = FILL_TOOLS;
  protected readonly views = computed(() =>
    methodsFor(this.sheet.filling(), this.store.plan(), this.sheet.network()),
  );
  /** Tools of the method, and the wrench, that are neither here nor on the list. */
  protected readonly missing = computed(() => {
    const listed = new Set(this.store.plan().buying.own.map(({ name }) => name.toLowerCase()));
    const tools = this.sheet.method().tools.filter((tool) => !this.has(tool));
    return [
      ...tools,
      'box wrench for the bleeders (check the size: 7 to 11 mm)',
      'bleeder caps',
    ].filter((name) => !listed.has(name));
  });
  protected has(tool: FillTool): boolean {
    return this.sheet.filling().tools.includes(tool);
  }
  protected toggle(tool: FillTool): void {
    const { tools } = this.sheet.filling();
    this.sheet.set({
      tools: this.has(tool) ? tools.filter((one) => one !== tool) : [...tools, tool],
    });
  }
  protected choose(method: FillMethod): void {
    this.sheet.set({ method });
  }
  protected list(): void {
    const bleeders = this.sheet.works().reduce((sum, work) => sum + work.bleeders.length, 0);
    for (const name of this.missing())
      this.store.apply({
        edit: 'addOwnItem',
        with: {
          ownItem: {
            id: this.store.freshId('item'),
            name,
            count: name === 'bleeder caps' ? bleeders : 1,
          },
        },
      });
    this.notices.say('Added to the list in Make, under Own items.');
  }
}
