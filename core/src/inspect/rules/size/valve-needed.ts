import type { Quantities } from '../../../lib/units/index.ts';
import { figure } from '../../../lib/faults/index.ts';
import type { Sizing } from '../../../plan/index.ts';
import type { SizeView } from '../../../plan/results/index.ts';
import type { Finding, Fix } from '../../define-rule.ts';
import { sizingRule } from './_shared.ts';

/** Slopes that proportioning valves are sold with. Common practice. */
const SLOPES = [0.59, 0.43, 0.34, 0.27];
const downTo = (value: number): number => Math.floor(value * 100) / 100;
const finding = (text: string): Finding => ({ level: 'caution', where: 'Rear valve', text });
const set = (label: string, path: string, to: unknown) => (): Fix => ({
  label,
  call: { edit: 'setFigure', with: { of: 'sizing', path, to } },
});

/** What would do where the valve that is there does not, or where there is none: a slope that is sold, or the bar. */
function others(
  { bar, master }: Sizing,
  { kneeFor, barFor }: SizeView,
  pressure: Quantities['pressure'],
) {
  const sold = SLOPES.map((slope) => ({ slope, kneeMPa: kneeFor(slope) })).find(
    ({ kneeMPa }) => kneeMPa !== null,
  );
  const share = barFor();
  const turned =
    share === null || master.kind !== 'twin'
      ? ''
      : bar && share > bar.most
        ? ` The balance bar would have to give the front ${figure(share, 2)} of the push, and it only goes to ${figure(bar.most, 2)}.`
        : ` Or turn the balance bar until the front gets ${figure(Math.ceil(100 * share) / 100, 2)} of the push.`;
  const would = sold
    ? `One with slope ${sold.slope} would do, with the knee at ${pressure(downTo(sold.kneeMPa!), 2)} or less`
    : 'None that is sold would do: the rear brakes are too strong for the front brakes';
  const fix =
    sold &&
    set('Try this valve', 'rearValve', {
      slope: sold.slope,
      kneeMPa: downTo(sold.kneeMPa!),
    });
  return { would: `${would}.${turned}`, offered: fix ? { fix } : {} };
}

/** Where the rear leads: the knee for the valve that is there, within what its adjuster reaches, or what would do. A slope is cut into the metal; a knee is set. */
export const valveNeeded = sizingRule('valve-needed', (sizing, view, { pressure }) => {
  const { rearValve, kneePerTurnMPa, valveSheet } = sizing;
  const { empty, laden, kneeFor, kneeAt } = view;
  if (!empty.rearLeads && !laden.rearLeads) return [];
  const { would, offered } = others(sizing, view, pressure);
  if (!rearValve)
    return [
      {
        ...finding(
          `There is no valve to limit the rear brakes. ${would} Fit it in the line to both rear brakes; on a diagonal split, one in each.`,
        ),
        ...offered,
      },
    ];
  const slope = figure(rearValve.slope, 2);
  const none = (why: string): Finding[] => [{ ...finding(`${why} ${would}`), ...offered }];
  if (valveSheet?.ladenKneeMPa !== undefined && valveSheet.ladenKneeMPa !== null) {
    const [from, to] = [kneeAt(rearValve.slope, 'empty'), kneeAt(rearValve.slope, 'laden')];
    if (from === null || to === null)
      return none(
        `No setting of a load-sensing valve with slope ${slope} can stop the rear locking first.`,
      );
    const words = (mpa: number): string =>
      mpa === Infinity ? 'any knee' : `a knee of ${pressure(downTo(mpa), 2)} or less`;
    return [
      finding(
        `With slope ${slope} it takes ${words(from)} empty and ${words(to)} laden: set the linkage by its maker’s sheet, and test after each change.`,
      ),
    ];
  }
  const kneeMPa = kneeFor(rearValve.slope);
  if (kneeMPa === null)
    return none(`No knee of a valve with slope ${slope} can stop the rear locking first.`);
  if (valveSheet && kneeMPa < valveSheet.leastMPa)
    return none(
      `With slope ${slope} it takes a knee of ${pressure(downTo(kneeMPa), 2)}, and the adjuster ends at ${pressure(valveSheet.leastMPa, 2)}.`,
    );
  const to = downTo(Math.min(kneeMPa, valveSheet?.mostMPa ?? Infinity));
  const { notches, leastMPa, mostMPa } = valveSheet ?? { notches: null, leastMPa: 0, mostMPa: 0 };
  const perNotch = notches && (mostMPa - leastMPa) / notches;
  const turns = kneePerTurnMPa ? (to - rearValve.kneeMPa) / kneePerTurnMPa : null;
  const turned = perNotch
    ? `: notch ${Math.max(0, Math.floor((to - leastMPa) / perNotch + 1e-9))} of ${notches} from its softest`
    : turns === null
      ? ''
      : `: ${figure(Math.abs(turns), 1)} turns ${turns < 0 ? 'out' : 'in'} on its adjuster`;
  return [
    {
      ...finding(
        `With slope ${slope} a knee of ${pressure(to, 2)} stops the rear locking first, empty and laden, with a tenth in hand${turned}. Change one thing at a time, with a test stop after each.`,
      ),
      fix: set('Set this knee', 'rearValve.kneeMPa', to),
    },
  ];
});
