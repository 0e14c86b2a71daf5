export * from './wave';
export * from './motion';
