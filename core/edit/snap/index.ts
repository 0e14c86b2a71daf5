// What a piece lands by: the grid, ends, corners, surfaces.
export {
  GRID_STEPS,
  type GridFrame,
  onWorkPlane,
  refusal,
  snapToGrid,
  TURN_STEPS,
  type WorkPlane,
} from './snap';
export {
  bestOwnEnd,
  type Connector,
  endIndex,
  EndIndex,
  endsOf,
  joinTo,
  mayJoin,
} from './connectors';
export { cornersOf, holdsOf } from './corners';
export { type Landing, landingOf, type SnapSettings } from './landing';
export { familiesThatFit, openEndNear } from './fits';
export { warmIndexes } from './warmIndexes';
