import type { Nature } from '@firm-line/core/frame';
import { Color } from 'three';

/** Colours of the scene come from the same tokens as the rest of the screen. */
export function token(name: string): Color {
  const value = getComputedStyle(document.documentElement).getPropertyValue(`--color-${name}`).trim();
  return new Color(value || '#888888');
}

/** How a thing of each nature is drawn: its token, and how much of what lies behind shows through. */
export const LOOKS: Record<Nature, { readonly token: string; readonly opacity: number }> = {
  solid: { token: 'nut', opacity: 1 },
  hot: { token: 'stop', opacity: 0.75 },
  moving: { token: 'slate', opacity: 0.35 },
  sharp: { token: 'mind', opacity: 0.8 },
  reserved: { token: 'mind', opacity: 0.25 },
};
