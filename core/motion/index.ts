export {
  aboutAxis,
  applyPose,
  composePoses,
  type Pose,
  poseInWorld,
  STILL,
  undoPose,
} from './pose';
export { type Ease, eased, phaseAt, pingPong, triangle } from './wave';
export {
  type CompiledPath,
  compilePath,
  legTimes,
  pointOnPath,
  USUAL_SPEED,
  wayPoints,
  wayTime,
} from './path';
export { compileKeyframes, keyTimes, poseOf, type Poses, sampleKeyframes } from './keyframes';
export {
  type Circle,
  commonPeriod,
  commonSeconds,
  type Hop,
  type Motion,
  periodOf,
  type Placed,
  placeMotion,
  poseAt,
  samplePoses,
  type Slide,
  type Spin,
  type Swing,
  TICKS_PER_SECOND,
  topSpeed,
} from './motion';
export { type Driven, inTempo, isDriven, parseMotion } from './parse';
export { motionChart, type MotionChart } from './chart';
