export * from './bench.ts';
export * from './bleeding.ts';
export * from './buying.ts';
export * from './circuit.ts';
export {
  askedField,
  bare,
  choiceName,
  isDay,
  isUnlikely,
  labelOf,
  neededField,
  toldOf,
  unitOf,
  unitSymbol,
} from './field.ts';
export {
  type AnyField,
  type Field,
  type ValueOf,
  type NumberField,
  type NumberLimits,
  type TextLimits,
} from './field-types.ts';
export * from './gate.ts';
export * from './clip-settings.ts';
export * from './clearances.ts';
export * from './wheel-ends.ts';
export * from './wiring.ts';
export * from './filling.ts';
export * from './floor.ts';
export * from './proving.ts';
export * from './stop-test.ts';
export * from './sign-off.ts';
export * from './hose.ts';
export * from './making.ts';
export * from './joint-task.ts';
export * from './line.ts';
export * from './log.ts';
export * from './part.ts';
export { isInline, isBrake, isActuated, makesPressure, PART_SPECS } from './part-kinds.ts';
export * from './frame-check.ts';
export * from './pedal-box.ts';
export * from './position.ts';
export * from './record-kind.ts';
export * from './plan.ts';
export * from './point.ts';
export * from './port.ts';
export * from './sheets.ts';
export * from './sizing.ts';
export * from './thing.ts';
export { figureAt, withAt, withFigure } from './figures.ts';
export { adapterOf } from './adapter-of.ts';
export { fieldWords } from './words.ts';
export { fieldAt } from './check.ts';
export { recordsIn, type NamedRecord } from './records.ts';
