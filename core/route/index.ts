export * from './profile';
export * from './track';
export { roadsOf } from './road';
export * from './plannedRoute';
export * from './beats';
