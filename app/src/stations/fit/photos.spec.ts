import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import type { Photo } from '@firm-line/core/plan';
import { Photos } from '../../storage/photos';
import { until } from '../../testing/open-gannet';
import { AddPhotos } from './add-photos';
import { BeforeNow } from './before-now';
import { PhotoView } from './photo-view';

const photo = (digest: string): Photo => ({ digest, widthPx: 4, heightPx: 3, bytes: 9 });
const file = (name: string): File => new File(['x'], name, { type: 'image/jpeg' });
/** Keeps pictures by their names; one called bad cannot be kept. */
class Album {
  readonly kept: string[] = [];
  keep({ name }: File): Promise<Photo> {
    if (name === 'bad.jpg')
      return Promise.reject(
        new Error('bad.jpg: The file cannot be read as a picture. Save it as JPEG or PNG.'),
      );
    this.kept.push(name);
    return Promise.resolve(photo(name));
  }
  get(digest: string, which: string): Promise<Blob | undefined> {
    return Promise.resolve(digest === 'elsewhere' ? undefined : new Blob([`${digest} ${which}`]));
  }
}

describe('photographs', () => {
  let open: Set<string>;
  const album = new Album();
  beforeEach(() => {
    open = new Set();
    let n = 0;
    URL.createObjectURL = () => {
      open.add(`blob:${++n}`);
      return `blob:${n}`;
    };
    URL.revokeObjectURL = (url) => void open.delete(url);
    TestBed.configureTestingModule({ providers: [{ provide: Photos, useValue: album }] });
  });

  test('are kept one after another; one that cannot be is said by its name, and the others stay', async () => {
    const fixture = TestBed.createComponent(AddPhotos);
    const photos = signal<readonly Photo[]>([]);
    fixture.componentRef.setInput('photos', photos());
    fixture.componentInstance.photos.subscribe((now) => photos.set(now));
    await fixture.whenStable();
    const root = fixture.nativeElement as HTMLElement;
    const drop = Object.assign(new Event('drop'), {
      dataTransfer: { files: [file('one.jpg'), file('bad.jpg'), file('two.jpg'), file('one.jpg')] },
    });
    root.dispatchEvent(drop);
    await until(() => photos().length === 2 && album.kept.length === 3);
    await fixture.whenStable();
    // The same picture twice is one.
    expect(photos().map(({ digest }) => digest)).toEqual(['one.jpg', 'two.jpg']);
    expect([...root.querySelectorAll('.fault')].map((one) => one.textContent!.trim())).toEqual([
      'bad.jpg: The file cannot be read as a picture. Save it as JPEG or PNG.',
    ]);
    root.querySelector<HTMLElement>('[aria-label="Remove photograph 1"]')!.click();
    expect(photos().map(({ digest }) => digest)).toEqual(['two.jpg']);
  });

  test('are read when they are shown and let go after; one of another browser says so', async () => {
    const fixture = TestBed.createComponent(PhotoView);
    const root = fixture.nativeElement as HTMLElement;
    fixture.componentRef.setInput('photo', photo('a'));
    fixture.componentRef.setInput('alt', 'A');
    await fixture.whenStable();
    await until(() => (fixture.detectChanges(), root.querySelector('img') !== null));
    expect([root.querySelector('img')!.alt, open.size]).toEqual(['A', 1]);
    fixture.componentRef.setInput('photo', photo('b'));
    await fixture.whenStable();
    await until(() => (fixture.detectChanges(), root.querySelector('img')!.src === 'blob:2'));
    expect([...open]).toEqual(['blob:2']);
    fixture.componentRef.setInput('photo', photo('elsewhere'));
    await until(() => (fixture.detectChanges(), root.textContent!.includes('in another browser')));
    fixture.destroy();
    expect(open.size).toBe(0);
  });

  test('before lies over now as far as the slider stands', async () => {
    const fixture = TestBed.createComponent(BeforeNow);
    fixture.componentRef.setInput('before', photo('a'));
    fixture.componentRef.setInput('now', photo('b'));
    await fixture.whenStable();
    const root = fixture.nativeElement as HTMLElement;
    const clip = (): string =>
      root
        .querySelector<HTMLElement>('fl-photo-view:nth-of-type(2)')!
        .style.getPropertyValue('clip-path');
    const slider = root.querySelector<HTMLInputElement>('#before-now')!;
    slider.value = '80';
    slider.dispatchEvent(new Event('input'));
    await fixture.whenStable();
    expect([clip(), root.querySelector('span')!.style.left]).toEqual(['inset(0 20% 0 0)', '80%']);
  });
});
