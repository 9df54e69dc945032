import type { Station } from '@firm-line/core/snags';

/** The stations that work, in the order of the work. */
export const STATIONS: readonly { readonly path: Station; readonly name: string }[] = [
  { path: 'measure', name: 'Measure' },
  { path: 'size', name: 'Size' },
  { path: 'plumb', name: 'Plumb' },
  { path: 'route', name: 'Route' },
  { path: 'join', name: 'Join' },
  { path: 'make', name: 'Make' },
  { path: 'fill', name: 'Fill' },
];
