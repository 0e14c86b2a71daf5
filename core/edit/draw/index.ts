// Drawing many pieces at once: walls, areas, outlines, scattered, ground, a sketch.
export * from './wall';
export * from './area';
export * from './outlines';
export * from './scatter';
export * from './ground';
export * from './sketch';
