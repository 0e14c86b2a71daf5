export * from './inflatedHull';
export * from './ball';
export * from './sweep';
export * from './clearance';
