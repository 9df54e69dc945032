import { type Part } from '../../../plan/index.ts';
import { axleOf, feedsOf } from '../../../plan/network/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';

const KINDS = { caliper: 'disc', 'wheel-cylinder': 'drum' } as const;
const isBrake = (part: Part): part is Part & { readonly kind: keyof typeof KINDS } =>
  part.kind in KINDS;

/** What Size reckons with, held against what is drawn: figures of another vehicle say nothing about this one. */
export const drawingDiffers = defineRule({
  id: 'drawing-differs',
  station: 'size',
  about: 'plan',
  reads: ['network', 'plan.parts', 'plan.sizing', 'ports'],
  judge: ({ network, ports, plan: { id, parts, sizing } }) => {
    const brakes = parts.filter(isBrake).filter((part) => part.ports.length);
    if (!sizing || !brakes.length) return [];
    const finding = (text: string): Finding => ({
      level: 'mind',
      place: { kind: 'plan', id },
      where: 'Size and the drawing',
      text,
    });
    const found: Finding[] = [];
    const valve = parts.find(({ kind }) => kind === 'proportioning-valve' || kind === 'load-valve');
    if (valve && !sizing.rearValve)
      found.push(
        finding(
          `${valve.name} is drawn, and Size reckons without a rear valve: enter its knee and slope.`,
        ),
      );
    if (
      sizing.rearValve &&
      !valve &&
      !parts.some(({ kind }) => kind === 'combination-valve' || kind === 'modulator')
    )
      found.push(
        finding(
          'Size reckons with a rear valve and none is drawn: add it before both rear brakes, or take it out of Size.',
        ),
      );
    const pressing = feedsOf(network, parts).filter(({ reached }) =>
      brakes.some((part) => part.ports.some((port) => reached.has(port.id))),
    );
    const masters = new Set(pressing.map(({ master }) => master));
    if (sizing.master.kind === 'tandem' && masters.size > 1)
      found.push(
        finding(
          `${masters.size} masters press the brakes that are drawn, and Size reckons with one tandem.`,
        ),
      );
    if (sizing.master.kind === 'twin' && masters.size === 1)
      found.push(
        finding(
          'One master presses the brakes that are drawn, and Size reckons with two on a balance bar.',
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
          'One of the two masters presses brakes of both axles, and their bores differ: Size gives each axle the pressure of its own master, which these brakes do not get. Two masters of one bore, or one an axle.',
        ),
      );
    for (const axle of ['front', 'rear'] as const) {
      const own = brakes.filter((part) => axleOfPart(part) === axle);
      const other = own.find(({ kind }) => KINDS[kind] !== sizing[axle].kind);
      if (other)
        found.push(
          finding(
            `${other.name} is a ${KINDS[other.kind]}, and Size reckons with ${sizing[axle].kind}s at the ${axle}.`,
          ),
        );
    }
    return found;
  },
});
