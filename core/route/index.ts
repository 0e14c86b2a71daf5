export * from './profile';
export * from './expected';
export * from './eye';
export * from './beats';
