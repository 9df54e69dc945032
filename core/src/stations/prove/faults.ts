/** What may be wrong with a pedal. */
export const CAUSES = [
  'air',
  'flexing hose',
  'wrong bore',
  'weeping joint',
  'sticking piston',
  'swapped feed',
  'closed compensating port',
  'drums not adjusted',
  'worn cup in the master cylinder',
] as const;
export type Cause = (typeof CAUSES)[number];
/** What is known; not there: nobody looked. */
export interface Evidence {
  /** Of the fitted curve, at a hard stop: what air and flex cost, mm of pedal, and free play. */
  readonly airCostMm?: number;
  readonly flexCostMm?: number;
  readonly freePlayMm?: number;
  /** Comes up when it is pumped. */
  readonly pumps?: boolean;
  readonly sinks?: boolean;
  /** A joint or the ground is wet. */
  readonly wet?: boolean;
  /** Wheels that turn hard once the pedal is up. */
  readonly drags?: boolean;
  /** Drags after heat, and not before. */
  readonly dragsHot?: boolean;
  /** A fountain in the reservoir as the pedal goes down. */
  readonly fountain?: boolean;
  /** Measured pressure over what Size says for the same foot. */
  readonly pressureRatio?: number;
  /** With the hoses clamped (rubber alone) or plugged off, it is firm. */
  readonly firmPlugged?: boolean;
  /** Drums were adjusted up. */
  readonly drumsUp?: boolean;
}
export type Symptom = keyof Evidence;
/** One piece of what is known, against each cause: how likely it is seen where that is the cause. Common practice, said to be judgement. */
interface Reading {
  readonly symptom: Symptom;
  /** The next act that gives it, and what it costs. */
  readonly act: string;
  readonly minutes: number;
  /** Whether it is seen, yes or no; undefined while it is not known. */
  readonly of: (known: Evidence) => boolean | undefined;
  readonly likely: Partial<Record<Cause, number>>;
  readonly else: number;
}
const over = (value: number | undefined, least: number): boolean | undefined =>
  value === undefined ? undefined : value >= least;
export const READINGS: readonly Reading[] = [
  {
    symptom: 'airCostMm',
    act: 'Take a curve with readings at a light foot',
    minutes: 15,
    of: ({ airCostMm }) => over(airCostMm, 12),
    likely: { air: 0.92, 'weeping joint': 0.35, 'swapped feed': 0.6 },
    else: 0.06,
  },
  {
    symptom: 'flexCostMm',
    act: 'Take a curve up to a hard stop',
    minutes: 15,
    of: ({ flexCostMm }) => over(flexCostMm, 24),
    likely: { 'flexing hose': 0.9, 'wrong bore': 0.35 },
    else: 0.07,
  },
  {
    symptom: 'freePlayMm',
    act: 'Feel the pedal’s free play by hand',
    minutes: 2,
    of: ({ freePlayMm }) => over(freePlayMm, 25),
    likely: { 'drums not adjusted': 0.85, 'sticking piston': 0.25 },
    else: 0.06,
  },
  {
    symptom: 'pumps',
    act: 'Pump three times: does the pedal come up?',
    minutes: 1,
    of: ({ pumps }) => pumps,
    likely: { air: 0.85, 'drums not adjusted': 0.9, 'sticking piston': 0.5, 'swapped feed': 0.6 },
    else: 0.12,
  },
  {
    symptom: 'sinks',
    act: 'Hold the pedal for a minute: does it sink?',
    minutes: 2,
    of: ({ sinks }) => sinks,
    likely: { 'weeping joint': 0.93, 'worn cup in the master cylinder': 0.95, 'swapped feed': 0.4 },
    else: 0.03,
  },
  {
    symptom: 'wet',
    act: 'A clean rag at every joint, pedal held',
    minutes: 10,
    of: ({ wet }) => wet,
    likely: { 'weeping joint': 0.95 },
    else: 0.03,
  },
  {
    symptom: 'drags',
    act: 'Pedal up: turn each wheel by hand',
    minutes: 5,
    of: ({ drags }) => drags,
    likely: { 'closed compensating port': 0.7, 'sticking piston': 0.85 },
    else: 0.04,
  },
  {
    symptom: 'dragsHot',
    act: 'Warm the brakes on closed ground, then turn each wheel',
    minutes: 30,
    of: ({ dragsHot }) => dragsHot,
    likely: { 'closed compensating port': 0.95, 'sticking piston': 0.3 },
    else: 0.04,
  },
  {
    symptom: 'fountain',
    act: 'Glasses on, cap off: watch the reservoir from the side as the pedal goes down',
    minutes: 2,
    of: ({ fountain }) => fountain,
    likely: {
      'closed compensating port': 0.03,
      'swapped feed': 0.95,
      'worn cup in the master cylinder': 0.2,
    },
    else: 0.06,
  },
  {
    symptom: 'pressureRatio',
    act: 'Gauge at a bleeder, scales under the foot',
    minutes: 15,
    of: ({ pressureRatio }) =>
      pressureRatio === undefined ? undefined : pressureRatio < 0.85 || pressureRatio > 1.15,
    likely: { 'wrong bore': 0.95, 'worn cup in the master cylinder': 0.4, 'swapped feed': 0.2 },
    else: 0.05,
  },
  {
    symptom: 'firmPlugged',
    act: 'Plug the circuit at its first joint, press once',
    minutes: 12,
    of: ({ firmPlugged }) => firmPlugged,
    likely: { 'worn cup in the master cylinder': 0.03, 'swapped feed': 0.1, 'wrong bore': 0.3 },
    else: 0.9,
  },
  {
    symptom: 'drumsUp',
    act: 'Adjust the drums until they rub, then feel the pedal again',
    minutes: 20,
    of: ({ drumsUp }) => (drumsUp === undefined ? undefined : !drumsUp),
    likely: { 'drums not adjusted': 0.95 },
    else: 0.2,
  },
];
/** How often it is that, before anything is known. Common practice. */
const PRIOR: Record<Cause, number> = {
  air: 0.37,
  'drums not adjusted': 0.14,
  'weeping joint': 0.12,
  'flexing hose': 0.1,
  'sticking piston': 0.08,
  'wrong bore': 0.06,
  'closed compensating port': 0.05,
  'worn cup in the master cylinder': 0.05,
  'swapped feed': 0.03,
};

export interface Ranked {
  readonly cause: Cause;
  readonly share: number;
}
export interface Finding {
  readonly ranked: readonly Ranked[];
  /** The first is not twice as likely as the second: it cannot be told yet. */
  readonly told: boolean;
  /** The act that tells the first ones apart best for its minutes; null where nothing is left that would. */
  readonly next: {
    readonly act: string;
    readonly symptom: Symptom;
    readonly minutes: number;
    readonly bits: number;
  } | null;
}
const likelihood = ({ likely, else: other }: Reading, cause: Cause, seen: boolean): number => {
  const yes = likely[cause] ?? other;
  return seen ? yes : 1 - yes;
};
const entropy = (shares: readonly number[]): number =>
  shares.reduce((sum, p) => (p > 0 ? sum - p * Math.log2(p) : sum), 0);
function shared(weights: readonly number[]): number[] {
  const all = weights.reduce((sum, w) => sum + w, 0);
  return weights.map((w) => w / all);
}

/**
 * Ranked causes by what is known (Bayes over readings taken as independent), and the one next reading that is
 * expected to tell most in its minutes (Shannon's information). Likelihoods are common practice, said to be judgement.
 */
export function findFault(known: Evidence): Finding {
  let shares = CAUSES.map((cause) => PRIOR[cause]);
  for (const reading of READINGS) {
    const seen = reading.of(known);
    if (seen !== undefined)
      shares = shared(CAUSES.map((cause, i) => shares[i]! * likelihood(reading, cause, seen)));
  }
  const ranked = CAUSES.map((cause, i) => ({ cause, share: shares[i]! })).sort(
    (a, b) => b.share - a.share,
  );
  const now = entropy(shares);
  const worth = READINGS.flatMap((reading) => {
    if (reading.of(known) !== undefined) return [];
    const after = [true, false].reduce((sum, seen) => {
      const joint = CAUSES.map((cause, i) => shares[i]! * likelihood(reading, cause, seen));
      const p = joint.reduce((s, w) => s + w, 0);
      return p > 0 ? sum + p * entropy(shared(joint)) : sum;
    }, 0);
    return [
      { act: reading.act, symptom: reading.symptom, minutes: reading.minutes, bits: now - after },
    ];
  }).sort((a, b) => b.bits / (b.minutes + 5) - a.bits / (a.minutes + 5));
  return {
    ranked,
    told: ranked[0]!.share >= 2 * ranked[1]!.share && ranked[0]!.share >= 0.5,
    next: worth[0] && worth[0].bits > 0.005 ? worth[0] : null,
  };
}
