import { makesPressure } from '../../../plan/index.ts';
import { defineRule } from '../../define-rule.ts';
import { onLine } from '../../rule-kit/places.ts';

/** Feed and pressure ports are not to be swapped: pumping then pushes fluid back. Common practice. */
export const rolesSwapped = defineRule({
  id: 'roles-swapped',
  station: 'plumb',
  about: 'line',
  reads: [],
  judge: (line) => {
    const { a, b } = line.ports;
    if (!a || !b) return [];
    const roles = [a.port.role, b.port.role];
    const finding = (text: string) => [
      { level: 'stop', place: onLine(line), where: line.line.name, text } as const,
    ];
    if (a.port.role === 'feed' && b.port.role === 'feed') return [];
    const wrong = [a, b].find(
      ({ port }) => port.role === 'feed' || port.role === 'bleeder' || port.role === 'spare',
    );
    if (wrong)
      return finding(
        `The line ends at ${wrong.part.name}, ${wrong.port.name}, which is a ${wrong.port.role} port. A pressure line cannot end there.`,
      );
    const masters = [a, b].filter(({ part }) => makesPressure(part));
    if (masters.length === 2)
      return finding('The line joins two master cylinders: they would pump into each other.');
    if (masters[0] && masters[0].port.role !== 'outlet')
      return finding(
        `The line leaves ${masters[0].part.name} by an ${masters[0].port.role}. Pressure comes out of an outlet: swap the port.`,
      );
    return roles[0] === 'inlet' &&
      roles[1] === 'inlet' &&
      !masters.length &&
      a.part.kind !== 'bracket' &&
      b.part.kind !== 'bracket'
      ? finding('Both ends are inlets, so nothing pushes fluid into the line.')
      : [];
  },
});
