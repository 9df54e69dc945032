import { figure } from '../../fault/index.ts';
import { sizingRule } from './sizing.ts';

/** Where the rear leads, the valve that would keep it behind, empty and laden. */
export const valveNeeded = sizingRule('valve-needed', ({ rearValve, kneePerTurnMPa }, { empty, laden, valve }) => {
  if (!empty.rearLeads && !laden.rearLeads) return [];
  if (!valve)
    return [
      {
        level: 'mind',
        where: 'Rear valve',
        text: 'No valve keeps the rear behind the front in every load: the rear brakes are too strong for the front ones.',
      },
    ];
  const to = { kneeMPa: Math.floor(valve.kneeMPa * 100) / 100, slope: Math.floor(valve.slope * 100) / 100 };
  const turns = rearValve && kneePerTurnMPa ? (to.kneeMPa - rearValve.kneeMPa) / kneePerTurnMPa : null;
  const turned =
    turns === null ? '' : ` That knee is ${figure(Math.abs(turns), 1)} turns ${turns < 0 ? 'out' : 'in'} on its adjuster.`;
  return [{
    level: 'mind', where: 'Rear valve', text: `A knee of ${figure(to.kneeMPa, 2)} MPa and a slope of ${figure(to.slope, 2)} keep the rear behind the front, empty and laden.${turned}`,
    fix: () => ({ label: 'Set it so', call: { edit: 'setFigure', with: { of: 'sizing', path: 'rearValve', to } } }),
  }]; // prettier-ignore
});
