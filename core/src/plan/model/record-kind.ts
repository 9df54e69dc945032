/** Where the records with an id of their own stand in a plan; ports stand in their parts. */
export const COLLECTIONS = {
  point: 'points',
  part: 'parts',
  circuit: 'circuits',
  line: 'lines',
  hose: 'hoses',
  thing: 'things',
  gate: 'gates',
  bender: 'bench.benders',
  adapter: 'bench.adapters',
  stockPiece: 'making.stock',
  soldLength: 'making.sold',
  bracket: 'making.brackets',
  order: 'buying.orders',
  ownItem: 'buying.own',
  kit: 'buying.kits',
  caliperFit: 'wheelEnds.calipers',
  wheelFit: 'wheelEnds.wheels',
  hub: 'wheelEnds.hubs',
  cable: 'wheelEnds.cables',
  wire: 'wheelEnds.wires',
  proofLoad: 'wheelEnds.loads',
  logEntry: 'log.entries',
  makerSheet: 'log.sheets',
  earlierChange: 'log.earlier',
  preFillConfirmation: 'filling.before',
  reservoirFluid: 'filling.fluids',
  fillRun: 'filling.runs',
  workDone: 'floor.done',
  tightening: 'floor.tight',
  wantedTorque: 'floor.wanted',
  putOff: 'floor.later',
  temporaryFix: 'floor.temporary',
  deviation: 'floor.found',
  ownTask: 'floor.own',
  inspection: 'floor.looks',
  curve: 'proving.curves',
  hold: 'proving.holds',
  airTest: 'proving.airTests',
  recordedTest: 'proving.rounds',
  pedalReading: 'proving.pedal',
  stopTest: 'proving.stops',
} as const;
export type CollectionKind = keyof typeof COLLECTIONS;
/** Kinds of record that others may refer to. */
export type RecordKind = CollectionKind | 'port';

/** A place in a plan: a record by its kind and id, with a node where it is a line's; or the plan as a whole. */
export interface Ref {
  readonly kind: RecordKind | 'plan';
  readonly id: string;
  readonly node?: number;
}
/** Something with a place of its own: a point or a port of a part. */
export interface Target {
  readonly kind: 'point' | 'port';
  readonly id: string;
}
