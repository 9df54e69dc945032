import { derive } from '../../lib/derive/index.ts';
import {
  boxOf,
  joinBoxes,
  type Obstacle,
  type Solid,
  type Thing,
} from '../../shape/obstacles/index.ts';
import { newThing } from '../../shape/obstacles/fresh.ts';
import type { HoseView } from './hose-view.ts';
import type { HoseState } from './hose-sweep.ts';

/** How far others keep from where a hose may be, mm. Common practice. */
const KEEP_MM = 10;

/** All that a hose may be in, over every state of its travel, as a volume that others keep from; null where it hangs in none. */
export const envelopeOfHose = derive(
  'envelope of a hose',
  (view: HoseView) => [view],
  (view) => volumeOf(view, view.states),
);

/** All that a hose is in, over some of its states. */
export function volumeOf({ hose, stock }: HoseView, states: readonly HoseState[]): Obstacle | null {
  const solids = states.flatMap(({ shape }) =>
    (shape?.pointsMm ?? []).slice(1).map((to, i): Solid => ({
      kind: 'rod',
      from: shape!.pointsMm[i]!,
      to,
      radiusMm: stock.odMm / 2,
    })),
  );
  if (!solids.length) return null;
  const boxes = solids.map(boxOf);
  const thing: Thing = {
    ...newThing(hose.id, `hose ${hose.name}`, 'zone'),
    nature: 'moving',
    keepMm: KEEP_MM,
  };
  return { thing, solids, boxes, growMm: 0, mesh: null, box: joinBoxes(boxes) };
}
