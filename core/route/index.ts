export {
  elevationProfile,
  type Mark,
  marksOf,
  type Profile,
  RUN_LEAP,
  type Station,
  stationsOf,
  thinPath,
  wayLength,
} from './profile';
export { trackWay } from './track';
export { roadsOf, type Roads } from './road';
export {
  courseLength,
  type Expectation,
  expectationOf,
  extentOf,
  plannedRoute,
  type PlannedRoute,
} from './plannedRoute';
export { type BeatMark, beatMarks } from './beats';
