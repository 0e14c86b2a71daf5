export * from './inflatedHull';
export * from './sweep';
export * from './clearance';
