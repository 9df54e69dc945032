import { freshId, NOWHERE, type Plan, type Point } from '@firm-line/core/plan';

export const newPoint = (plan: Plan): Point => ({
  id: freshId(plan, 'point'),
  name: `Point ${plan.points.length + 1}`,
  known: NOWHERE,
});
