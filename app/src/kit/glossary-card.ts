import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { GlossaryEntry, GlossaryInk, GlossaryStroke } from '@firm-line/core/trade/glossary';

const LINES: Readonly<Record<GlossaryInk, string>> = {
  copper: 'stroke-copper',
  fluid: 'stroke-fluid',
  ink: 'stroke-ink',
  soft: 'stroke-ink-soft',
  stop: 'stroke-stop',
};
const FILLS: Readonly<Record<GlossaryInk, string>> = {
  copper: 'fill-copper',
  fluid: 'fill-fluid',
  ink: 'fill-ink',
  soft: 'fill-ink-soft',
  stop: 'fill-stop',
};

/** A term with its drawing and what it means. */
@Component({
  selector: 'fl-glossary-card',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block text-left' },
  template: `
    <span class="flex items-start gap-3">
      <svg viewBox="0 0 120 72" class="w-30 shrink-0 rounded bg-paper" aria-hidden="true">
        @for (stroke of entry().drawing; track $index) {
          <path
            [attr.d]="stroke.d"
            [attr.class]="look(stroke)"
            [attr.stroke-dasharray]="stroke.dashed ? '4 3' : null"
            stroke-width="2"
            stroke-linejoin="round"
          />
        }
      </svg>
      <span class="min-w-0 text-sm leading-snug font-normal text-ink">
        <strong class="block text-base first-letter:uppercase">{{ entry().term }}</strong>
        {{ entry().means }}
      </span>
    </span>
  `,
})
export class GlossaryCard {
  readonly entry = input.required<GlossaryEntry>();
  protected look({ ink, solid }: GlossaryStroke): string {
    return solid ? FILLS[ink] : `fill-none ${LINES[ink]}`;
  }
}
