export { FLARES, NUTS, nutById, nutFitsTube, type FlareForm, type TubeNut } from './ends.ts';
export { FLUIDS, fluidById, type Fluid, type FluidFamily } from './fluids.ts';
export { TUBES, tubeById, tubeBoreMm, tubeLabel, tubeVolumeMl, type TubeMaterial, type TubeStock } from './tubes.ts';
