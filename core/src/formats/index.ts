export { centreLinesCsv, readCentreLinesCsv, type NamedLine } from './csv.ts';
export { bracketFlat, bracketsDxf, flatViewsDxf, type BracketFlat, type DrawnLine } from './dxf.ts';
export { metalMm3, tubesStep, type StepTube } from './step.ts';
export { readTubesStep } from './step-read.ts';
