import type { Ref } from '../../../plan/index.ts';
import { taskContext, taskOf, type Task } from './task.ts';

/** What comes before anything is taken off. Common practice; local rules and the maker's sheet come first. */
const SAFETY: readonly (readonly [id: string, name: string, how: string])[] = [
  [
    'stands',
    'On stands, by the frame',
    'Wheel nuts cracked on the ground, wheels chocked, lifted and let down on stands under the frame; rock it before you go under. In each session anew.',
  ],
  [
    'springs',
    'Springs and torsion bars let off',
    'Take the load off a spring or torsion bar by its maker’s sheet before anything that holds it is undone.',
  ],
  [
    'dust',
    'Old lining dust kept down',
    'Never blown: wet it, wipe it into a bag, gloves and mask on.',
  ],
  [
    'battery',
    'Battery off',
    'Before any welding; high voltage is isolated by a qualified person alone.',
  ],
];

/** How things come off, by what their names say; the first that fits. Common practice. */
const OFF: readonly (readonly [names: RegExp, how: string])[] = [
  [
    /wire|electric/i,
    'Cut one at a time, each end insulated and tagged with what it did; battery off.',
  ],
  [/switch|lamp/i, 'Lamps off while the switch is unhooked; its plug tied up out of the way.'],
  [
    /caliper|drum|shoe/i,
    'Hung by wire from the frame, never by its hose; the open line plugged at once; dust wetted, not blown.',
  ],
  [/hose/i, 'Hold the line with a second wrench; plug it as soon as it is open.'],
  [
    /line|tube|pipe/i,
    'Plug both open ends at once. Keep it whole: it is the pattern until the new one fits.',
  ],
  [
    /booster|pushrod/i,
    'Vacuum let off by the pedal first; the length of the pushrod noted before it is turned.',
  ],
  [
    /master|reservoir/i,
    'Sucked empty first; its ports plugged; the lamp switch unhooked with the lamps off.',
  ],
  [
    /cable|linkage/i,
    'Its clips, hooks and guides kept; the pedal tied up so that it does not fall.',
  ],
];
const HOW_ELSE =
  'The open line plugged at once, bolts back in their holes, nothing hung by a hose.';
/** How a thing comes off; none is left without a way. */
export const stripHow = (name: string): string =>
  OFF.find(([names]) => names.test(name))?.[1] ?? HOW_ELSE;

/** What comes before all other work: a safe vehicle, covered paint, and what is in the way taken off. */
export function stripTasks({
  id,
  comesOff,
  on,
}: {
  readonly id: string;
  readonly comesOff: readonly string[];
  readonly on: string;
}): { readonly tasks: Task[]; readonly bare: readonly string[] } {
  const place: Ref = { kind: 'plan', id };
  const ground = taskContext([], []);
  const safety = SAFETY.map(([key, name, how]) =>
    taskOf(
      { id: `safety:${key}`, kind: 'safety', name, how, place, stamp: key === 'stands' ? on : '' },
      ground,
    ),
  );
  const safe = safety.map((task) => task.id);
  if (!comesOff.length) return { tasks: safety, bare: safe };
  const cover = taskOf(
    {
      id: 'cover',
      kind: 'strip',
      name: 'Paint covered, fluid sucked out',
      how: 'Brake fluid lifts paint: covers and wet rags on, plugs for every line laid out before the first nut is turned.',
      place,
      needs: safe,
      minutes: 10,
    },
    ground,
  );
  const off = comesOff.map((name) =>
    taskOf(
      {
        id: `strip:${name}`,
        kind: 'strip',
        name: `Off: ${name}`,
        how: stripHow(name),
        place,
        needs: [cover.id],
      },
      ground,
    ),
  );
  return { tasks: [...safety, cover, ...off], bare: off.map((task) => task.id) };
}
