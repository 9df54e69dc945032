import { lineSpace, type Around, type LineSpace, type LineView } from '@firm-line/core/plan';
import { loadMeshes, meshesIn } from '../../storage/load-meshes';

/** Clearances, clips and spans of a line while a corner of it is dragged. */
export function spaceJobs() {
  let around: Around | null = null;
  return {
    /** What lines are among, told once. */
    async surround(told: Around): Promise<void> {
      await loadMeshes(meshesIn(told));
      around = told;
    },
    measure: (view: LineView): LineSpace | null => around && lineSpace(around, view),
  };
}
export type SpaceJobs = ReturnType<typeof spaceJobs>;
