import { DestroyRef, ElementRef, inject, signal, type Signal } from '@angular/core';

export interface Size {
  readonly width: number;
  readonly height: number;
}

/** The size of the host element in CSS pixels as a signal, so that drawings can keep their type at its size. */
export function hostSize(first: Size): Signal<Size> {
  const size = signal(first);
  if (typeof ResizeObserver === 'undefined') return size.asReadonly();
  const observer = new ResizeObserver(([entry]) => {
    const { width, height } = entry!.contentRect;
    if (width > 0) size.set({ width: Math.round(width), height: Math.round(height) });
  });
  observer.observe((inject(ElementRef) as ElementRef<HTMLElement>).nativeElement);
  inject(DestroyRef).onDestroy(() => observer.disconnect());
  return size.asReadonly();
}
