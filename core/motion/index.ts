export * from './pose';
export * from './wave';
export * from './way';
export * from './poses';
export * from './motion';
export * from './told';
export * from './chart';
