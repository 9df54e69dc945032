export { ATMOSPHERE_MPA, INCH_MM } from './constants.ts';
export { daysBetween, secondsOf, yearsAfter } from './moment.ts';
export {
  MM_PER,
  formatLength,
  formatLengthUnit,
  inchSize,
  soldSize,
  parseLength,
  type Parsed,
  type UnitSystem,
} from './length.ts';
export { ML_PER_US_FL_OZ, formatVolume } from './volume.ts';
export {
  METRIC_QUANTITIES,
  quantitiesIn,
  quantitiesOf,
  shownFigure,
  shownUnitOf,
  shownUnits,
  UNIT_KINDS,
  type Quantities,
  type ShownUnits,
  type UnitKind,
} from './shown.ts';
