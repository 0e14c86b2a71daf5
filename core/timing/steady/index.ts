export { type Press, pressesOf, withMoved } from './centre';
export {
  difficultyOf,
  fallsOf,
  maySteer,
  type SteadySection,
  type SteadySpan,
  type Steadiness,
  steadinessOf,
  type TriedRun,
  triedRun,
  TRIES,
} from './difficulty';
export { normalBelow, wilson } from './statistics';
export { HAND } from './unsteady';
