import { figure } from '../../fault/index.ts';
import type { Fix } from '../define-rule.ts';
import { sizingRule } from './sizing.ts';

/** Slopes that proportioning valves are sold with. Common practice. */
const SLOPES = [0.59, 0.43, 0.34, 0.27];
const downTo = (value: number): number => Math.floor(value * 100) / 100;

/** Where the rear leads: the knee for the valve that is there, or which slope would do. A slope is cut into the metal; a knee is set. */
export const valveNeeded = sizingRule('valve-needed', ({ rearValve, kneePerTurnMPa }, { empty, laden, kneeFor }) => {
  if (!empty.rearLeads && !laden.rearLeads) return [];
  const finding = (text: string) => ({ level: 'mind', where: 'Rear valve', text }) as const;
  const sold = SLOPES.map((slope) => ({ slope, kneeMPa: kneeFor(slope) })).find(({ kneeMPa }) => kneeMPa !== null);
  const would = sold && `One of slope ${sold.slope} would, with its knee at ${figure(downTo(sold.kneeMPa!), 2)} MPa or less`;
  const none = 'None that is sold would: the rear brakes are too strong for the front ones';
  const put = (slope: number, kneeMPa: number) => (): Fix => ({
    label: 'Reckon with such a valve',
    call: { edit: 'setFigure', with: { of: 'sizing', path: 'rearValve', to: { slope, kneeMPa: downTo(kneeMPa) } } },
  });
  const offered = sold ? { fix: put(sold.slope, sold.kneeMPa!) } : {};
  if (!rearValve)
    return [
      {
        ...finding(`No valve that holds the rear back is reckoned with. ${would ?? none}. It goes in the line to both rear brakes; on a diagonal split one in each.`),
        ...offered,
      },
    ];
  const kneeMPa = kneeFor(rearValve.slope);
  if (kneeMPa === null)
    return [{ ...finding(`No knee of a valve with slope ${figure(rearValve.slope, 2)} keeps the rear behind the front. ${would ?? none}.`), ...offered }];
  const to = downTo(kneeMPa);
  const turns = kneePerTurnMPa ? (to - rearValve.kneeMPa) / kneePerTurnMPa : null;
  const turned = turns === null ? '' : `: ${figure(Math.abs(turns), 1)} turns ${turns < 0 ? 'out' : 'in'} on its adjuster`;
  return [
    {
      ...finding(`With its slope of ${figure(rearValve.slope, 2)} a knee of ${figure(to, 2)} MPa keeps the rear behind the front, empty and laden, with a tenth in hand${turned}. One change at a time, and a test stop after each.`),
      fix: () => ({ label: 'Set the knee so', call: { edit: 'setFigure', with: { of: 'sizing', path: 'rearValve.kneeMPa', to } } }),
    },
  ];
}); // prettier-ignore
