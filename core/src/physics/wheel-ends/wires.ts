/** What a wire of an electric-over-hydraulic actuator does. */
export const WIRE_JOBS = ['supply', 'earth', 'signal', 'breakaway', 'stop-lamp'] as const;
export type WireJob = (typeof WIRE_JOBS)[number];
/** At which it is measured: at rest, brake half on, full on, breakaway pin out. */
export const WIRE_TESTS = ['rest', 'half', 'full', 'pulled'] as const;
export type WireTest = (typeof WIRE_TESTS)[number];

type Range = { readonly least: number; readonly most: number };
const OFF: Range = { least: 0, most: 0.3 };
const ON: Range = { least: 11.5, most: 14.8 };
const EARTH: Range = { least: 0, most: 0.2 };
/** Volts against the battery's minus in a 12 V vehicle, its actuator as load. Common practice; the actuator's sheet comes first. */
export const WIRE_VOLTS: Readonly<Record<WireJob, Readonly<Record<WireTest, Range | null>>>> = {
  supply: { rest: ON, half: ON, full: ON, pulled: ON },
  earth: { rest: EARTH, half: EARTH, full: EARTH, pulled: EARTH },
  signal: {
    rest: OFF,
    half: { least: 3, most: 10 },
    full: { least: 10.5, most: 14.8 },
    pulled: null,
  },
  breakaway: { rest: OFF, half: OFF, full: OFF, pulled: ON },
  'stop-lamp': {
    rest: OFF,
    half: { least: 10.5, most: 14.8 },
    full: { least: 10.5, most: 14.8 },
    pulled: null,
  },
};
/** Below, inside or above what that wire has at that test; null where nothing is asked of it. */
export function wireVerdict(
  job: WireJob,
  test: WireTest,
  volts: number,
): 'low' | 'good' | 'high' | null {
  const range = WIRE_VOLTS[job][test];
  return (
    range && (volts < range.least - 1e-9 ? 'low' : volts > range.most + 1e-9 ? 'high' : 'good')
  );
}
export const TEST_WORDS: Readonly<Record<WireTest, string>> = {
  rest: 'at rest',
  half: 'half braking',
  full: 'full braking',
  pulled: 'pin pulled',
};
export const WIRE_NAMES: Readonly<Record<WireJob, string>> = {
  supply: 'Supply',
  earth: 'Ground',
  signal: 'Brake signal',
  breakaway: 'Breakaway',
  'stop-lamp': 'Stop lamps',
};
