import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { Glossary } from './glossary';
import { Term } from './term';

/** A text in which each term of the glossary can be tapped. */
@Component({
  selector: 'fl-words',
  imports: [Term],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'contents' },
  template: `@for (piece of pieces(); track $index) {
    @if (piece.entry; as entry) {
      <fl-term [entry]="entry" [text]="piece.text" />
    } @else {
      <span [textContent]="piece.text"></span>
    }
  }`,
})
export class Words {
  private readonly glossary = inject(Glossary);
  readonly text = input.required<string>();
  protected readonly pieces = computed(() => this.glossary.pieces(this.text()));
}
