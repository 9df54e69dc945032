/** Pairs that lie close at a wheel. */
export const CLEARANCES = {
  discShield: 'Disc to shield',
  caliperShield: 'Caliper to shield',
  caliperWheel: 'Caliper to wheel',
  hoseWheel: 'Hose to wheel',
  hoseSuspension: 'Hose to suspension',
  sensorWire: 'Sensor and wear wires',
} as const;
export type Clearance = keyof typeof CLEARANCES;
export const UNCHECKED: Readonly<Record<Clearance, boolean | null>> = {
  discShield: null,
  caliperShield: null,
  caliperWheel: null,
  hoseWheel: null,
  hoseSuspension: null,
  sensorWire: null,
};
