export * from './schemas';
export * from './series';
export * from './makerPage';
export * from './notes';
export * from './ends';
export * from './shelf';
