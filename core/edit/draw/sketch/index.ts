export * from './bridge';
export * from './lines';
export * from './notes';
export * from './picture';
export * from './way';
