import { figure } from '../../lib/faults/index.ts';
import { inchSize } from '../../lib/units/index.ts';
import { size } from './size.ts';
import type { Brake, SizeInput } from './types.ts';

export interface WhatIf {
  readonly what: string;
  readonly input: SizeInput;
  readonly effect: string;
}

/** Master bores that are made, mm (5/8 to 1 1/8 in by sixteenths). Common practice. */
export const MASTER_BORES_MM = [
  15.875, 17.4625, 19.05, 20.6375, 22.225, 23.8125, 25.4, 26.9875, 28.575,
] as const;

/** How much more or less foot the same deceleration takes: both circuits rise with the push in one line below the valve's knee. */
function effectOf(before: SizeInput, after: SizeInput): string {
  const [a, b] = [size(before), size(after)];
  const pedal = b.travelMm.total - a.travelMm.total;
  const share = 100 * (a.z / b.z - 1);
  const travel =
    Math.abs(pedal) < 0.5
      ? 'same pedal travel'
      : `pedal ${figure(Math.abs(pedal), 0)} mm ${pedal < 0 ? 'shorter' : 'longer'}`;
  const foot =
    Math.abs(share) < 0.5
      ? 'same pedal force'
      : `${figure(Math.abs(share), 0)} % ${share > 0 ? 'harder' : 'lighter'}`;
  return `${travel}, ${foot}`;
}

/** A bore as it is sold: by the inch where it is an inch size. */
const boreWords = (mm: number): string => inchSize(mm) ?? `${figure(mm)} mm`;

const pistonsGrown = (brake: Brake, by: number): Brake =>
  brake.kind === 'disc'
    ? { ...brake, pistonsMm: brake.pistonsMm.map((d) => d * by) }
    : { ...brake, cylinderMm: brake.cylinderMm * by };

/** What one change at a time would do to pedal and foot, in plain words. */
export function whatIf(input: SizeInput): WhatIf[] {
  const { master } = input;
  const changes: (readonly [string, SizeInput])[] = [];
  const bored = (
    name: string,
    boreMm: number,
    made: (boreMm: number) => SizeInput['master'],
  ): void => {
    const larger = MASTER_BORES_MM.find((bore) => bore > boreMm + 0.1);
    const smaller = MASTER_BORES_MM.findLast((bore) => bore < boreMm - 0.1);
    for (const bore of [smaller, larger])
      if (bore)
        changes.push([
          `${name} ${boreWords(bore)} instead of ${boreWords(boreMm)}`,
          { ...input, master: made(bore) },
        ]);
  };
  if (master.kind === 'tandem') bored('Master', master.boreMm, (boreMm) => ({ ...master, boreMm }));
  else {
    bored('Front master', master.frontBoreMm, (frontBoreMm) => ({ ...master, frontBoreMm }));
    bored('Rear master', master.rearBoreMm, (rearBoreMm) => ({ ...master, rearBoreMm }));
  }
  changes.push(['Front pistons 10 % larger', { ...input, front: pistonsGrown(input.front, 1.1) }]);
  changes.push(['Rear pistons 10 % larger', { ...input, rear: pistonsGrown(input.rear, 1.1) }]);
  if (input.front.kind === 'disc')
    changes.push([
      'Front pads with 10 % more grip',
      { ...input, front: { ...input.front, padMu: input.front.padMu * 1.1 } },
    ]);
  if (input.booster) changes.push(['No booster', { ...input, booster: null }]);
  changes.push([
    `Pedal ratio ${figure(input.pedal.ratio + 0.5)} instead of ${figure(input.pedal.ratio)}`,
    { ...input, pedal: { ...input.pedal, ratio: input.pedal.ratio + 0.5 } },
  ]);
  return changes.map(([what, changed]) => ({
    what,
    input: changed,
    effect: effectOf(input, changed),
  }));
}
