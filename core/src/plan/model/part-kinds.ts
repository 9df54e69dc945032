import type { Vec3 } from '../../lib/vec/index.ts';
import type { Part, PartKind } from './part.ts';
import type { PortRole } from './port.ts';

const FORE: Vec3 = [-1, 0, 0];
const AFT: Vec3 = [1, 0, 0];
const LEFT: Vec3 = [0, -1, 0];
const RIGHT: Vec3 = [0, 1, 0];
const UP: Vec3 = [0, 0, 1];
const DOWN: Vec3 = [0, 0, -1];

type PortSpec = readonly [name: string, role: PortRole, direction: Vec3];
interface KindSpec {
  readonly name: string;
  /** Fluid it holds until the user says otherwise, mL. Common practice; the maker's sheet comes first. */
  readonly cavityMl: number;
  readonly ports: readonly PortSpec[];
}
const through = (name: string, cavityMl = 1): KindSpec => ({
  name,
  cavityMl,
  ports: [
    ['inlet', 'inlet', FORE],
    ['outlet', 'outlet', AFT],
  ],
});

/** Parts of hydraulic plumbing with the ports that such a part has. */
export const PART_SPECS: Readonly<Record<PartKind, KindSpec>> = {
  master: { name: 'Master cylinder', cavityMl: 180, ports: [['outlet', 'outlet', RIGHT]] },
  reservoir: { name: 'Remote reservoir', cavityMl: 200, ports: [['feed', 'feed', DOWN]] },
  tee: {
    name: 'Tee',
    cavityMl: 1,
    ports: [
      ['inlet', 'inlet', FORE],
      ['left', 'outlet', LEFT],
      ['right', 'outlet', RIGHT],
    ],
  },
  block: {
    name: 'Block',
    cavityMl: 2,
    ports: [
      ['inlet', 'inlet', FORE],
      ['outlet', 'outlet', AFT],
    ],
  },
  'proportioning-valve': through('Proportioning valve', 2),
  'residual-valve': through('Residual pressure valve'),
  'combination-valve': {
    name: 'Combination valve',
    cavityMl: 4,
    ports: [
      ['front inlet', 'inlet', FORE],
      ['rear inlet', 'inlet', FORE],
      ['front outlet', 'outlet', AFT],
      ['rear outlet', 'outlet', AFT],
    ],
  },
  modulator: {
    name: 'Anti-lock modulator',
    cavityMl: 40,
    ports: [
      ['front inlet', 'inlet', FORE],
      ['rear inlet', 'inlet', FORE],
      ['front left', 'outlet', LEFT],
      ['front right', 'outlet', RIGHT],
      ['rear', 'outlet', AFT],
    ],
  },
  'handbrake-cylinder': through('Hydraulic handbrake cylinder', 5),
  'parking-valve': through('Parking valve', 2),
  'metering-valve': through('Metering valve', 2),
  'load-valve': through('Load-sensing valve', 4),
  'delay-valve': through('Delay valve', 1),
  'clutch-damper': through('Clutch damper', 3),
  'pressure-switch': { name: 'Pressure switch', cavityMl: 0, ports: [['inlet', 'inlet', DOWN]] },
  'dry-break': through('Dry break'),
  caliper: {
    name: 'Caliper',
    cavityMl: 25,
    ports: [
      ['hose end at bracket', 'inlet', RIGHT],
      ['bleeder', 'bleeder', UP],
    ],
  },
  'wheel-cylinder': {
    name: 'Wheel cylinder',
    cavityMl: 6,
    ports: [
      ['inlet', 'inlet', RIGHT],
      ['bleeder', 'bleeder', UP],
    ],
  },
  slave: {
    name: 'Clutch slave',
    cavityMl: 10,
    ports: [
      ['inlet', 'inlet', LEFT],
      ['bleeder', 'bleeder', UP],
    ],
  },
  'release-bearing': {
    name: 'Hydraulic release bearing',
    cavityMl: 12,
    ports: [
      ['inlet', 'inlet', LEFT],
      ['bleeder', 'bleeder', UP],
    ],
  },
  actuator: { name: 'Trailer actuator', cavityMl: 400, ports: [['outlet', 'outlet', AFT]] },
  bracket: {
    name: 'Bracket',
    cavityMl: 0,
    ports: [
      ['near side', 'inlet', FORE],
      ['far side', 'outlet', AFT],
    ],
  },
  other: { name: 'Other part', cavityMl: 0, ports: [['port', 'inlet', AFT]] },
};

/** Parts in which pressure is made: each outlet is a place of its own. */
export const makesPressure = (part: Part): boolean =>
  part.kind === 'master' || part.kind === 'actuator';
/** Brakes of a wheel. */
export const isBrake = ({ kind }: Part): boolean => kind === 'caliper' || kind === 'wheel-cylinder';
/** Parts in which fluid ends and does its work. */
export const isActuated = (part: Part): boolean =>
  ['caliper', 'wheel-cylinder', 'slave', 'release-bearing'].includes(part.kind);
/** Parts that fluid passes through. */
export const isInline = (part: Part): boolean =>
  !makesPressure(part) &&
  !isActuated(part) &&
  !['reservoir', 'pressure-switch', 'other'].includes(part.kind);
