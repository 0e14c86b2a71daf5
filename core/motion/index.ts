export * from './pose';
export * from './wave';
export * from './path';
export * from './keyframes';
export * from './motion';
export * from './parse';
export * from './chart';
