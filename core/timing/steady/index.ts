export { type Press, pressesOf, withMoved } from './centre';
export {
  difficultyOf,
  fallsOf,
  type SteadySection,
  type SteadySpan,
  type Steadiness,
  steadinessOf,
  TRIES,
} from './difficulty';
export { normalBelow, wilson } from './statistics';
export { HAND } from './unsteady';
