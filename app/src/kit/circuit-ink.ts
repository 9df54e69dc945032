import type { Circuit } from '@firm-line/core/plan';

/** How a circuit is drawn, by the name of its color. */
export const CIRCUIT_STROKES: Readonly<Record<Circuit['ink'], string>> = {
  fluid: 'stroke-fluid',
  copper: 'stroke-copper',
  slate: 'stroke-slate',
};
