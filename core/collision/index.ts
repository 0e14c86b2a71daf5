export { ballBody, type InflatedHull, inflateHull, sharedFaces } from './inflatedHull';
export { type Ball, type MovingBall, newMovingBall } from './ball';
export { newTouch, sweep, type Touch } from './sweep';
export { clearance, type Clearance, newClearance } from './clearance';
export { sweptBody, type SweptBody } from './sweptBody';
export { clearanceSwept, sweepSwept } from './sweptSweep';
