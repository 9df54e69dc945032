import { ChangeDetectionStrategy, Component, inject, model, signal } from '@angular/core';
import type { Photo } from '@firm-line/core/plan';
import { Photos } from '../../storage/photos';
import { PhotoView } from './photo-view';
import { FileField } from '../../kit/fields/file-field';

/** Photographs for an entry: by the camera of a tablet, out of files, or dropped; each is kept before it is shown. */
@Component({
  selector: 'fl-add-photos',
  imports: [FileField, PhotoView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block', '(dragover)': '$event.preventDefault()', '(drop)': 'drop($event)' },
  template: `
    <div class="flex flex-wrap items-center gap-2">
      <fl-file-field label="Photograph" accept="image/*" camera (picked)="take($event)" />
      <fl-file-field
        label="From files"
        accept="image/*"
        multiple
        data-test="photo-files"
        (picked)="take($event)"
      />
      <p class="text-sm text-ink-soft" role="status">{{ words() }}</p>
    </div>
    @for (text of faults(); track $index) {
      <p class="fault" role="alert">{{ text }}</p>
    }
    @if (photos().length) {
      <ul class="mt-2 flex flex-wrap gap-2">
        @for (photo of photos(); track photo.digest; let i = $index) {
          <li class="relative" data-test="new-photo" [attr.data-digest]="photo.digest">
            <fl-photo-view
              class="size-24"
              [photo]="photo"
              [alt]="'Photograph ' + (i + 1) + ' of the entry'"
            />
            <button
              type="button"
              class="btn absolute top-0 right-0 px-3"
              [attr.aria-label]="'Remove photograph ' + (i + 1)"
              (click)="leave(photo)"
            >
              ×
            </button>
          </li>
        }
      </ul>
    }
  `,
})
export class AddPhotos {
  private readonly store = inject(Photos);
  readonly photos = model.required<readonly Photo[]>();
  private readonly waiting = signal(0);
  protected readonly faults = signal<readonly string[]>([]);
  protected readonly words = (): string =>
    this.waiting()
      ? `Resizing ${this.waiting()}…`
      : 'Resized in this browser. Location and camera data are removed.';

  protected drop(event: DragEvent): void {
    event.preventDefault();
    void this.take([...(event.dataTransfer?.files ?? [])]);
  }
  protected async take(files: readonly File[]): Promise<void> {
    this.faults.set([]);
    this.waiting.update((n) => n + files.length);
    for (const file of files) {
      try {
        const photo = await this.store.keep(file);
        this.photos.update((photos) =>
          photos.some(({ digest }) => digest === photo.digest) ? photos : [...photos, photo],
        );
      } catch (error) {
        this.faults.update((faults) => [...faults, (error as Error).message]);
      }
      this.waiting.update((n) => n - 1);
    }
  }
  protected leave({ digest }: Photo): void {
    this.photos.update((photos) => photos.filter((photo) => photo.digest !== digest));
  }
}
