import type { Nature } from '@firm-line/core/shape/obstacles';
import { Color } from 'three';

const asked = new Map<string, Color>();

/** Colors of the scene come from the same tokens as the rest of the screen, each asked once: asking has the page's styles worked out. */
export function token(name: string): Color {
  const known = asked.get(name);
  if (known) return known;
  const value = getComputedStyle(document.documentElement)
    .getPropertyValue(`--color-${name}`)
    .trim();
  const colour = new Color(value || '#888888');
  asked.set(name, colour);
  return colour;
}

/** Another theme: read every color again. */
export const forgetColors = (): void => asked.clear();

/** How a thing of each nature is drawn: its token, and how much of what lies behind shows through. */
export const LOOKS: Record<Nature, { readonly token: string; readonly opacity: number }> = {
  solid: { token: 'nut', opacity: 1 },
  hot: { token: 'stop', opacity: 0.75 },
  moving: { token: 'slate', opacity: 0.35 },
  sharp: { token: 'caution', opacity: 0.8 },
  reserved: { token: 'caution', opacity: 0.25 },
};
