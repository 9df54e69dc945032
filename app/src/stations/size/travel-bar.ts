import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { CAUSES, type Cause, type Size } from '@firm-line/core/physics/hydraulics';
import { formatLength } from '@firm-line/core/lib/units';
import { PlanStore } from '../../session/plan-store';

const CAUSE_NAMES: Record<Cause, string> = {
  dead: 'free stroke',
  pads: 'pads and shoes',
  hose: 'hoses swell',
  tube: 'tubes swell',
  fluid: 'fluid compresses',
  air: 'air',
};
const INKS: Record<Cause, string> = {
  dead: 'bg-nut',
  pads: 'bg-copper',
  hose: 'bg-slate',
  tube: 'bg-ink',
  fluid: 'bg-fluid',
  air: 'bg-stop',
};

/** Where the pedal's travel goes, by cause, against the stroke there is. */
@Component({
  selector: 'fl-travel-bar',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div
      class="flex h-9 overflow-hidden rounded-lg border border-ink-soft bg-paper"
      role="img"
      [attr.aria-label]="words()"
    >
      @for (part of parts(); track part.cause) {
        <span [class]="part.ink" [style.width.%]="part.share"></span>
      }
    </div>
    <dl
      class="mt-2 grid grid-cols-[auto_auto_1fr] items-center gap-x-3 sm:grid-cols-[auto_auto_1fr_auto_auto_1fr]"
    >
      @for (part of parts(); track part.cause) {
        <span [class]="part.ink + ' size-4 rounded-sm'" aria-hidden="true"></span>
        <dd class="text-right font-mono">{{ part.mm }}</dd>
        <dt>{{ part.name }}</dt>
      }
    </dl>
  `,
})
export class TravelBar {
  private readonly store = inject(PlanStore);
  readonly size = input.required<Size>();
  readonly strokeMm = input.required<number>();
  protected readonly parts = computed(() =>
    CAUSES.map((cause) => {
      const mm = this.size().travelMm.byCause[cause];
      return {
        cause,
        name: CAUSE_NAMES[cause],
        ink: INKS[cause],
        mm: formatLength(mm, this.store.units(), 1),
        share: (100 * mm) / Math.max(this.strokeMm(), this.size().travelMm.total),
      };
    }),
  );
  protected readonly words = computed(
    () =>
      `Pedal travel: ${this.parts()
        .map((p) => `${p.name} ${p.mm}`)
        .join(', ')}`,
  );
}
