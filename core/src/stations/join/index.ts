// The joints of a plan's lines and hoses: apart from the plan, since what they rest on is wanted by few screens.
export {
  ENDS,
  hoseJoint,
  jointEnds,
  lineJoint,
  metBy,
  sealantsOf,
  type End,
  type JointEnd,
} from './joint-end.ts';
export { adaptersOf, jointsAt, type JointView } from './joint-view.ts';
