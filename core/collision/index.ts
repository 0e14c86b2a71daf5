export * from './inflatedHull';
export * from './ball';
export * from './sweep';
export * from './clearance';
export { sweptBody, type SweptBody } from './sweptBody';
export { clearanceSwept, sweepSwept } from './sweptSweep';
