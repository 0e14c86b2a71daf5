// What a piece lands by: the grid, ends, corners, surfaces.
export * from './snap';
export * from './connectors';
export * from './corners';
export * from './landing';
export * from './fits';
