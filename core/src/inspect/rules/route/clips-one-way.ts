import { oneWay } from '../../../plan/layout/place-clips.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { onLine } from '../../rule-kit/places.ts';

/** Clips that all stand in one plane let a long tube slide through them. Common practice. */
export const clipsOneWay = defineRule({
  id: 'clips-one-way',
  station: 'route',
  about: 'space',
  reads: [],
  judge: (line, space): Finding[] => {
    const alongs = space.clips.map((clip) => clip.along);
    if (!line.card!.bends.length || !oneWay(alongs, space.lengthMm)) return [];
    const text = `All ${alongs.length} clips are in one plane, so the tube can slide. Put one on a straight that runs another way.`;
    return [{ level: 'note', place: onLine(line), where: line.line.name, text }];
  },
});
