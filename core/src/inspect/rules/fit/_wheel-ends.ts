import { NO_CORNERS, type Corners, type Plan } from '../../../plan/index.ts';

export const cornersOf = ({ corners }: Pick<Plan, 'corners'>): Corners => corners ?? NO_CORNERS;
