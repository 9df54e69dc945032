/** Copper at 20 °C, Ω·mm²/m. Source: handbook tables (from memory). */
const COPPER = 0.0172;
/** A 12 V actuator does its work while no more than this is lost on the way, V. Common practice: a twentieth; its sheet comes first. */
const DROP_MOST_V = 0.6;
/** Wire between battery and breaker is not protected: it is kept shorter than this, mm. Common practice. */
export const BREAKER_NEAR_MM = 450;

/** Wires as they are sold: metric ones by their area, others by American gauge. */
export const WIRE_SIZES = {
  '1': 1,
  '1.5': 1.5,
  '2.5': 2.5,
  '4': 4,
  '6': 6,
  '10': 10,
  '16': 16,
  '25': 25,
  'awg-16': 1.31,
  'awg-14': 2.08,
  'awg-12': 3.31,
  'awg-10': 5.26,
  'awg-8': 8.37,
  'awg-6': 13.3,
  'awg-4': 21.2,
} as const;
export type WireSize = keyof typeof WIRE_SIZES;
export const wireSizeName = (size: WireSize): string =>
  size.startsWith('awg') ? `AWG ${size.slice(4)}, ${WIRE_SIZES[size]} mm²` : `${size} mm²`;
/** What a single wire carries for long at 30 °C, by its area, A. Source: tables after DIN 72551 (from memory). */
const CARRIES: readonly (readonly [mm2: number, amps: number])[] = [
  [1, 19],
  [1.5, 24],
  [2.5, 32],
  [4, 42],
  [6, 54],
  [10, 73],
  [16, 98],
  [25, 129],
];
/** Straight between the sizes of the table. */
export function carriesA(size: WireSize): number {
  const mm2 = WIRE_SIZES[size];
  const i = Math.max(
    1,
    CARRIES.findIndex(([most]) => most >= mm2),
  );
  const [[a, low], [b, high]] = [CARRIES[i - 1]!, CARRIES[i]!];
  return low + ((high - low) * (mm2 - a)) / (b - a);
}

/** What feeds an actuator: a wire to it with a breaker, and one back. */
export interface SupplyRun {
  /** The most that it draws, by its sheet; like the way and both wires null while nobody has looked. */
  readonly currentA: number | null;
  /** From battery to actuator, one way, along the wire. */
  readonly wayMm: number | null;
  readonly wire: WireSize | null;
  readonly ground: WireSize | null;
  /** Null where there is none. */
  readonly breakerA: number | null;
  /** From the battery to it, along the wire; null where nobody looked. */
  readonly breakerAtMm: number | null;
  /** The most that may be lost by the actuator's sheet; null where that does not say. */
  readonly mostDropV: number | null;
}
/** Lost on one wire of a length, V. Source: I·L·ρ/A. */
export const dropV = (currentA: number, wayMm: number, size: WireSize): number =>
  (currentA * (wayMm / 1000) * COPPER) / WIRE_SIZES[size];

/** One size for both wires: what is lost there and back, and whether it would do. */
export interface WireChoice {
  readonly size: WireSize;
  readonly dropV: number;
  readonly carriesA: number;
  /** No more is lost than may be. */
  readonly losesLittle: boolean;
}
export interface SupplyFit {
  readonly currentA: number;
  /** Lost there and back, V. */
  readonly dropV: number;
  readonly mostV: number;
  /** What the thinner of both wires carries, A. */
  readonly carriesA: number;
  /** Sizes of the kind that is in, metric or by gauge, the thinnest first. */
  readonly choices: readonly WireChoice[];
  /** The thinnest that would do for both; null where none does. */
  readonly take: WireSize | null;
}
/** What a supply loses and carries; null while its current, its way or one of its wires is not known. */
export function supplyFit(run: SupplyRun): SupplyFit | null {
  const { currentA, wayMm, wire, ground } = run;
  if (currentA === null || wayMm === null || !wire || !ground) return null;
  const mostV = run.mostDropV ?? DROP_MOST_V;
  const needA = Math.max(currentA, run.breakerA ?? 0);
  const choices = (Object.keys(WIRE_SIZES) as WireSize[])
    .filter((size) => size.startsWith('awg') === wire.startsWith('awg'))
    .sort((a, b) => WIRE_SIZES[a] - WIRE_SIZES[b])
    .map((size): WireChoice => {
      const lostV = 2 * dropV(currentA, wayMm, size);
      return { size, dropV: lostV, carriesA: carriesA(size), losesLittle: lostV <= mostV };
    });
  const take = choices.find((one) => one.losesLittle && one.carriesA >= needA);
  return {
    currentA,
    dropV: dropV(currentA, wayMm, wire) + dropV(currentA, wayMm, ground),
    mostV,
    carriesA: Math.min(carriesA(wire), carriesA(ground)),
    choices,
    take: take?.size ?? null,
  };
}
