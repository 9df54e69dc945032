import { jointEnds, metBy, type JointEnd } from '../../../stations/join/index.ts';
import { defineRule } from '../../define-rule.ts';

/** Said once: joints whose threads and seats are not set down cannot be judged. */
export const threadUnknown = defineRule({
  id: 'thread-unknown',
  station: 'join',
  about: 'plan',
  reads: ['lines', 'ports', 'plan.hoses'],
  judge: (view) => {
    // An end that is open joins nothing yet; one of a hose that has no port may still meet something.
    // What stays with what stays was joined before and is not asked for.
    const kept = new Set(
      view.lines.filter(({ line }) => line.origin === 'kept').map(({ line }) => line.id),
    );
    const stays = ({ of, id, at }: JointEnd): boolean =>
      at?.part.kept === true && (of === 'hose' || kept.has(id));
    const unknown = jointEnds(view).filter(
      (one) => !one.joints && (one.at || one.of === 'hose') && !stays(one),
    );
    const [first] = unknown;
    if (!first) return [];
    const hose = view.plan.hoses.find(({ id }) => first.of === 'hose' && id === first.id);
    const own =
      hose && metBy(hose.ends[first.end], view.ports)
        ? 'The thread and seat of its fitting'
        : 'Its thread and seat';
    const atPort = first.at && !first.at.port.fitting ? first.at : null;
    return [
      {
        level: 'note',
        place: atPort ? { kind: 'port', id: atPort.port.id } : first.place,
        where: atPort ? `${atPort.part.name}, ${atPort.port.name}` : first.name,
        text: `${unknown.length === 1 ? `${own} are` : `${own} and those of ${unknown.length - 1} more ${unknown.length === 2 ? 'joint' : 'joints'} are`} not entered, so those joints cannot be checked.`,
      },
    ];
  },
});
