import { figure } from '../../fault/index.ts';
import { sizingRule } from './sizing.ts';

/** Where the rear leads, the valve that would keep it behind, empty and laden. */
export const valveNeeded = sizingRule('valve-needed', (_sizing, view) => {
  const { empty, laden, valve } = view.size!;
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
  return [{
    level: 'mind', where: 'Rear valve', text: `A knee of ${figure(to.kneeMPa, 2)} MPa and a slope of ${figure(to.slope, 2)} keep the rear behind the front, empty and laden.`,
    mend: { label: 'Set it so', call: { edit: 'setFigure', with: { path: 'rearValve', to } } },
  }]; // prettier-ignore
});
