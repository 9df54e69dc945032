import { isActuated, makesPressure, type PortView } from '../../../plan/index.ts';
import { feedsOf } from '../../../plan/network/index.ts';
import { defineRule } from '../../define-rule.ts';
import { onLine } from '../../rule-kit/places.ts';
import { endsByPart, ENDS_READ } from './_ends-by-part.ts';

/** Feed and pressure ports are not to be swapped: pumping then pushes fluid back. Common practice. */
export const rolesSwapped = defineRule({
  id: 'roles-swapped',
  station: 'plumb',
  about: 'line',
  reads: ['network', 'plan.parts', ...ENDS_READ],
  judge: (line, view) => {
    const { a, b } = line.ports;
    if (!a || !b) return [];
    const finding = (text: string) => [
      { level: 'stop', place: onLine(line), where: line.line.name, text } as const,
    ];
    if (a.port.role === 'feed' && b.port.role === 'feed') return [];
    /** Another master presses through a feed that is made for it. */
    const isSeries = (at: PortView, far: PortView): boolean =>
      at.port.role === 'feed' && at.port.takesPressure === true && far.port.role === 'outlet';
    /** From a bleeder a line may lead to one that can be reached, where it ends. */
    const isRemoteBleeder = (at: PortView, far: PortView): boolean =>
      at.port.role === 'bleeder' &&
      !makesPressure(far.part) &&
      far.part.ports.some(({ role }) => role === 'bleeder') &&
      endsByPart(view).get(far.part.id)?.length === 1;
    const wrong = [
      [a, b],
      [b, a],
    ].find(
      ([at, far]) =>
        ['feed', 'bleeder', 'spare'].includes(at!.port.role) &&
        !isSeries(at!, far!) &&
        !isRemoteBleeder(at!, far!),
    )?.[0];
    if (wrong)
      return finding(
        `The line ends at ${wrong.part.name}, ${wrong.port.name}, which is a ${wrong.port.role} port. A pressure line cannot end there.`,
      );
    if (isSeries(a, b) || isSeries(b, a)) return [];
    const masters = [a, b].filter(({ part }) => makesPressure(part));
    if (masters.length === 2)
      return finding('The line joins two master cylinders: they would pump into each other.');
    if (masters[0] && masters[0].port.role !== 'outlet')
      return finding(
        `The line leaves ${masters[0].part.name} by an ${masters[0].port.role}. Pressure comes out of an outlet: swap the port.`,
      );
    // A pipe from one brake to the next lies between two inlets.
    const isBridge =
      [a, b].every(({ part }) => isActuated(part)) &&
      feedsOf(view.network, view.plan.parts).some(({ reached }) => reached.has(a.port.id));
    const areInlets = [a, b].every(
      ({ port, part }) => port.role === 'inlet' && part.kind !== 'bracket',
    );
    return areInlets && !isBridge && !masters.length
      ? finding('Both ends are inlets, so nothing pushes fluid into the line.')
      : [];
  },
});
