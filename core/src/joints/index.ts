// The joints of a plan's lines: apart from the plan, since what they rest on is wanted by few screens.
export { adaptersOf, jointsAt, type JointView } from './joint-view.ts';
