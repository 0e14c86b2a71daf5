export * from './finding';
export * from './findings';
export * from './start';
export { MOST_TRIANGLES, trianglesOf } from './joints';
