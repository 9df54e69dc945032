import type { ElementRef } from '@angular/core';
import { ChangeDetectionStrategy, Component, input, signal, viewChild } from '@angular/core';
import type { GlossaryEntry } from '@firm-line/core/trade/glossary';
import { GlossaryCard } from './glossary-card';

let nextId = 0;
/** Between the word and its card, and least room to the edge of the window. */
const GAP_PX = 6;

/** A word that the glossary explains: a tap, or the focus, shows its card; Escape and leaving it close the card. */
@Component({
  selector: 'fl-term',
  imports: [GlossaryCard],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'inline' },
  template: `<button
      #word
      type="button"
      class="group -my-3 inline min-h-tap focus-visible:outline-none"
      [class.min-w-tap]="short()"
      [attr.aria-label]="short() ? 'What is ' + entry().term + '?' : null"
      [attr.aria-describedby]="isOpen() ? id : null"
      [attr.data-term]="entry().id"
      (click)="open($event)"
      (focus)="open()"
      (blur)="close()"
      (keydown.escape)="escape($event)"
    >
      <span
        class="rounded-sm underline decoration-dotted underline-offset-4 group-focus-visible:bg-fluid-pale group-focus-visible:outline-2 group-focus-visible:outline-fluid print:no-underline"
        [textContent]="short() ? '?' : text() || entry().term"
      ></span></button
    ><span
      #card
      popover="manual"
      role="tooltip"
      class="fixed m-0 w-88 max-w-[94vw] rounded-xl border border-rule bg-sheet p-3 shadow-xl"
      [id]="id"
    >
      @if (isOpen()) {
        <fl-glossary-card [entry]="entry()" />
      }
    </span>`,
})
export class Term {
  protected readonly id = `term-${nextId++}`;
  readonly entry = input.required<GlossaryEntry>();
  /** The word in its sentence, in that spelling. */
  readonly text = input('');
  /** A question mark beside a label, in place of the word. */
  readonly short = input(false);
  private readonly word = viewChild.required<ElementRef<HTMLElement>>('word');
  private readonly card = viewChild.required<ElementRef<HTMLElement>>('card');
  protected readonly isOpen = signal(false);

  protected open(event?: Event): void {
    // A tap on a word in a label or a row explains it and does nothing else.
    event?.preventDefault();
    event?.stopPropagation();
    if (this.isOpen()) return;
    this.isOpen.set(true);
    const { nativeElement: card } = this.card();
    const at = this.word().nativeElement.getBoundingClientRect();
    card.showPopover?.();
    const below = at.bottom + GAP_PX;
    card.style.left = `${Math.max(GAP_PX, Math.min(at.left, innerWidth - 360))}px`;
    // Above the word where there is no room below it.
    if (below + 160 < innerHeight) Object.assign(card.style, { top: `${below}px`, bottom: 'auto' });
    else Object.assign(card.style, { top: 'auto', bottom: `${innerHeight - at.top + GAP_PX}px` });
  }
  protected close(): void {
    if (!this.isOpen()) return;
    this.isOpen.set(false);
    this.card().nativeElement.hidePopover?.();
  }
  protected escape(event: Event): void {
    if (!this.isOpen()) return;
    event.stopPropagation();
    event.preventDefault();
    this.close();
  }
}
