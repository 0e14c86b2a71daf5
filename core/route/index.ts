export * from './profile';
export * from './track';
export * from './expected';
export * from './eye';
export * from './beats';
