/** Writes tags into a JPEG, for the tests that look whether they are taken out. */
declare module 'piexifjs' {
  export const ImageIFD: Readonly<Record<string, number>>;
  export const GPSIFD: Readonly<Record<string, number>>;
  export function dump(tags: Readonly<Record<string, Readonly<Record<number, unknown>>>>): string;
  export function insert(tags: string, dataUrl: string): string;
}
