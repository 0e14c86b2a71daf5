export {
  add,
  cross,
  distance,
  dot,
  length,
  lerp,
  mapVec3,
  normalize,
  scale,
  sub,
  type Vec2,
  type Vec3,
} from './vec';
export { cosDeg, sinDeg } from './trig';
export {
  degreesOf,
  type Matrix3,
  multiply,
  NO_TURN,
  rotate,
  transpose,
  turnedHeading,
  turnMatrix,
} from './turn';
export { matrixOf, type Quaternion, quaternionOf } from './quaternion';
export {
  box,
  cutRectangle,
  faceNormal,
  loft,
  mapPoints,
  type Polyhedron,
  prism,
  regularOutline,
  setFaceNormal,
  stack,
  stoneOutline,
  volumeOf,
} from './polyhedron';
export { mergedFaces } from './coplanar';
export { chordOf, planesOf } from './planes';
export { extrude, facetedBall, wedge } from './solids';
export { convexHull } from './hull2';
export { type Bounds, boundsOf, boxesMeet, distanceToBox, middle, unionBounds } from './bounds';
export { CellLists, Cells } from './cells';
export { type Frame, frameAt, fromSection } from './frame';
export { convexSolid, rounded } from './hull3';
export {
  type Cubic,
  cubicAt,
  mapSwept,
  type Section,
  type Stretch,
  type Sweep,
  sweepAlong,
  type Swept,
  twistedMeshes,
} from './sweep';
export { type Overlap, overlapOf } from './overlap';
export {
  convexParts,
  crossingOf,
  isWithin,
  selfCrossing,
  signedArea,
  turnedRight,
} from './polygon';
export { clipConvex } from './clip';
export { seeded } from './random';
export { shortestAngle } from './angle';
