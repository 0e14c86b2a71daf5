export * from './finding';
export * from './findings';
export { heavyRun } from './heavyRun';
export * from './start';
export { MOST_TRIANGLES, trianglesOf } from './joints';
