export * from './hopper';
export * from './world';
export * from './tide';
export * from './state';
export * from './event';
export * from './tick';
export * from './record';
export * from './replay';
