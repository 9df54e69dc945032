import { oneWay } from '../../plan/index.ts';
import { eachSpace, onLine, type Snag } from '../snag.ts';

/** Clips that all stand in one plane let a long tube slide through them. Common practice. */
export const clipsOneWay = eachSpace((line, space): Snag[] => {
  const alongs = space.clips.map((clip) => clip.along);
  if (!line.card!.bends.length || !oneWay(alongs, space.lengthMm)) return [];
  const text = `All ${alongs.length} clips stand in one plane, so the tube can slide: put one on a straight that runs another way.`;
  return [{ rule: 'clips-one-way', level: 'note', station: 'route', place: onLine(line), where: line.line.name, text }];
});
