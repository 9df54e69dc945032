import { ChangeDetectionStrategy, Component, input, signal } from '@angular/core';
import type { Photo } from '@firm-line/core/plan';
import { PhotoView } from './photo-view';
import { RangeField } from '../../kit/fields/range-field';

/** How it lay before over how it lies now, with a slider between them. */
@Component({
  selector: 'fl-before-now',
  imports: [RangeField, PhotoView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block max-w-3xl' },
  template: `
    <div class="relative aspect-4/3 overflow-hidden rounded-lg bg-rule">
      <fl-photo-view class="absolute inset-0" which="picture" [photo]="now()" alt="Now" />
      <fl-photo-view
        class="absolute inset-0"
        which="picture"
        [photo]="before()"
        alt="Before"
        [style.clip-path]="'inset(0 ' + (100 - at()) + '% 0 0)'"
      />
      <span class="absolute inset-y-0 w-1 bg-copper" [style.left.%]="at()"></span>
      <span class="absolute bottom-2 left-2 rounded bg-ink px-2 text-sheet">before</span>
      <span class="absolute right-2 bottom-2 rounded bg-ink px-2 text-sheet">now</span>
    </div>
    <fl-range-field
      class="mt-2"
      field="before-now"
      label="Before and now"
      [value]="at()"
      (slid)="at.set($event)"
    />
  `,
})
export class BeforeNow {
  readonly before = input.required<Photo>();
  readonly now = input.required<Photo>();
  protected readonly at = signal(50);
}
