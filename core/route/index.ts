export * from './profile';
export * from './track';
export { roadsOf } from './road';
export * from './expected';
export * from './eye';
export * from './beats';
