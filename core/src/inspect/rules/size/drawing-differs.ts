import { type Part } from '../../../plan/index.ts';
import { axleOf, pressingFeeds, serviceFeeds } from '../../../plan/network/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';

const KINDS = { caliper: 'disc', 'wheel-cylinder': 'drum' } as const;
const isBrake = (part: Part): part is Part & { readonly kind: keyof typeof KINDS } =>
  part.kind in KINDS;

/** What Size reckons with, held against what is drawn: figures of another vehicle say nothing about this one. */
export const drawingDiffers = defineRule({
  id: 'drawing-differs',
  station: 'size',
  about: 'plan',
  reads: ['network', 'pedals', 'plan.parts', 'plan.sizing', 'ports'],
  judge: ({ network, pedals, ports, plan: { id, parts, sizing } }) => {
    const brakes = parts.filter(isBrake).filter((part) => part.ports.length);
    if (!sizing || !brakes.length) return [];
    const finding = (text: string): Finding => ({
      level: 'caution',
      place: { kind: 'plan', id },
      where: 'Size and the drawing',
      text,
    });
    const found: Finding[] = [];
    const valve = parts.find(({ kind }) => kind === 'proportioning-valve' || kind === 'load-valve');
    if (valve && !sizing.rearValve)
      found.push(
        finding(
          `${valve.name} is drawn, but Size calculates without a rear valve. Enter its knee and slope.`,
        ),
      );
    if (
      sizing.rearValve &&
      !valve &&
      !parts.some(({ kind }) => kind === 'combination-valve' || kind === 'modulator')
    )
      found.push(
        finding(
          'Size calculates with a rear valve, but none is drawn. Add it before both rear brakes, or remove it from Size.',
        ),
      );
    const pressing = serviceFeeds(
      pressingFeeds(network, parts, pedals),
      sizing.category === 'motorcycle',
    ).filter((feed) => feed.brakes.length);
    const masters = new Set(pressing.map(({ master }) => master));
    if (sizing.master.kind === 'tandem' && masters.size > 1)
      found.push(
        finding(
          `${masters.size} master cylinders feed the brakes that are drawn, but Size calculates with one tandem.`,
        ),
      );
    if (sizing.master.kind === 'twin' && masters.size === 1)
      found.push(
        finding(
          'One master cylinder feeds the brakes that are drawn, but Size calculates with two on a balance bar.',
        ),
      );
    const axleOfPart = (part: Part) => axleOf(part, ports, sizing.wheelbaseMm);
    const bothAxles = pressing.some(
      ({ reached }) =>
        new Set(
          brakes.filter((part) => part.ports.some((port) => reached.has(port.id))).map(axleOfPart),
        ).size > 1,
    );
    if (
      sizing.master.kind === 'twin' &&
      sizing.master.frontBoreMm !== sizing.master.rearBoreMm &&
      bothAxles
    )
      found.push(
        finding(
          'One of the two master cylinders feeds brakes on both axles, and their bores differ, so Size is wrong about these pressures. Use two of the same bore, or one for each axle.',
        ),
      );
    for (const axle of ['front', 'rear'] as const) {
      const own = brakes.filter((part) => axleOfPart(part) === axle);
      const other = own.find(({ kind }) => KINDS[kind] !== sizing[axle].kind);
      if (other)
        found.push(
          finding(
            `${other.name} is a ${KINDS[other.kind]}, but Size calculates with ${sizing[axle].kind}s at the ${axle}.`,
          ),
        );
    }
    return found;
  },
});
