export * from './profile';
export * from './expected';
