import type { PartKind } from '@firm-line/core/plan';

/** Plain pictograms of our own, 24 px square, drawn as strokes. */
export const PICTOGRAMS: Readonly<Record<PartKind, string>> = {
  master: 'M3 8h14v8H3zM9 8v8M1 12h8M17 12h5',
  reservoir: 'M5 4h14v12a4 4 0 0 1-4 4H9a4 4 0 0 1-4-4zM5 10h14',
  tee: 'M2 12h20M12 12v9',
  block: 'M4 6h16v12H4zM4 12h16',
  'proportioning-valve': 'M3 19h8L20 9M3 5v14',
  'residual-valve': 'M2 12h7M16 12h6M9 6l7 6-7 6zM16 6v12',
  'combination-valve': 'M3 5h18v14H3zM3 12h18M8 5v14',
  modulator: 'M4 4h16v16H4zM8 9l3 3-3 3M13 9l3 3-3 3',
  'handbrake-cylinder': 'M3 13h12v6H3zM9 13v6M9 13 20 3',
  'parking-valve': 'M2 12h8M14 12h8M10 7h4v10h-4zM12 7V2',
  'metering-valve': 'M2 12h7M15 12h7M9 7h6v10H9zM9 12h3',
  'load-valve': 'M3 5h8v8H3zM7 13v7M7 20l13-7M18 9v8',
  'delay-valve': 'M2 12h6M16 12h6M8 7h8v10H8zM12 9v3l2 2',
  'clutch-damper': 'M2 16h20M7 16V9a5 5 0 0 1 10 0v7',
  'pressure-switch': 'M12 22v-8M4 14h16M7 14l9-8M4 6h3M17 6h3',
  'dry-break': 'M2 12h8M14 12h8M10 7v10M14 7v10',
  caliper: 'M12 3a9 9 0 1 0 9 9M15 3h6v8h-6z',
  'wheel-cylinder': 'M3 8h18v8H3zM9 8v8M15 8v8',
  slave: 'M4 8h12v8H4zM11 8v8M11 12h11',
  'release-bearing': 'M12 3a9 9 0 1 0 .1 0M12 8a4 4 0 1 0 .1 0',
  actuator: 'M3 5h18v14H3zM12 8v8M8 12h8',
  bracket: 'M6 3v18M6 12h14M16 8v8',
  other: 'M4 4h16v16H4z',
};
