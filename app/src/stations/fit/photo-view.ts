import {
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  effect,
  inject,
  input,
  signal,
} from '@angular/core';
import type { Photo } from '@firm-line/core/plan';
import { Photos } from '../../storage/photos';

/** A kept photograph, small in lists; it is read when it is shown and let go after. */
@Component({
  selector: 'fl-photo-view',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    @if (url(); as src) {
      <img
        class="h-full w-full rounded object-cover"
        [src]="src"
        [alt]="alt()"
        loading="lazy"
        [attr.width]="photo().widthPx"
        [attr.height]="photo().heightPx"
      />
    } @else {
      <span
        class="flex h-full w-full items-center justify-center rounded border border-dashed border-rule p-2 text-center text-sm text-ink-soft"
        >{{ missing() ? 'This photograph is in another browser' : 'Photograph…' }}</span
      >
    }
  `,
})
export class PhotoView {
  private readonly photos = inject(Photos);
  readonly photo = input.required<Photo>();
  readonly alt = input.required<string>();
  readonly which = input<'picture' | 'small'>('small');
  protected readonly url = signal<string | null>(null);
  protected readonly missing = signal(false);

  constructor() {
    let held: string | null = null;
    const letGo = (): void => {
      if (held) URL.revokeObjectURL(held);
      held = null;
    };
    effect((clear) => {
      const { digest } = this.photo();
      let stale = false;
      clear(() => (stale = true));
      void this.photos.get(digest, this.which()).then(
        (blob) => {
          if (stale) return;
          letGo();
          held = blob ? URL.createObjectURL(blob) : null;
          this.url.set(held);
          this.missing.set(!blob);
        },
        () => stale || this.missing.set(true),
      );
    });
    inject(DestroyRef).onDestroy(letGo);
  }
}
