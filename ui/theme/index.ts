export * from './colours';
export * from './type';
export * from './space';
export * from './useColours';
export * from './elements';
