import type { Ref } from '../../../plan/index.ts';
import { taskContext, taskOf, type Task } from './task.ts';

/** What comes before anything is taken off. Common practice; local rules and the maker's sheet come first. */
const SAFETY: readonly (readonly [id: string, name: string, how: string])[] = [
  [
    'stands',
    'Lift onto stands, under the frame',
    'Chock the wheels. Crack the wheel nuts a quarter turn, no more. Lift, and lower onto stands under the frame. Rock the vehicle before you go under it. Check the stands again every session.',
  ],
  [
    'springs',
    'Unload springs and torsion bars',
    'A loaded spring can break bones. Unload it by the maker’s sheet before you undo anything that holds it.',
  ],
  [
    'dust',
    'Wet old lining dust',
    'Lining dust can hold asbestos, which harms the lungs of everyone in the shop. Never blow it. Wet it, wipe it into a bag, gloves and mask on.',
  ],
  [
    'battery',
    'Disconnect the battery',
    'Before any welding. High voltage kills: only a qualified person isolates it.',
  ],
];

/** How things come off, by what their names say; the first that fits. Common practice. */
const OFF: readonly (readonly [names: RegExp, how: string])[] = [
  [
    /wire|electric/i,
    'Battery disconnected. Cut one wire at a time. Insulate each end and tag it with its function.',
  ],
  [/switch|lamp/i, 'Lamps off while the switch is unhooked. Tie the plug up out of the way.'],
  [
    /caliper|drum|shoe/i,
    'Hang the caliper by wire from the frame, never by its hose. Plug the open line at once. Wet the dust, never blow it.',
  ],
  [/hose/i, 'Hold the line with a second wrench. Plug the line as soon as it is open.'],
  [
    /line|tube|pipe/i,
    'Plug both open ends at once. Keep the old line whole as a pattern until the new one fits.',
  ],
  [
    /booster|pushrod/i,
    'Pump the pedal to release the vacuum. Note the pushrod length before you turn it.',
  ],
  [
    /master|reservoir/i,
    'Empty the reservoir with a syringe first. Plug the ports. Unhook the lamp switch with the lamps off.',
  ],
  [/cable|linkage/i, 'Keep the clips, hooks and guides. Tie the pedal up so it does not fall.'],
];
const HOW_ELSE =
  'Plug the open line at once. Put the bolts back in their holes. Hang nothing by a hose.';
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
      name: 'Cover paint, empty the reservoirs',
      how: 'Brake fluid strips paint. Put covers and wet rags on, and lay out plugs for every line before you turn the first nut.',
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
        name: `Remove: ${name}`,
        how: stripHow(name),
        place,
        needs: [cover.id],
      },
      ground,
    ),
  );
  return { tasks: [...safety, cover, ...off], bare: off.map((task) => task.id) };
}
