export * from './body';
export * from './sweep';
export * from './clearance';
