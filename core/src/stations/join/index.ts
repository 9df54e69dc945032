// The joints of a plan's lines and hoses: apart from the plan, since what they rest on is wanted by few screens.
export {
  crushes,
  ENDS,
  hoseJoint,
  jointEnds,
  jointsBefore,
  lineJoint,
  metBy,
  sealantsOf,
  type End,
  type JointEnd,
} from './joint-end.ts';
export { adaptersOf, jointsAt, type JointView } from './joint-view.ts';
